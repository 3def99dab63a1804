import { describe, expect, it } from 'vitest';
import { judgePlan } from '../judge/judge';
import { pairsOf } from '../judge/pairs';
import { blankPlan } from '../plan/blank';
import { applyEdit } from '../plan/edit';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { readLine } from '../reader/read-line';
import { lowCutText, pairText } from '../words/hints';
import { lowCutFor } from './range';

function show(...texts: string[]): Plan {
  const plan = blankPlan();
  texts.forEach((text, k) => putLine(plan, readLine(text).spec!, (role) => `l${k}-${role}`));
  return plan;
}
const plain = (text: string): string => text.replaceAll('\u202F', ' ');
const cut = (text: string) => {
  const plan = show(text);
  return { plan, cut: lowCutFor(plan, traceLines(plan)[0]) };
};

describe('a low cut by the instrument’s own range', () => {
  it.each([
    ['violin piezo, 3 m, active DI 10m, 20 m, mic', 80],
    ['dulcimer piezo, 3 m, preamp DI, 20 m, mic', 40],
    ['upright bass piezo, 3 m, active DI 10m, 20 m, mic', null],
    ['violin piezo, 3 m, active DI 10m low cut 80, 20 m, mic', null],
    ['violin piezo, 3 m, passive DI, 20 m, mic', null]
  ])('%s: %s', (text, hz) => expect(cut(text).cut?.hz ?? null).toBe(hz));

  it('is never higher than the one before the note is missed', () => {
    const { plan, cut: found } = cut('violin piezo, 3 m, active DI 10m, 20 m, mic');
    expect(found!.lossDb).toBeGreaterThan(0);
    expect(found!.lossDb).toBeLessThanOrEqual(1);
    const applied = applyEdit(plan, { ops: [...found!.ops] });
    if (!applied.ok) throw new Error();
    const [is] = judgePlan(applied.plan);
    const [was] = judgePlan(plan);
    const near = (r: typeof is, f: number) => r.response!.db[r.response!.hz.findIndex((hz) => hz >= f)];
    expect(near(was, 20) - near(is, 20)).toBeCloseTo(found!.rumbleDb, 1);
    expect(is.findings.some((f) => f.code === 'cut-too-high' && f.severity !== 'clean')).toBe(false);
    expect(plain(lowCutText(found!))).toMatch(
      /^A low cut at 80 Hz in the active DI, 10 MΩ takes 0\.\d dB off the lowest note/
    );
  });
});

describe('stereo pairs', () => {
  const left = 'organ piezo, 3 m, active DI 10m, 20 m, mic';
  function pair(right: string, name = 'organ') {
    const plan = show(left, right);
    for (const id of ['l0-in', 'l1-in']) plan.lines[id].pair = name;
    const lines = traceLines(plan);
    return pairsOf(plan, lines, new Map(judgePlan(plan).map((r) => [r.id, r])));
  }
  it('alike on both sides', () => {
    const [same] = pair(left);
    expect(same).toMatchObject({ name: 'organ', levelDb: 0, sameBoxes: true });
    expect(same.responseDb).toBeLessThan(1e-9);
    expect(pairText(same, 'Right')).toBe('Both sides match.');
  });
  it('another lead moves the level, another box the response too', () => {
    const [long] = pair('organ piezo, 9 m, active DI 10m, 20 m, mic');
    expect(long.levelDb).toBeLessThan(-2);
    expect(long.sameBoxes).toBe(true);
    const [other] = pair('organ piezo, 3 m, active DI, 20 m, mic');
    expect(other.responseDb).toBeGreaterThan(2);
    expect(plain(pairText(other, 'Right'))).toMatch(
      /^Right is .* lower: trim it up by that; .*, and their DIs differ\.$/
    );
  });
  it('a pad on one side is a level to be trimmed, and nothing else', () => {
    const [padded] = pair('organ piezo, 3 m, active DI 10m, 20 m, mic (pad 20)');
    expect(Math.abs(padded.levelDb)).toBeLessThan(0.5);
  });
  it('a side with its polarity turned over is told, turned over twice it is not', () => {
    const [turned] = pair('organ piezo, 3 m, active DI 10m inverted, 20 m, mic');
    expect(turned.opposite).toBe(true);
    expect(pairText(turned, 'Right')).toContain('summed to mono, the middle cancels');
    const [twice] = pair('organ piezo, 3 m, active DI 10m inverted, 20 m mic cable swapped, mic');
    expect(twice.opposite).toBe(false);
  });
  it('one side, or three, are no pair', () => {
    const plan = show(left, left, left);
    plan.lines['l0-in'].pair = 'organ';
    const of = () => pairsOf(plan, traceLines(plan), new Map(judgePlan(plan).map((r) => [r.id, r])));
    expect(of()).toEqual([]);
    plan.lines['l1-in'].pair = plan.lines['l2-in'].pair = 'organ';
    expect(of()).toEqual([]);
  });
});
