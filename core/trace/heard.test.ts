import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { System } from '../solver/system';
import { judgeLine } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import { isComplete, lineScope, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { compileRig } from '../rig/compile';
import { RigHum } from '../rig/hum';
import { EarthSum } from '../rig/earth-sum';
import { domainHum } from '../rig/hum-domain';
import { shieldAmpere } from '../rig/loops';
import { senseOf } from '../rig/bench';
import { HARMONICS } from '../rig/stray';
import { plan as anyPlan } from '../tests/arbitrary';
import { onTwoSupplies } from '../tests/plans';
import { heard, type Situation, type Stage } from './heard';

/** What each thing that may be other than planned does to what is heard, held against the network solved the long way. */

const rigs = anyPlan.map((plan): Plan => {
  const two = onTwoSupplies(structuredClone(plan));
  Object.values(two.devices).forEach((d, k) => {
    if (d.supply !== undefined) d.supply = k % 2 ? 'stage' : 'annex';
  });
  return two;
});

function stagesOf(plan: Plan): Stage[] {
  const whole = new SolvedRig(plan);
  return traceLines(plan)
    .filter((line) => isComplete(plan, line))
    .map((line) => {
      const around = whole.around(line);
      return {
        line,
        report: judgeLine(plan, line, { around, perOctave: 3 }),
        rest: new EarthSum(plan, around.hums),
        networks: new Map()
      };
    });
}
const close = (a: number, b: number, within = 1e-6): void =>
  expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-30 + within * Math.max(Math.abs(a), Math.abs(b)));
const over = (check: (plan: Plan, stage: Stage) => void, numRuns = 25): void =>
  fc.assert(
    fc.property(rigs, (plan) => {
      for (const stage of stagesOf(plan)) check(plan, stage);
    }),
    { numRuns }
  );

describe('what is heard with something other than planned', () => {
  it('a source that is as strong as planned changes nothing; one that is stronger never makes it quieter', () =>
    over((plan, stage) => {
      const plain = heard(stage, { plan });
      close(heard(stage, { plan, boost: () => 1 }).power, plain.power, 1e-12);
      const [source] = stage.line.devices;
      const louder = heard(stage, { plan, boost: (s) => (s.of === source && s.kind === 'electric' ? 10 : 1) });
      expect(louder.power).toBeGreaterThanOrEqual(plain.power * (1 - 1e-9));
    }));

  it('is never made by what has been taken away: with a plug in the input nothing before it counts', () =>
    over((plan, stage) => {
      const { line } = stage;
      const before = new Set([...line.devices.slice(0, -1), ...line.cables]);
      const at: Situation = { plan, shortedAt: line.id };
      const loud: Situation = { ...at, boost: (s) => (before.has(s.of) ? 1e4 : 1) };
      close(heard(stage, loud).power, heard(stage, at).power, 1e-9);
      expect(heard(stage, at).hiss).toBeLessThanOrEqual(heard(stage, { plan }).hiss * (1 + 1e-9));
    }));

  it('pin 1: the shield’s current times its ohms, in series with what comes out, as a direct solve has it', () =>
    over((plan, stage) => {
      const { line } = stage;
      const OHM = 0.5;
      line.devices.forEach((device, k) => {
        const cable = line.cables[Math.min(k, line.cables.length - 1)];
        const plain = heard(stage, { plan });
        const rig = compileRig(plan, lineScope(plan, line), 'held');
        const system = new System(rig.net);
        const sense = senseOf(plan, rig, line.cables[line.cables.length - 1]);
        const own = domainHum(plan, rig, system, [[line.id, sense]]);
        const rigHum = new RigHum(plan, [own], stage.rest);
        const { mainsHz } = plan.policy;
        const volts = OHM * shieldAmpere(rig, system.at(mainsHz), rigHum, cable);
        const core = rig.net.parts.find((p) => p.name === `${cable}/core-a-0`);
        if (core?.kind !== 'R') throw new Error('a cable without a core');
        const made = heard(stage, { plan, pin: { device, ohm: OHM } });
        for (const h of [1, 3, 7]) {
          // An EMF in series with a conductor is a current across it; clean mains falls 12 dB an octave.
          const [re, im] = system
            .at(mainsHz * h)
            .solveInjection(core.a, core.b)
            .voltage(...sense);
          const there = (Math.hypot(re, im) * volts) / core.ohm / (h * h);
          close(
            made.harmonics[h - 1] - plain.harmonics[h - 1],
            there ** 2,
            1e-4 + 1e-9 * (plain.harmonics[h - 1] / (there ** 2 || 1))
          );
        }
        for (let h = 2; h <= HARMONICS; h += 2) close(made.harmonics[h - 1], plain.harmonics[h - 1]);
      });
    }, 12));

  it('a dead box: nothing from before its amplifier is louder for being stronger, where all passes through it', () =>
    over((plan, stage) => {
      const { line } = stage;
      const at = line.devices.findIndex((id) => plan.devices[id].model.startsWith('active-di'));
      if (at < 1) return;
      const dead: Situation = { plan, dead: line.devices[at] };
      const [source] = line.devices;
      const loud = (s: { kind: string; of: string }): number => (s.of === source && s.kind === 'winding' ? 1e3 : 1);
      const [before, after] = [heard(stage, dead), heard(stage, { ...dead, boost: loud })];
      const alive = heard(stage, { plan, boost: loud });
      // What is left of it goes by the stray capacitances past the amplifier.
      expect(after.power - before.power).toBeLessThanOrEqual(alive.power * 0.01 + 1e-30);
      expect(before.hiss).toBeLessThanOrEqual(heard(stage, { plan }).hiss * (1 + 1e-9));
    }));

  it('hiss is louder by just what it is turned up', () =>
    over((plan, stage) => {
      const [plain, up] = [heard(stage, { plan }), heard(stage, { plan, hissDb: 20 })];
      close(up.hiss, 100 * plain.hiss, 1e-9);
      close(up.power - up.hiss, plain.power - plain.hiss, 1e-3 + (1e-9 * up.power) / (plain.power - plain.hiss || 1));
    }));
});
