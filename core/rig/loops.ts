import { CircuitError } from '../circuit/network';
import { type Complex, magnitude } from '../circuit/system';
import { type Domain, isComplete, type Line } from '../plan/lines';
import type { Plan, Wiring } from '../plan/schema';
import type { Rig } from './builder';
import { type DomainHum, domainHum, type RigHum } from './hum';
import { ringThrough, type Tie } from './rings';
import { benchOf, inputsOf } from './solve';

/** A ring of ground conductors, told by the shield that closes it. */
export interface Loop {
  readonly cable: string;
  /** Supplies it runs through, by id. */
  readonly supplies: readonly string[];
  /** Every cable whose shield is part of it. */
  readonly cables: readonly string[];
  /** Through the shield at the mains frequency, amperes RMS. */
  readonly ampere: number;
  /** Hum at each input of the piece, volts RMS: as it is, and with this shield cut at its far end. */
  readonly inputs: readonly { line: string; volts: number; opened: number }[];
}

/**
 * All loops of a piece of the rig. Each is opened on a copy and the piece solved again: what opening brings is computed,
 * not estimated from its share.
 * @param beyond hosts and supplies that the rest of the rig joins
 * @param again the rig with this piece's answer exchanged
 */
export function loopsOf(
  plan: Plan,
  domain: Domain,
  rigHum: RigHum,
  hum: DomainHum,
  beyond: readonly Tie[],
  again: (hum: DomainHum) => RigHum
): Loop[] {
  const { rig, system } = benchOf(plan, domain);
  const complete = domain.lines.filter((line) => isComplete(plan, line));
  const solved = system.at(plan.policy.mainsHz);
  return domain.cables.flatMap((cable): Loop[] => {
    const ring = ringThrough(rig, cable, beyond);
    if (!ring) return [];
    const without = openedHum(plan, domain, complete, cable);
    const opened = without ? again(without) : null;
    return [
      {
        cable,
        supplies: [...new Set(ring.flatMap((e) => ('supply' in e.what ? [e.what.supply] : [])))],
        cables: [...new Set(ring.flatMap((e) => ('cable' in e.what ? [e.what.cable] : [])))],
        ampere: shieldAmpere(rig, solved, rigHum, cable),
        inputs: complete.map(({ id }) => {
          const volts = rigHum.at(hum, id).volts;
          return { line: id, volts, opened: opened && without ? opened.at(without, id).volts : volts };
        })
      }
    ];
  });
}

/** Current along a shield from what stands at the hosts and supplies: each cause by itself, together as power. */
function shieldAmpere(rig: Rig, system: ReturnType<typeof benchOf>['system'], hum: RigHum, cable: string): number {
  const name = rig.net.has(`${cable}/s1`) ? `${cable}/shield-0` : null;
  const shield = rig.net.parts.find((p) => p.name === name);
  if (shield?.kind !== 'R') return 0;
  const causes = rig.bounds.map((bound) => hum.earths(bound));
  const scratch = system.blank();
  let power = 0;
  for (let c = 0; c < (causes[0]?.length ?? 0); c++) {
    const held = rig.bounds.map((bound, k): [string, Complex] => [`bound:${bound}`, causes[k][c]]);
    system.solveHeld(held, scratch);
    power += (magnitude(scratch.voltage(shield.a, shield.b)) / shield.ohm) ** 2;
  }
  return Math.sqrt(power);
}

function openedHum(plan: Plan, domain: Domain, lines: readonly Line[], cable: string): DomainHum | null {
  const wiring: [Wiring, Wiring] = [plan.cables[cable].wiring?.[0] ?? 'plain', 'shield-open'];
  const cut: Plan = { ...plan, cables: { ...plan.cables, [cable]: { ...plan.cables[cable], wiring } } };
  try {
    const { rig, system } = benchOf(cut, domain);
    return domainHum(cut, rig, system, inputsOf(cut, rig, lines));
  } catch (error) {
    if (error instanceof CircuitError) return null;
    throw error;
  }
}
