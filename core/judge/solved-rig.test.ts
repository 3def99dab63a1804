import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankPlan } from '../plan/blank';
import { domainsOf, isComplete, lineScope, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { readLine } from '../reader/read-line';
import { plan as anyPlan } from '../tests/arbitrary';
import { ringThrough } from '../rig/rings';
import { benchOf } from '../rig/bench';
import { judgeLine, judgePlan, judgeWhole } from './judge';
import { type Pieces, SolvedRig } from './solved-rig';

/** Lines on two supplies, the desk on the second. */
function show(...texts: string[]): Plan {
  const plan = blankPlan();
  plan.supplies = {
    stage: { name: 'Stage', emf: 0.2, ohm: 0.2, dimmers: false },
    annex: { name: 'Annex', emf: 0, ohm: 0.2, dimmers: false }
  };
  plan.hosts.desk.supply = 'annex';
  texts.forEach((text, k) =>
    putLine(plan, readLine(text, { supplies: [{ id: 'stage', name: 'Stage' }] }).spec!, (role) => `l${k}-${role}`)
  );
  return plan;
}
const KEYS = 'keyboard earthed on Stage, 3 m, passive DI, 30 m, mic';
const MIC = 'dynamic mic, 30 m, mic';

it('two plans that share what is known do not take it from one another while they are solved', () => {
  const shared: Pieces = new Map();
  const [one, other] = [show(KEYS, MIC), show('single coil, 6 m, active DI, 30 m, mic')];
  const slow = new SolvedRig(one, shared);
  slow.step();
  // Somebody else is done in between, and tidies up.
  judgeWhole(new SolvedRig(other, shared));
  expect(judgeWhole(slow)).toEqual(judgePlan(one));
});

describe('what cannot be computed', () => {
  const broken = (): Plan => {
    const plan = show(KEYS, MIC);
    // A point that nothing ties to anything: no plan that loads has one.
    plan.supplies.lost = { name: 'Lost', emf: 0, ohm: Infinity, dimmers: false };
    return plan;
  };
  it('is told, and is neither clean nor silent', () => {
    for (const report of judgePlan(broken())) {
      expect(report.hum).toBeNull();
      expect(report.severity).toBe('care');
      expect(report.findings.filter((f) => f.code === 'hum-unknown')).toHaveLength(1);
      // All the rest is computed as ever.
      expect(report.arrives).toBeCloseTo(judgePlan(show(KEYS, MIC)).find((r) => r.id === report.id)!.arrives!, 9);
    }
    for (const report of judgePlan(show(KEYS, MIC)))
      expect(report.findings.some((f) => f.code === 'hum-unknown')).toBe(false);
  });
  it('no loops are not the same as loops that cannot be looked for; a mistake of ours is no unsolvable rig', () => {
    expect(() => new SolvedRig(broken()).loops()).toThrow(/singular|earths/);
    expect(() => new SolvedRig(broken()).rings()).toThrow(/singular|earths/);
    const odd = show(KEYS);
    odd.hosts = null as never;
    expect(() => judgePlan(odd)).toThrow(TypeError);
  });
});

describe('pieces of a rig', () => {
  it('are what cables join: each line in exactly one, with all that hangs on it', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const lines = traceLines(plan);
        const pieces = domainsOf(plan, lines);
        expect(pieces.flatMap((p) => p.lines).length).toBe(lines.length);
        expect(pieces.flatMap((p) => p.devices).sort()).toEqual(Object.keys(plan.devices).sort());
        expect(pieces.flatMap((p) => p.cables).sort()).toEqual(Object.keys(plan.cables).sort());
        for (const piece of pieces)
          for (const line of piece.lines)
            expect(lineScope(plan, line).devices.sort()).toEqual([...piece.devices].sort());
      })
    ));

  it('judged one by one, together, or after a change, say the same', () =>
    fc.assert(
      fc.property(anyPlan, fc.nat(), (plan, pick) => {
        const pieces: Pieces = new Map();
        judgePlan(plan, pieces);
        const ids = Object.keys(plan.cables);
        const id = ids[pick % ids.length];
        const next = structuredClone(plan);
        next.cables[id].metres += 1;
        const after = judgePlan(next, pieces);
        for (const line of traceLines(next).filter((l) => isComplete(next, l))) {
          const alone = judgeLine(next, line);
          const together = after.find((r) => r.id === line.id)!;
          expect(together.severity).toBe(alone.severity);
          expect(together.arrives).toBeCloseTo(alone.arrives!, 9);
          expect(together.hum!.dbu).toBeCloseTo(alone.hum!.dbu, 6);
        }
      }),
      { numRuns: 25 }
    ));

  it('hands out the changed line first, and each once', () => {
    const plan = show(KEYS, MIC, MIC);
    const pieces: Pieces = new Map();
    expect(judgeWhole(new SolvedRig(plan, pieces), 'fresh').length).toBe(3);
    const next = structuredClone(plan);
    next.cables['l1-lead'].metres = 31;
    const whole = new SolvedRig(next, pieces);
    expect(judgeWhole(whole, 'fresh').map((r) => r.id)).toEqual(['l1-in']);
    expect(judgeWhole(whole).length).toBe(3);
    expect(judgeWhole(new SolvedRig(next, pieces), 'fresh')).toEqual([]);
  });

  it('what has been stepped over can be read before the rest', () => {
    const whole = new SolvedRig(show(KEYS, MIC, MIC));
    expect(judgeWhole(whole, 'sofar')).toEqual([]);
    whole.step();
    expect(judgeWhole(whole, 'sofar').length).toBe(1);
  });

  it('forgets what is no longer in the plan', () => {
    const plan = show(KEYS, MIC);
    const pieces: Pieces = new Map();
    judgePlan(plan, pieces);
    expect(pieces.size).toBe(2);
    const less = structuredClone(plan);
    for (const id of ['l1-src', 'l1-in']) delete less.devices[id];
    delete less.cables['l1-lead'];
    delete less.lines['l1-in'];
    judgePlan(less, pieces);
    expect(pieces.size).toBe(1);
  });
});

describe('loops of a rig', () => {
  it('carry what the EMF drives round their resistance, and are told by their supplies', () => {
    const [lead, run, ...rest] = new SolvedRig(show(KEYS, MIC)).loops();
    expect(rest).toEqual([]);
    // 0.2 V round 2 × 0.2 and 2 × 0.15 Ω, 3 m at 30 and 30 m at 50 mΩ, and contacts.
    for (const loop of [lead, run]) {
      expect(Math.abs(loop.ampere - 0.2 / (0.7 + 0.09 + 1.5))).toBeLessThan(0.005);
      expect([...loop.supplies].sort()).toEqual(['annex', 'stage']);
    }
    const opened = [lead, run].find((l) => l.cable === 'l0-run')!.inputs[0];
    expect(opened.opened).toBeLessThan(opened.volts / 1000);
  });
  it('are none where one end is not earthed', () => {
    expect(new SolvedRig(show('keyboard from battery, 3 m, passive DI, 30 m, mic', MIC)).loops()).toEqual([]);
    expect(new SolvedRig(show('keyboard earthed on Stage, 3 m, passive DI lifted, 30 m, mic')).loops()).toEqual([]);
  });
  it('may be closed by another line only: two sources of one rack into a desk on battery', () => {
    const plan = show(KEYS, KEYS);
    plan.hosts.desk = { name: 'Desk', feed: 'battery' };
    const [a] = domainsOf(plan);
    const { rig } = benchOf(plan, a);
    expect(ringThrough(rig, 'l0-run')).toBeNull();
    expect(new SolvedRig(plan).loops().length).toBe(4);
    const solved = new SolvedRig(plan).solved().get('l0-in')!;
    expect(solved.ties.map((t) => [...t].sort())).toEqual([['host:desk', 'supply:stage']]);
    expect(ringThrough(rig, 'l0-run', solved.ties)).not.toBeNull();
  });
});
