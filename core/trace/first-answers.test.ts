import { resolve } from '../plan/resolved';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { onTwoSupplies, show } from '../tests/plans';
import { type Answer, Trace } from './infer';
import { noticeChance, NOTICES, type Notice, soundChance, spreadChance, SPREADS } from './first-answers';
import { SOUNDS } from './hypotheses';

const total = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

const traceOf = (text: string): Trace => {
  const plan = show([text]);
  return new Trace(plan, resolve(plan).line('l0-in')!);
};
const shareOf = (trace: Trace, id: string, ...answers: Answer[]): number =>
  trace.beliefs(answers).find((b) => b.hypothesis.id === id)!.share;

describe('what people can say before anything is tried', () => {
  it('has chances that add up to one, whatever changes the noise by how much', () => {
    for (const truth of SOUNDS) expect(total(SOUNDS.map((is) => soundChance(truth, is)))).toBeCloseTo(1, 12);
    for (const truth of SPREADS) expect(total(SPREADS.map((is) => spreadChance(truth, is)))).toBeCloseTo(1, 12);
    const things = NOTICES.filter((n) => n !== 'nothing');
    fc.assert(
      fc.property(
        fc.subarray(things),
        fc.array(fc.double({ min: -80, max: 40, noNaN: true }), { minLength: 5, maxLength: 5 }),
        (some, dbs) => {
          const does = new Map<Notice, number>(some.map((n, k) => [n, dbs[k]]));
          const chances = NOTICES.map((is) => noticeChance(does, is));
          // Where nothing can be done by chance, that nothing changed it is all there is to say.
          expect(total(chances)).toBeCloseTo(1, 9);
          for (const p of chances) expect(p).toBeGreaterThan(0);
        }
      )
    );
  });
  it('the more a thing does to the noise, the likelier it is told', () => {
    const at = (db: number): number => noticeChance(new Map([['touching', db]]), 'touching');
    expect(at(0)).toBeLessThan(0.04);
    expect(at(-6)).toBeGreaterThan(at(-3));
    expect(at(-20)).toBeGreaterThan(at(-6));
    // Only who has happened to touch it can tell.
    expect(at(-20)).toBeLessThan(0.55);
  });
  it('is evidence: what stops when it is touched comes through the air, what turns with the player is a field', () => {
    const odds = (trace: Trace, one: string, other: string, ...answers: Answer[]): number =>
      shareOf(trace, one, ...answers) / shareOf(trace, other, ...answers);
    const grows = (trace: Trace, id: string, answer: Answer): number =>
      odds(trace, id, 'low-level', answer) / odds(trace, id, 'low-level');
    const organ = traceOf('Organ: piezo, 5 m, active DI, 20 m, mic 1 phantom');
    expect(grows(organ, 'electric:l0-src', { ask: 'noticed', is: 'touching' })).toBeGreaterThan(8);
    expect(grows(organ, 'electric:l0-src', { ask: 'noticed', is: 'nothing' })).toBeLessThan(0.7);
    const guitar = traceOf('Guitar: single coil, 5 m, passive DI, 20 m, mic 1');
    expect(grows(guitar, 'pickup:l0-src', { ask: 'noticed', is: 'turning' })).toBeGreaterThan(5);
    expect(grows(guitar, 'pickup:l0-src', { ask: 'noticed', is: 'lighting' })).toBeLessThan(1.5);
  });
  it('is counted once: what was noticed and then done on purpose speaks by the test alone', () => {
    const trace = traceOf('Guitar: single coil, 5 m, passive DI, 20 m, mic 1');
    const noticed: Answer = { ask: 'noticed', is: 'touching' };
    const tried: Answer = { ask: 'touch', is: 'gone' };
    for (const { hypothesis: h } of trace.beliefs([]))
      expect(shareOf(trace, h.id, noticed, tried)).toBeCloseTo(shareOf(trace, h.id, tried), 12);
    const asks = trace.next(trace.beliefs([noticed]), [noticed]).map((s) => s.ask);
    expect(asks).not.toContain('touch');
    expect(asks).toContain('turn');
  });
});

/** A line on two supplies, its desk's earth far off the stage's. */
const between = (text: string, onStage: string, onBattery?: string): Trace => {
  const plan = onTwoSupplies(show([text]));
  plan.devices[onStage].settings.feed = 'mains-1';
  plan.devices[onStage].supply = 'stage';
  if (onBattery) plan.devices[onBattery].settings.feed = 'battery';
  return new Trace(plan, resolve(plan).line('l0-in')!);
};
const change = (trace: Trace, id: string, probe: string): number =>
  trace.changeOf(
    trace.hypotheses.find((h) => h.id === id)!,
    trace.probes.find((p) => p.id === probe)!
  );

describe('pin 1 on the board', () => {
  it('of an input goes with the input, of a source with what feeds it', () => {
    const trace = between('Rack: interface earthed, 20 m, line 1', 'l0-src');
    expect(trace.hypotheses.filter((h) => h.code === 'pin-1').map((h) => h.of)).toEqual(['l0-src', 'l0-in']);
    expect(change(trace, 'pin-1:l0-in', 'other-input')).toBeLessThan(-18);
    expect(change(trace, 'pin-1:l0-in', 'known-line')).toBeCloseTo(0, 6);
    expect(change(trace, 'pin-1:l0-src', 'other-input')).toBeCloseTo(0, 6);
    expect(change(trace, 'pin-1:l0-src', 'known-line')).toBeLessThan(-18);
    // What no current goes through makes none of it.
    for (const of of ['l0-in', 'l0-src']) expect(change(trace, `pin-1:${of}`, 'other-supply')).toBeLessThan(-18);
  });
  it('of a box goes with the box', () => {
    const trace = between('Keys: keyboard, 2 m, up converter, 20 m, line 1', 'l0-mid', 'l0-src');
    expect(trace.hypotheses.map((h) => h.id)).toContain('pin-1:l0-mid');
    expect(change(trace, 'pin-1:l0-mid', 'swap-box')).toBeLessThan(-18);
    expect(change(trace, 'pin-1:l0-mid', 'other-input')).toBeCloseTo(0, 6);
    expect(change(trace, 'pin-1:l0-in', 'swap-box')).toBeCloseTo(0, 6);
    // It is the current's: a plug in the box's input leaves it where it is.
    expect(Math.abs(change(trace, 'pin-1:l0-mid', 'short-box'))).toBeLessThan(3);
  });
});

describe('phantom off', () => {
  it('a box without it passes nothing on: what comes in before it ends, what comes in behind it stays', () => {
    const trace = between('Keys: keyboard earthed, 3 m, active DI, 30 m, mic 1 phantom', 'l0-src');
    for (const id of ['own-supply:l0-src', 'shield:l0-lead', 'loop'])
      expect([id, change(trace, id, 'phantom-off') < -18]).toEqual([id, true]);
    expect(change(trace, 'leg:l0-run', 'phantom-off')).toBeCloseTo(0, 0);
  });
  it('is asked for where something needs it, and nowhere else', () => {
    const probes = (text: string): string[] => traceOf(text).probes.map((p) => p.id);
    expect(probes('Bass: passive bass, 5 m, active DI, 20 m, mic 1 phantom')).toContain('phantom-off');
    expect(probes('Guitar: single coil, 5 m, passive DI, 20 m, mic 1 phantom')).not.toContain('phantom-off');
  });
});
