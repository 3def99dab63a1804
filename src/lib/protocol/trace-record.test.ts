import { PROBE_IDS } from '$core/trace/probes';
import { type Answer, type Ask, TOLD_ASKS, wordsOf } from '$core/trace/infer';
import { askText, cureOfAsk, wordText } from '$core/words/tracing';
import { describe, expect, it } from 'vitest';
import { type TraceRecord, TraceRecordSchema } from './trace-record';

const ASKS: readonly Ask[] = [...TOLD_ASKS, ...PROBE_IDS];
const record: TraceRecord = {
  id: '0b1f6f3e-3f0e-4f0a-9a43-0d6c1f1d9a10',
  lineId: 'l-6-in',
  at: '2026-02-01T20:15:00.000Z',
  answers: [],
  cause: 'A ring.',
  share: 0.93,
  note: ''
};
const faultsOf = (value: unknown): string[] => {
  const read = TraceRecordSchema.safeParse(value);
  return read.success ? [] : read.error.issues.map((i) => i.path.join('.'));
};

describe('the record of a trace', () => {
  it('takes every answer that can be given, and gives it back', () => {
    for (const ask of ASKS)
      for (const is of wordsOf(ask)) {
        const answers = [{ ask, is } as Answer];
        expect(TraceRecordSchema.parse({ ...record, answers }).answers).toEqual(answers);
      }
  });
  it('takes no word that does not belong to its question', () => {
    for (const ask of ASKS) {
      const own = new Set<string>(wordsOf(ask));
      const foreign = ASKS.flatMap((a) => [...wordsOf(a)]).find((w) => !own.has(w))!;
      expect(faultsOf({ ...record, answers: [{ ask, is: foreign }] })).toEqual(['answers.0.is']);
    }
    expect(faultsOf({ ...record, answers: [{ ask: 'kick-it', is: 'gone' }] })).toEqual(['answers.0.ask']);
  });
  it('reads the words of an earlier version as those of today', () => {
    const earlier = [
      { ask: 'lift', is: 'quieter' },
      { ask: 'touch', is: 'louder' }
    ];
    expect(TraceRecordSchema.parse({ ...record, answers: earlier }).answers.map((a) => a.is)).toEqual([
      'much-less',
      'worse'
    ]);
  });
  it('says which field is wrong', () => {
    expect(faultsOf({ ...record, share: 1.2 })).toEqual(['share']);
    expect(faultsOf({ ...record, at: 'yesterday' })).toEqual(['at']);
    expect(faultsOf({ ...record, lineId: 'Line 6' })).toEqual(['lineId']);
    expect(faultsOf({ ...record, cause: '' })).toEqual(['cause']);
    expect(faultsOf({ ...record, cause: 'x'.repeat(201) })).toEqual(['cause']);
    expect(faultsOf({ ...record, by: 'me' })).toEqual(['']);
    const answers = Array.from({ length: 31 }, () => ({ ask: 'lift', is: 'gone' }));
    expect(faultsOf({ ...record, answers })).toEqual(['answers']);
    const besides = (count: number) => Array.from({ length: count }, () => ({ cause: 'A lead.', share: 0.1 }));
    expect(
      faultsOf({ ...record, besides: besides(3), skipped: ['lift', 'sound'], cured: null, seconds: 604_800 })
    ).toEqual([]);
    expect(faultsOf({ ...record, besides: besides(4) })).toEqual(['besides']);
    expect(faultsOf({ ...record, seconds: 604_801 })).toEqual(['seconds']);
    expect(faultsOf({ ...record, cured: 'sound' })).toEqual(['cured']);
  });
  it('reads as sentences: every test says what to do, with no step of its gates left in what it is afterwards', () => {
    for (const ask of PROBE_IDS) {
      expect(askText(ask)).toMatch(/^[A-Z].*\.$/);
      expect(cureOfAsk(ask)).toMatch(/^[A-Z].*\.$/);
      expect(cureOfAsk(ask)).not.toMatch(/^Mute|[Uu]nmute\.$/);
      // What is plugged or switched while it is live is muted first.
      if (/\b[Pp]lug the|\b[Pp]ull|\b[Pp]ut|[Cc]hange the lead|ground switch|[Pp]hantom/.test(cureOfAsk(ask)))
        expect(askText(ask)).toMatch(/^Mute/);
      for (const is of wordsOf(ask)) expect(wordText(ask, is)).toMatch(/^[a-z]/);
    }
  });
});
