import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { toDbu } from '../units/quantity';
import { deskCutText, eqText, loudnessText, matchText } from '../words/hints';
import { type Band, bandDb, deskCutHz, equaliserFor } from './eq';
import { hintsFor } from './hints';

const hints = (plan: Plan, k = 0) =>
  hintsFor(
    plan,
    traceLines(plan).find((l) => l.id === `l${k}-in`)!
  );
const plain = (text: string): string => text.replaceAll('\u202f', ' ');
const HZ = Array.from({ length: 200 }, (_, k) => 20 * 2 ** (k / 20));

describe('an equaliser', () => {
  const band: fc.Arbitrary<Band> = fc.record({
    kind: fc.constantFrom('low-shelf', 'bell', 'high-shelf'),
    hz: fc.constantFrom(100, 250, 1000, 3150),
    gainDb: fc.integer({ min: -9, max: 9 }).filter((g) => Math.abs(g) > 3),
    q: fc.constantFrom(0.7, 1.4)
  });
  it('has its gain at its centre, half of it in the middle of a shelf, and none where it does not reach', () =>
    fc.assert(
      fc.property(band, (b) => {
        const [low, high] = [bandDb(b, b.hz / 1e4), bandDb(b, b.hz * 1e4)];
        expect(bandDb(b, b.hz)).toBeCloseTo(b.kind === 'bell' ? b.gainDb : b.gainDb / 2, 6);
        expect(low).toBeCloseTo(b.kind === 'low-shelf' ? b.gainDb : 0, 3);
        expect(high).toBeCloseTo(b.kind === 'high-shelf' ? b.gainDb : 0, 3);
        // The opposite gain undoes it.
        expect(bandDb({ ...b, gainDb: -b.gainDb }, 777)).toBeCloseTo(-bandDb(b, 777), 9);
      })
    ));
  it('undoes what one band has done, whatever the band', () =>
    fc.assert(
      fc.property(band, (b) => {
        if (b.kind !== 'bell' && b.q !== 0.7) return;
        const response = { hz: HZ, db: HZ.map((f) => bandDb(b, f)), ideal: HZ.map(() => 0) };
        const found = equaliserFor({ response, notes: { low: 40, high: 1000, reach: 8000 } });
        if (!found) return;
        expect(found.after).toBeLessThan(Math.max(found.before / 3, 0.8));
      }),
      { numRuns: 12 }
    ));
  it('is offered for a long lead, and takes most of what the lead did; none for a short one', () => {
    const long = hints(show(['guitar single coil, 14 m, active DI, 20 m, mic'])).eq!;
    expect(long.after).toBeLessThan(long.before * 0.7);
    expect(plain(eqText(long))).toMatch(/^[+−]\d+ dB .* brings? it within ±[\d.]+ dB of the unloaded source/);
    expect(hints(show(['keyboard, 3 m, active DI, 20 m, mic'])).eq).toBeNull();
  });
  it('a desk may cut below the lowest note: 1 dB there, by the filter’s own formula', () => {
    const f = deskCutHz(82);
    expect(10 * Math.log10(1 + (f / 82) ** 4)).toBeCloseTo(1, 9);
    const { deskCut } = hints(show(['violin acoustic preamp, 3 m, passive DI, 20 m, mic']));
    expect(plain(deskCutText(deskCut!))).toContain(
      'A desk’s low cut of 12 dB an octave can be set to 140 Hz: it takes 1 dB off the lowest note, 196 Hz.'
    );
    expect(hints(show(['upright bass piezo, 3 m, active DI 10m, 20 m, mic'])).deskCut).toBeNull();
  });
});

describe('loudness', () => {
  it('of a stereo programme puts each channel LUFS under the largest sine; of a mono one 3 dB higher', () => {
    const plan = show(
      ['laptop, 3 m, media DI, 10 m, mic', { loudness: -16 }],
      ['Tape: rca player, 3 m, rca input', { loudness: -20 }]
    );
    // A rail of 2.26 V holds a sine of 0.8 V RMS; the player gives at most 2 V.
    expect(hints(plan).loudness!.nominalDbu).toBeCloseTo(toDbu(2.26 / (2 * Math.SQRT2)) - 16, 6);
    const tape = hints(plan, 1).loudness!;
    expect(tape.nominalDbu).toBeCloseTo(toDbu(10 ** (6 / 20)) - 20 + 3.0103, 3);
    expect(plain(loudnessText(tape))).toBe(
      'Programme of −20.0 LUFS leaves this output at −8.8 dBu on average; the plan has −7.8.'
    );
    const done = applyEdit(plan, { ops: [...tape.ops] });
    if (!done.ok) throw new Error('not applied');
    expect(hints(done.plan, 1).loudness!.ops).toEqual([]);
    // Peaks end at full scale.
    expect(Number(done.plan.devices['l1-src'].settings.crest) + tape.nominalDbu).toBeCloseTo(toDbu(10 ** (6 / 20)), 2);
  });
  it('of two lines is compared at equal gain, whether or not the level is set from it already', () => {
    const of = (a: number, b: number) =>
      show(
        ['Tape: rca player, 3 m, rca input', { loudness: a }],
        ['Player: rca player, 3 m, rca input', { loudness: b, asLoudAs: 'l0-in' }]
      );
    const match = hints(of(-20, -14), 1).match!;
    expect(match.louderDb).toBeCloseTo(6, 6);
    expect(plain(matchText(match, 'Tape'))).toMatch(
      /^At equal gain it is 6.0 LU louder than Tape: give it 6.0 dB less gain\./
    );
    const set = of(-20, -14);
    const done = applyEdit(set, { ops: [...hints(set, 1).loudness!.ops] });
    expect(done.ok && hints(done.plan, 1).match!.louderDb).toBeCloseTo(6, 1);
    expect(hints(show(['Tape: rca player, 3 m, rca input', { asLoudAs: 'gone' }])).match).toBeNull();
  });
});
