import { describe, expect, it } from 'vitest';
import { blankPlan } from '../plan/blank';
import { putLines } from '../plan/put';
import { resolve } from '../plan/resolved';
import { readTyped } from '../reader/read';
import { readTrade } from '../reader/trade/read';
import { onTwoSupplies } from '../tests/plans';
import { KINDS_OF_CAUSE, type KindOfCause, STORIES } from '../tests/stories';
import { type Answer, Trace } from './infer';

/** How much surer than an engineer a trace may be; what is ruled out is not believed beyond the second. */
const SURER = 0.1;
const RULED_OUT = 0.05;

function traceOf(lines: readonly string[]): Trace {
  const plan = onTwoSupplies(
    lines.reduce((so, text, k) => {
      const { specs } = readTyped(text, {}, readTrade);
      expect([text, specs.length]).toEqual([text, 1]);
      putLines(so, specs, () => (role) => `l${k}-${role}`);
      return so;
    }, blankPlan())
  );
  for (const d of Object.values(plan.devices)) if (d.supply !== undefined) d.supply = 'stage';
  return new Trace(plan, resolve(plan).line('l0-in')!);
}

/** What a trace believes of each kind of cause after what was said and tried, likeliest first. */
function believed(lines: readonly string[], told: string): [KindOfCause, number][] {
  const trace = traceOf(lines);
  const answers = told.split(', ').map((pair) => {
    const [ask, is] = pair.split(' ');
    expect([pair, trace.wordsOf(ask as Answer['ask']).includes(is as Answer['is'])]).toEqual([pair, true]);
    return { ask, is } as Answer;
  });
  const shares = new Map<KindOfCause, number>();
  for (const { hypothesis, share } of trace.beliefs(answers)) {
    const kind = KINDS_OF_CAUSE[hypothesis.code];
    shares.set(kind, (shares.get(kind) ?? 0) + share);
  }
  return [...shares].sort(([, a], [, b]) => b - a);
}

describe('noises as they come', () => {
  it.each(STORIES)('%s', (_, lines, told, is, not, sure) => {
    const shares = believed(lines, told);
    const [[first, share]] = shares;
    expect(is).toContain(first);
    expect(share).toBeLessThanOrEqual(sure + SURER);
    for (const kind of not)
      expect([kind, (shares.find(([k]) => k === kind)?.[1] ?? 0) <= RULED_OUT]).toEqual([kind, true]);
  });
});
