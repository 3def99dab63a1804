import { type Expected, gainToWorking, peakAt } from '$core/linecheck/expected';
import { type MergedReading, mergeReadings } from '$core/linecheck/merge';
import { judgePlan } from '$core/judge/judge';
import { traceLines } from '$core/plan/lines';
import { saltRoad } from '$lib/server/demo-shows';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkable, gainOff, humOff, isOff, orderOf, standingOf } from './check-state';

const expected: Expected = { gain: { usual: 30, from: 24, to: 36 }, crest: 14, lively: 2, metered: true, humBelow: 70 };
const reading: MergedReading = mergeReadings([
  {
    by: null,
    id: '00000000-0000-4000-8000-000000000000',
    lineId: 'x',
    at: '2026-01-01T00:00:00Z',
    gainDb: 30,
    hum: 'none',
    content: 'right',
    done: true,
    note: '',
    practice: false
  }
])!;

describe('how a line stands', () => {
  it('a gain is off by what it lies outside of what is expected, and what a knob can be read to', () =>
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 100 }), (gain) => {
        const off = gainOff(expected, gain);
        if (gain >= 22 && gain <= 38) expect(off).toBe(0);
        else expect(off).toBe(gain > 38 ? gain - 36 : gain - 24);
        // What is not known is never off.
        expect(gainOff({ ...expected, gain: null }, gain)).toBe(0);
        expect(gainOff(expected, null)).toBe(0);
      })
    ));
  it('by the peak that was read at it, whatever room was left', () =>
    fc.assert(
      fc.property(fc.integer({ min: -30, max: 60 }), fc.integer({ min: -30, max: 30 }), (gain, more) => {
        // Planned: at 30 dB the loudest stands at −6 dBFS.
        const peak = peakAt(expected, gain)!;
        expect(peak).toBe(-6 + gain - 30);
        expect(gainToWorking(expected, { gainDb: gain, peakDb: peak })).toBeCloseTo(30, 9);
        // Louder by so much than planned: so much less gain would do.
        expect(gainToWorking(expected, { gainDb: gain, peakDb: peak + more })).toBeCloseTo(30 - more, 9);
        expect(gainToWorking(expected, { gainDb: gain, peakDb: null })).toBe(gain);
        expect(isOff(expected, { gainDb: gain, peakDb: peak, hum: null, content: null })).toBe(false);
      })
    ));
  it('hum is off only when it is louder than foreseen', () => {
    expect([humOff(expected, 'none'), humOff(expected, 'faint'), humOff(expected, 'clear')]).toEqual([
      false,
      true,
      true
    ]);
    const faint = { ...expected, humBelow: 50 };
    expect([humOff(faint, 'none'), humOff(faint, 'faint'), humOff(faint, 'clear')]).toEqual([false, false, true]);
    expect([humOff(expected, 30), humOff(expected, 90), humOff({ ...expected, humBelow: null }, 'clear')]).toEqual([
      true,
      false,
      false
    ]);
  });
  it('is told by what was read: not yet, begun, done, done but not as planned', () => {
    expect(standingOf(expected, undefined)).toBe('open');
    expect(standingOf(expected, { ...reading, done: false })).toBe('started');
    expect(standingOf(expected, reading)).toBe('right');
    for (const off of [{ gainDb: 60 }, { hum: 'clear' as const }, { content: 'distorted' as const }]) {
      expect(isOff(expected, { ...reading, ...off })).toBe(true);
      expect(standingOf(expected, { ...reading, ...off })).toBe('off');
    }
    expect(isOff(expected, { gainDb: null, peakDb: null, hum: null, content: null })).toBe(false);
  });
});

describe('the order of the check', () => {
  const plan = saltRoad();
  const reports = new Map(judgePlan(plan).map((r) => [r.id, r]));
  const lines = checkable(plan, traceLines(plan), reports);
  it('has every complete line once, whatever it goes by', () => {
    expect(lines).toHaveLength(12);
    for (const order of ['channel', 'place', 'open'] as const)
      expect(
        new Set(
          orderOf(
            lines,
            order,
            () => 'a',
            () => 'open'
          )
        )
      ).toEqual(new Set(lines));
  });
  it('by place keeps the channels in order within one; what is left comes first', () => {
    const place = (l: (typeof lines)[number]): string => ((l.info?.channel ?? 0) % 2 ? 'odd' : 'even');
    const channels = orderOf(lines, 'place', place, () => 'open').map((l) => l.info!.channel);
    expect(channels).toEqual([2, 4, 6, 8, 10, 12, 1, 3, 5, 7, 9, 11]);
    const left = orderOf(lines, 'open', place, (l) => ((l.info?.channel ?? 0) < 10 ? 'right' : 'open'));
    expect(left.slice(0, 3).map((l) => l.info!.channel)).toEqual([10, 11, 12]);
  });
});
