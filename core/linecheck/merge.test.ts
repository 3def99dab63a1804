import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mergeReadings, READ_FIELDS } from './merge';
import { type Reading, ReadingSchema } from './reading';

let count = 0;
const made = (some: Partial<Reading>, by = 'Mara'): Reading & { by: string } => ({
  id: `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`,
  ...{ lineId: 'a', at: '2026-01-01T00:00:00Z', practice: false, by },
  ...some
});

describe('several readings of one line', () => {
  it('each says only what it read: a Done blanks nothing', () => {
    const gain = made({ gainDb: 28, note: 'pad in', saw: { gainDb: [], note: [] } });
    const done = made({ hum: 'faint', done: true, saw: { hum: [] } }, 'Jo');
    const both = mergeReadings([done, gain])!;
    expect(both).toMatchObject({ gainDb: 28, note: 'pad in', hum: 'faint', done: true, by: 'Jo', peakDb: null });
    expect(READ_FIELDS.every((f) => both.said[f].length <= 1)).toBe(true);
  });
  it('what two read without knowing of each other stands twice, newest first; a third who saw both decides', () => {
    const a = made({ gainDb: 28, saw: { gainDb: [] } });
    const b = made({ gainDb: 31, saw: { gainDb: [] } }, 'Jo');
    const both = mergeReadings([b, a])!;
    expect(both.said.gainDb.map((s) => [s.by, s.value])).toEqual([
      ['Jo', 31],
      ['Mara', 28]
    ]);
    expect(both.gainDb).toBe(31);
    const c = made({ gainDb: 28, saw: { gainDb: both.said.gainDb.map((s) => s.id) } });
    expect(mergeReadings([c, b, a])!.said.gainDb.map((s) => s.value)).toEqual([28]);
  });
  it('the same read twice is said once, and a reading can be taken back', () => {
    const a = made({ hum: 'faint', saw: { hum: [] } });
    const b = made({ hum: 'faint', saw: { hum: [] } }, 'Jo');
    expect(mergeReadings([b, a])!.said.hum).toHaveLength(1);
    const back = made({ hum: null, saw: { hum: [a.id, b.id] } });
    expect(mergeReadings([back, b, a])!.hum).toBeNull();
  });
  it('a reading of an earlier version says everything, and stands for all before it', () => {
    const a = made({ gainDb: 28, hum: 'clear', saw: { gainDb: [], hum: [] } });
    const old = made({ gainDb: null, hum: 'none', content: 'right', done: true, note: '' });
    expect(mergeReadings([old, a])).toMatchObject({ gainDb: null, hum: 'none', content: 'right', done: true });
    expect(mergeReadings([a, old])!.said.gainDb.map((s) => s.value)).toEqual([28]);
    const { by, ...sent } = old;
    expect([by, ReadingSchema.safeParse(sent).success]).toEqual(['Mara', true]);
    expect(mergeReadings([])).toBeUndefined();
  });
  it('of any history: what was written last by whoever saw it all is all that stands; nothing unseen is hidden', () => {
    const step = fc.record({ gain: fc.integer({ min: 0, max: 3 }), sees: fc.integer({ min: 0, max: 9 }) });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        const list: (Reading & { by: string })[] = [];
        for (const { gain, sees } of steps) {
          // Somebody whose device has heard of some of them only.
          const known = list.slice(Math.max(0, list.length - sees));
          const saw = mergeReadings(known)?.said.gainDb.map((s) => s.id) ?? [];
          list.unshift(made({ gainDb: gain, saw: { gainDb: saw } }));
        }
        const seen = new Set(list.flatMap((r) => r.saw!.gainDb!));
        const open = new Set(list.filter((r) => !seen.has(r.id)).map((r) => r.gainDb));
        expect(new Set(mergeReadings(list)!.said.gainDb.map((s) => s.value))).toEqual(open);
        const last = made({ gainDb: 9, saw: { gainDb: list.map((r) => r.id) } });
        expect(mergeReadings([last, ...list])!.said.gainDb.map((s) => s.value)).toEqual([9]);
      })
    );
  });
});
