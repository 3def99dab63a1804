import { resolve } from '../plan/resolved';
import { describe, expect, it } from 'vitest';
import { ropeRoom, saltRoad } from '../../src/lib/server/demo-shows';
import { judgePlan } from '../judge/judge';
import { pairsOf } from '../judge/pairs';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { differenceText, pairCauseText } from '../words/check';
import { expectedOf } from './expected';
import { explain } from './explain';
import { HUM_BOUNDS, HUM_WORDS, humWord } from './hum';
import { expectedPair, explainPair, monoOf, pairOff } from './pair';
import type { PairReading } from './pair-reading';
import { variantsOf } from './variants';
import { venueOf } from './venue';

const BASS = 'bass guitar passive bass, 3 m, active DI, 30 m, mic 1';
const of = (plan: Plan, k = 0) => {
  const line = resolve(plan).line(`l${k}-in`)!;
  return { line, report: judgePlan(plan).find((r) => r.id === line.id)! };
};
const first = (plan: Plan, reading: Parameters<typeof explain>[2], k = 0) =>
  explain(plan, of(plan, k).line, reading)[0].what;

describe('a reading', () => {
  it('is expected where the plan puts it, and within the spread of its class', () => {
    const plan = show([BASS]);
    const { line, report } = of(plan);
    const { gain } = expectedOf(plan, line, report);
    expect(gain!.usual).toBe(report.gain);
    expect(gain!.from).toBeLessThan(gain!.usual);
    expect(gain!.to).toBeGreaterThan(gain!.usual);
    for (const word of HUM_WORDS) expect(humWord(Math.max(HUM_BOUNDS[word][0], -20))).toBe(word);
  });
  it('that agrees is as planned; one that is off is explained by what was solved', () => {
    const plan = show([BASS], ['Voice: dynamic mic (nominal -48 dBu), 30 m, mic 2']);
    const gain = of(plan).report.gain!;
    expect(first(plan, { gainDb: gain, hum: 'faint', content: 'right' })).toEqual({ code: 'as-planned' });
    expect(first(plan, { gainDb: null, hum: null, content: 'silent' })).toEqual({ code: 'phantom-off' });
    expect(first(plan, { gainDb: of(plan, 1).report.gain!, hum: null, content: 'wrong' })).toEqual({
      code: 'other-source',
      lineId: 'l1-in',
      pair: false
    });
    const voice = of(plan, 1).report.gain!;
    expect(first(plan, { gainDb: voice + 20, hum: 'none', content: 'right' }, 1)).toMatchObject({
      code: 'switch',
      setting: 'pad',
      value: '20'
    });
  });
  it('of a leg lost, of the other side of a pair, of a battery on its last', () => {
    const desk = show(['Out: balanced line, 20 m, line 1']);
    expect(first(desk, { gainDb: of(desk).report.gain! + 6, hum: null, content: null })).toMatchObject({
      code: 'half-lost'
    });
    const pair = { pair: 'organ' };
    const two = show(
      ['organ piezo, 3 m, active DI 10m, 20 m, mic 1', pair],
      ['organ piezo, 3 m, active DI 10m, 20 m, mic 2', pair]
    );
    expect(first(two, { gainDb: null, hum: null, content: 'wrong' })).toMatchObject({
      code: 'other-source',
      pair: true
    });
    const loud = show(['active bass (nominal 4 dBu), 3 m, active DI on battery pad 10, 20 m, mic']);
    expect(of(loud).report.room!).toBeGreaterThan(0);
    expect(first(loud, { gainDb: null, hum: null, content: 'distorted', peakDb: -12 })).toMatchObject({
      code: 'battery-weak'
    });
  });
  it('shares of all causes add up to one, and every one has words', () => {
    const plan = saltRoad();
    for (const line of traceLines(plan)) {
      const causes = explain(plan, line, { gainDb: 30, hum: 'faint', content: 'right' });
      expect(causes.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
      expect(causes.length).toBe(variantsOf(plan, line).length);
      for (const { what } of causes) expect(differenceText(what, (id) => id)).not.toMatch(/undefined|NaN/);
    }
  });
});

describe('the stand-in venue', () => {
  it('is the same for the same seed, and another for another', () => {
    const plan = saltRoad();
    expect(venueOf(plan, 7)).toEqual(venueOf(plan, 7));
    expect(venueOf(plan, 8)).not.toEqual(venueOf(plan, 7));
  });
  it('its hidden differences are found from its readings: among the first three, and as often as is claimed', () => {
    let [wrong, found, fine, right, claimed, kept] = [0, 0, 0, 0, 0, 0];
    for (const plan of [saltRoad(), ropeRoom()])
      for (let seed = 1; seed <= 4; seed++)
        for (const { lineId, hidden, reading } of venueOf(plan, seed)) {
          const causes = explain(plan, resolve(plan).line(lineId)!, reading);
          const same = (k: number): boolean => JSON.stringify(causes[k]?.what) === JSON.stringify(hidden);
          if (hidden.code === 'as-planned') {
            fine++;
            if (same(0)) right++;
          } else {
            wrong++;
            if (same(0) || same(1) || same(2)) found++;
          }
          if (causes[0].share < 0.8) continue;
          claimed++;
          if (same(0)) kept++;
        }
    expect(wrong).toBeGreaterThan(20);
    expect(found / wrong).toBeGreaterThan(0.85);
    expect(right / fine).toBeGreaterThan(0.93);
    expect(kept / claimed).toBeGreaterThan(0.9);
  }, 300_000);
});

describe('two sides of a pair', () => {
  const STEREO = 'keyboard, 3 m, active DI, 30 m, mic';
  const two = (change: (plan: Plan) => void = () => undefined) => {
    const plan = show([`${STEREO} 1`, { pair: 'Keys' }], [`${STEREO} 2`, { pair: 'Keys' }]);
    change(plan);
    const [pair] = pairsOf(plan, traceLines(plan), new Map(judgePlan(plan).map((r) => [r.id, r])));
    return { plan, pair };
  };
  it('add up to 6 dB more in mono when they are alike, and to nothing when one is turned over', () => {
    const { pair } = two();
    expect(monoOf(pair)).toBeCloseTo(20 * Math.log10(2), 1);
    expect(expectedPair(pair)).toEqual({ sides: 'right', mono: 'holds' });
    const over = two((plan) => void (plan.devices['l1-mid'].settings.polarity = 'inverted')).pair;
    expect(monoOf(over)).toBeLessThan(-30);
    expect(expectedPair(over)).toEqual({ sides: 'right', mono: 'cancels' });
    expect(pairOff(expectedPair(pair), { sides: null, mono: 'cancels' })).toBe(true);
    expect(pairOff(expectedPair(pair), { sides: 'right', mono: null })).toBe(false);
    expect(pairOff(expectedPair(pair), undefined)).toBe(false);
  });
  it('that do otherwise are explained by what turns one over, swaps, joins or silences them', () => {
    const { plan, pair } = two();
    const best = (sides: PairReading['sides'], mono: PairReading['mono']) => explainPair(plan, pair, { sides, mono });
    expect(best('right', 'holds')[0].what.code).toBe('as-planned');
    expect(best('swapped', 'holds')[0].what).toMatchObject({ code: 'other-source', pair: true });
    expect(best('both', 'holds')[0].what.code).toBe('joined');
    const cancels = best('right', 'cancels');
    // Either side may be the one that is over; what does it is a switch more often than a lead.
    const crossed = cancels.findIndex((c) => c.what.code === 'crossed');
    const before = cancels.slice(0, crossed);
    expect(before.every((c) => c.what.code === 'switch')).toBe(true);
    expect(new Set(before.map((c) => c.lineId))).toEqual(new Set(pair.lines));
    expect(best('one', null)[0].what.code).toBe('phantom-off');
    for (const causes of [cancels, best('one', 'holds')]) {
      expect(causes.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
      for (const c of causes) expect(pairCauseText(c, (id) => id)).toMatch(/\w/);
    }
  });
});
