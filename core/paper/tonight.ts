import { problems } from '../judge/judge';
import type { Severity } from '../judge/types';
import { sentence } from '../words/findings';
import { nameOf } from '../words/paper';
import { sheets as says } from '../words/sheets';
import { why } from '../words/why';
import { foldRows } from './pairs';
import { linesOf } from './patch';
import type { Group, PaperInput, Row, Sheet } from './types';

/** One page for the evening: the worst first, what to watch, who to ask. */

/** Rows that a page has room for beside the last group. */
const ROOM = 24;
const GROUPS: readonly (readonly [severity: Severity, name: string])[] = [
  ['danger', says.dangers],
  ['stop', says.willNotWork],
  ['care', says.watch]
];

/** Dangers of a show, each with its channel and line; they lead the patch. */
export const dangersOf = (input: PaperInput): string[] =>
  told(input, 'danger').map(({ cells: [tag, name, said] }) => `${tag} ${name}: ${said}`);

/** All that is as bad as that, line by line. What is dangerous or does not work says why; what is to be watched is one sentence. */
function told({ plan, reports }: PaperInput, severity: Severity): Row[] {
  const rows = linesOf(plan).flatMap(({ line, tag }) => {
    const report = reports.get(line.id);
    return (report ? problems(report) : [])
      .filter((f) => f.severity === severity)
      .map((f, k) => ({
        key: `${line.id} ${f.code} ${f.at} ${k}`,
        line: line.id,
        cells: [tag, nameOf(line), sentence(f), severity === 'care' ? '' : why(f).reason]
      }));
  });
  return foldRows(plan, rows);
}

export function tonightSheet(input: PaperInput): Sheet {
  let room = ROOM;
  const groups = GROUPS.flatMap(([severity, name]): Group[] => {
    const rows = told(input, severity);
    // No danger and no stop is ever left out; of the rest what there is room for, and how many more there are.
    const shown = severity === 'care' ? rows.slice(0, Math.max(room, 0)) : rows;
    room -= shown.length;
    const more = rows.length - shown.length;
    if (more > 0) shown.push({ key: `more ${severity}`, cells: ['', '', says.andMoreOnTheBoard(more), ''] });
    return shown.length > 0 ? [{ name, rows: shown }] : [];
  });
  const { outdoors } = input.plan.policy;
  return {
    id: 'tonight',
    title: says.tonight,
    note: groups.length === 0 ? says.nothingIsWrongTonight : says.worstFirst,
    columns: [
      { head: says.ch, wide: 6, align: 'right' },
      { head: says.line, wide: 20 },
      { head: says.what, wide: 37 },
      { head: says.whyOrWhatToDo, wide: 37 }
    ],
    groups: [
      ...groups,
      {
        name: says.whoToAsk,
        rows: [
          { key: 'ask earth', cells: ['', says.aTingle, says.stopAndKeepAway, says.electrician] },
          ...(outdoors
            ? [{ key: 'ask outdoors', cells: ['', says.outdoors, says.residualCurrent, says.electrician] }]
            : [])
        ]
      }
    ]
  };
}
