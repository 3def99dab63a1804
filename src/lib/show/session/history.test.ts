import { reverseOps } from '$core/plan/steps';
import type { Op } from '$core/plan/schema';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type History, NO_HISTORY, record } from './history';
import type { SentEdit } from '$lib/protocol/edits';

const op = (from: number, to: number): Op => ({ op: 'set', table: 'cables', id: 'c', path: ['metres'], from, to });
let next = 0;
const sent = (kind: SentEdit['kind'], of: string | null, ops: Op[]): SentEdit => ({
  edit: { id: `id-${next++}`, label: { code: 'set', subject: 'c' }, ops },
  kind,
  of
});

describe('history', () => {
  it('undo, redo and new edits behave as people expect', () => {
    const a = sent('do', null, [op(1, 2)]);
    const b = sent('do', null, [op(2, 3)]);
    let h = [a, b].reduce(record, NO_HISTORY);
    const step = h.undo.at(-1)!;
    h = record(h, sent('undo', step.id, reverseOps(step.ops)));
    expect(h.undo.map((s) => s.id)).toEqual([a.edit.id]);
    expect(h.redo).toEqual([step]);
    h = record(h, sent('redo', step.id, [...step.ops]));
    expect(h.undo.at(-1)).toEqual(step);
    h = record(record(h, sent('undo', step.id, reverseOps(step.ops))), sent('do', null, [op(2, 9)]));
    expect(h.redo).toEqual([]);
  });

  it('an undo of an edit older than the log still leaves something to redo', () => {
    const h = record(NO_HISTORY, sent('undo', 'long-ago', [op(5, 4)]));
    expect(h.redo).toMatchObject([{ id: 'long-ago', ops: [op(4, 5)] }]);
  });

  it('folding a log gives what was on screen while it was made', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom('do', 'undo', 'redo')), (acts) => {
        const log: SentEdit[] = [];
        let live: History = NO_HISTORY;
        let value = 0;
        const push = (s: SentEdit): void => {
          log.push(s);
          live = record(live, s);
          value = (s.edit.ops[0] as { to: number }).to;
        };
        for (const act of acts) {
          if (act === 'do') push(sent('do', null, [op(value, value + 1)]));
          const step = act === 'undo' ? live.undo.at(-1) : act === 'redo' ? live.redo.at(-1) : undefined;
          if (step) push(sent(act, step.id, act === 'undo' ? reverseOps(step.ops) : [...step.ops]));
        }
        expect(log.reduce(record, NO_HISTORY)).toEqual(live);
        // As many steps back as there are in the history lead to the start.
        expect(live.undo.length).toBe(value);
      })
    ));
});
