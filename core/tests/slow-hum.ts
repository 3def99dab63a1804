import { magnitude, System } from '../solver/system';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { compileRig } from '../rig/compile';
import { senseOf } from '../rig/bench';

/**
 * Hum of lines at the mains frequency from the one whole network, source by source: what pieces joined at their earths have to give.
 * @param plan without stray fields (`policy.ambient` none)
 * @returns volts RMS at an input: EMFs as if in phase, leaks by their phases, the two as power
 */
export function slowHum(plan: Plan): (line: Line) => number {
  const rig = compileRig(plan, { devices: Object.keys(plan.devices), cables: Object.keys(plan.cables) });
  const { mainsHz } = plan.policy;
  const system = new System(rig.net).at(mainsHz);
  return (line) => {
    const adjoint = system.solveAdjoint(...senseOf(plan, rig, line.cables[line.cables.length - 1]));
    let volts = 0;
    for (const [id, { emf, ohm }] of Object.entries(plan.supplies))
      if (rig.net.has(`supply:${id}`))
        volts += magnitude(adjoint.voltage(rig.net.node(`supply:${id}`), 0)) * (emf / ohm);
    let [re, im] = [0, 0];
    for (const { kind, of, parts } of rig.hums) {
      if (kind !== 'leak') continue;
      const [r, i] = adjoint.voltage(parts[0].a, parts[0].b);
      const ampere = 115 * 2 * Math.PI * mainsHz * parts[0].farad!;
      const supply = of.startsWith('host:') ? plan.hosts[of.slice(5)].supply : plan.devices[of].supply;
      // Behind the first phase by a third of a turn each.
      const turn = (((plan.supplies[supply ?? '']?.phase ?? 1) - 1) * 2 * Math.PI) / 3;
      const [c, s] = [Math.cos(turn), -Math.sin(turn)];
      const [x, y] = [-i * ampere, r * ampere];
      re += x * c - y * s;
      im += x * s + y * c;
    }
    return Math.hypot(volts, re, im);
  };
}
