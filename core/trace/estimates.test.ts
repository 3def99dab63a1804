import { describe, expect, it } from 'vitest';
import { resolve } from '../plan/resolved';
import { onTwoSupplies, show } from '../tests/plans';
import { capped, doubted } from './doubt';
import { besideOf, OTHERWISE, soundsOf } from './estimates';
import { chance, CHANGES } from './ear';
import { SOUNDS } from './hypotheses';
import { type Answer, type Belief, Trace } from './infer';

/** A trace of one line of a show, its sources on the stage's supply and the desk on another. */
function traceOf(texts: readonly string[], line = 'l0-in'): Trace {
  const plan = onTwoSupplies(show(...texts.map((text) => [text] as [string])));
  for (const d of Object.values(plan.devices)) if (d.supply !== undefined) d.supply = 'stage';
  return new Trace(plan, resolve(plan).line(line)!);
}
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const believed = (...shares: readonly (readonly [code: string, share: number])[]): Belief[] =>
  shares.map(([code, share]) => ({ hypothesis: { id: code, code } as Belief['hypothesis'], share }));
const told = (list: readonly Belief[]): [string, number][] =>
  list.map(({ hypothesis: { code }, share }) => [code, Number(share.toFixed(9))]);
const likely = (trace: Trace, id: string, answer: Answer): number =>
  trace.likelihood(
    trace.hypotheses.find((h) => h.id === id)!,
    answer
  );

describe('what no network tells', () => {
  it('is one sound or another, as likely as all of them together', () => {
    for (const code of ['field', 'loop', 'starved', 'contact', 'shield', 'supply', 'radio', 'low-level'] as const)
      for (const solved of [...SOUNDS, null]) expect(sum(soundsOf(code, solved).map(([, p]) => p))).toBeCloseTo(1, 12);
    expect(soundsOf('field', 'buzz')).toEqual([
      ['buzz', 0.65],
      ['hum', 0.35]
    ]);
    expect(soundsOf('low-level', 'hiss')).toEqual([['hiss', 1]]);
  });
  it('is a share of times, each test answered one way or another', () => {
    for (const tests of Object.values(OTHERWISE))
      for (const [share] of Object.values(tests)) expect(share > 0 && share <= 0.5).toBe(true);
    for (const db of [-80, -26, -12, -5, 0, 10]) expect(sum(CHANGES.map((is) => chance(db, is)))).toBeCloseTo(1, 9);
    // Of what should be gone a tenth is told as much less, besides those who say the word beside it.
    expect(chance(-60, 'much-less')).toBeCloseTo(0.04 / 5 + 0.96 * 0.16, 4);
    expect(chance(-60, 'gone')).toBeCloseTo(0.04 / 5 + 0.96 * 0.84, 4);
  });
  it('phantom is missing altogether one time in two: then it changes nothing that it is off', () => {
    const trace = traceOf(['Guitar: single coil, 4 m, active DI, 20 m, mic phantom on']);
    const off = likely(trace, 'starved:l0-mid', { ask: 'phantom-off', is: 'same' });
    expect(off).toBeGreaterThan(0.5 * chance(0, 'same'));
    expect(off).toBeLessThan(0.5 * chance(0, 'same') + 0.1);
  });
  it('a field along a multicore is heard on the pairs beside it, one along a cable of its own seldom', () => {
    expect([besideOf('field', true), besideOf('field', false), besideOf('shield', true)]).toEqual([0.85, 0.3, 0]);
    const all = (kind: string): number =>
      likely(traceOf(['A', 'B', 'C'].map((n) => `${n}: keyboard, 3 m, passive DI, 40 m${kind}, mic`)), 'field:l0-run', {
        ask: 'lines',
        is: 'all'
      });
    expect(all(' multicore')).toBeGreaterThan(2 * all(' mic cable'));
  });
  it('of two lines the other one is some others, and all of them', () => {
    const trace = traceOf(['A: keyboard earthed, 3 m, passive DI, 40 m, mic', 'B: dynamic mic, 20 m, mic']);
    for (const { id } of trace.hypotheses.filter((h) => h.code !== 'none'))
      expect(likely(trace, id, { ask: 'lines', is: 'some' })).toBe(likely(trace, id, { ask: 'lines', is: 'all' }));
  });
});

describe('how sure anybody may be', () => {
  it('of what was only told, three in four: what is over it is nobody’s', () => {
    const under = believed(['loop', 0.75], ['none', 0.15], ['leg', 0.1]);
    expect(told(doubted(under))).toEqual(told(under));
    expect(told(doubted(believed(['loop', 0.85], ['none', 0.1], ['leg', 0.05])))).toEqual([
      ['loop', 0.75],
      ['none', 0.2],
      ['leg', 0.05]
    ]);
  });
  it('of what nobody has thought of, nine in ten: what is over it is of all that was thought of, by their shares', () => {
    const under = believed(['none', 0.9], ['leg', 0.1]);
    expect(told(capped(under))).toEqual(told(under));
    expect(told(capped(believed(['none', 0.97], ['leg', 0.02], ['loop', 0.01])))).toEqual([
      ['none', 0.9],
      ['leg', 0.066666667],
      ['loop', 0.033333333]
    ]);
  });
});

describe('a plug in the place of a microphone', () => {
  it('leaves what comes into the cable, takes what the microphone makes or picks up; none where a box stands between', () => {
    const lines = ['Voice: dynamic mic, 20 m, mic', 'Keys: keyboard, 3 m, passive DI, 20 m, mic'];
    const trace = traceOf(lines);
    const probe = trace.probes.find((p) => p.id === 'short-source')!;
    const by = (id: string): number =>
      trace.changeOf(
        trace.hypotheses.find((h) => h.id === id)!,
        probe
      );
    expect(Math.abs(by('field:l0-lead'))).toBeLessThan(0.5);
    expect(Math.abs(by('contact:l0-lead'))).toBeLessThan(0.5);
    expect(by('own-supply:l0-src')).toBeLessThan(-20);
    expect(by('pickup:l0-src')).toBeLessThan(-20);
    expect(traceOf(lines, 'l1-in').probes.some((p) => p.id === 'short-source')).toBe(false);
  });
});
