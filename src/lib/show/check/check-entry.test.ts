import { mergeReadings } from '$core/linecheck/merge';
import { type Reading, ReadingSchema } from '$core/linecheck/reading';
import { PROBE_IDS } from '$core/trace/probes';
import { describe, expect, it } from 'vitest';
import { CheckEntry } from './check-entry.svelte';
import { TraceRecordSchema } from '$lib/protocol/trace-record';

const merged = (r: Reading) => mergeReadings([{ ...r, by: null }]);
const reading = (some: Partial<Reading>): Reading => ({
  ...{ id: crypto.randomUUID(), lineId: 'line-1', at: '2026-01-01T00:00:00Z', practice: false },
  ...some
});

describe('what is being read of a line', () => {
  it('counts once it was touched, and goes on from what was read before', () => {
    const entry = new CheckEntry();
    expect(entry.read).toEqual({
      gainDb: null,
      peakDb: null,
      hum: null,
      content: null,
      pair: null,
      outcome: null,
      note: ''
    });
    expect(entry.changed).toBe(false);
    entry.turn(1, 29.4);
    expect([entry.gainDb, entry.touched]).toEqual([30, true]);
    entry.turn(-3, 29.4);
    expect(entry.gainDb).toBe(27);
    // The first press brings the peak that is expected, the next ones move it.
    entry.movePeak(1, -6.3);
    expect(entry.peakDb).toBe(-6);
    entry.movePeak(1, -6.3);
    expect(entry.peakDb).toBe(-5);
    expect(entry.changed).toBe(true);
    const before = entry.reading('line-1', false, false);
    const later = new CheckEntry();
    later.take(merged(before));
    expect(later.read).toEqual(entry.read);
    expect(later.changed).toBe(false);
    later.hum = 42;
    expect(later.changed).toBe(true);
    // Only what was read here is said, with what it stands in the place of: nothing was said of hum before.
    expect(later.reading('line-1', true, false)).toMatchObject({ hum: 42, done: true, saw: { hum: [] } });
    expect(later.reading('line-1', true, false)).not.toHaveProperty('gainDb');
  });
  it('follows what others read meanwhile, as far as nothing was read here', () => {
    const entry = new CheckEntry();
    entry.take(undefined);
    entry.turn(1, 20);
    const other = { ...reading({ gainDb: 25, hum: 'faint' }), saw: {} };
    entry.follow(merged(other));
    expect([entry.gainDb, entry.hum]).toEqual([21, 'faint']);
    const mine = entry.reading('line-1', true, false);
    expect(mine).toMatchObject({ gainDb: 21, saw: { gainDb: [] } });
    expect(mine).not.toHaveProperty('hum');
    // Neither knew of the other: both stand, until one is chosen.
    const both = mergeReadings([
      { ...mine, by: 'Mara' },
      { ...other, by: 'Jo' }
    ])!;
    expect(both.said.gainDb.map((s) => [s.by, s.value])).toEqual([
      ['Mara', 21],
      ['Jo', 25]
    ]);
    entry.take(both);
    entry.choose('gainDb', 21);
    const chosen = entry.reading('line-1', true, false);
    expect(chosen.saw?.gainDb).toEqual([mine.id, other.id]);
    expect(mergeReadings([chosen, mine, other].map((r) => ({ ...r, by: null })))!.said.gainDb).toHaveLength(1);
  });
  it('is a reading that the server takes, whatever was turned how far', () => {
    const entry = new CheckEntry();
    for (let k = 0; k < 300; k++) entry.turn(1, 0);
    for (let k = 0; k < 300; k++) entry.movePeak(-1, 0);
    entry.hum = 12.5;
    entry.pair = { sides: 'swapped', mono: null };
    entry.note = 'x'.repeat(900);
    const reading = ReadingSchema.parse(entry.reading('line-1', true, true));
    expect([reading.gainDb, reading.peakDb, reading.note?.length, reading.done, reading.practice]).toEqual([
      100,
      -90,
      500,
      true,
      true
    ]);
    expect(reading.pair).toEqual({ sides: 'swapped', mono: null });
  });
  it('readings from before there were peaks and pairs are still read', () => {
    const old = {
      id: crypto.randomUUID(),
      lineId: 'a',
      at: '2026-01-01T00:00:00Z',
      gainDb: 3,
      hum: 'faint',
      content: 'right',
      done: true,
      note: '',
      practice: false
    };
    expect(ReadingSchema.safeParse(old).success).toBe(true);
    const entry = new CheckEntry();
    entry.take(merged(ReadingSchema.parse(old)));
    expect(entry.read).toMatchObject({ gainDb: 3, peakDb: null, hum: 'faint', pair: null });
    expect(entry.changed).toBe(false);
  });
});

describe('what was found behind a noise', () => {
  const record = {
    id: crypto.randomUUID(),
    lineId: 'line-1',
    at: '2026-01-01T00:00:00Z',
    answers: [
      { ask: 'sound', is: 'hum' },
      { ask: 'lift', is: 'gone' }
    ],
    cause: 'A ring.',
    share: 0.94,
    note: ''
  };
  it('is taken with any test that there is, and with no answer that is none', () => {
    expect(TraceRecordSchema.safeParse(record).success).toBe(true);
    for (const ask of PROBE_IDS)
      expect(TraceRecordSchema.safeParse({ ...record, answers: [{ ask, is: 'same' }] }).success).toBe(true);
    for (const answers of [
      [{ ask: 'sound', is: 'gone' }],
      [{ ask: 'lift', is: 'hum' }],
      [{ ask: 'pray', is: 'same' }],
      Array(31).fill({ ask: 'lift', is: 'same' })
    ])
      expect(TraceRecordSchema.safeParse({ ...record, answers }).success).toBe(false);
    for (const wrong of [{ share: 1.2 }, { cause: '' }, { lineId: '../x' }, { id: '1' }, { extra: 1 }])
      expect(TraceRecordSchema.safeParse({ ...record, ...wrong }).success).toBe(false);
  });
});
