// Paper: the plan as tables, the same ones for screen, print, PDF and CSV. What stands in them is worded here and in the words.
import type { LineReport } from '../judge/judge';
import type { Kit } from '../kit/schema';
import type { Plan } from '../plan/schema';

interface Column {
  readonly head: string;
  /** Share of the width, for paper. */
  readonly wide: number;
  readonly align?: 'right';
}
/** One row; its key tells it again in another revision. */
export interface Row {
  readonly key: string;
  /** Of rows that begin with a line's tag and name: whose. */
  readonly line?: string;
  readonly cells: readonly string[];
  /** What became of it since a printed revision. */
  readonly mark?: 'new' | 'changed';
}
/** Rows that stay together on a page. */
export interface Group {
  readonly name: string;
  readonly rows: readonly Row[];
}
export interface Sheet {
  readonly id: SheetId;
  readonly title: string;
  /** One sentence on how to read it, or what is left out. */
  readonly note: string;
  /** What nobody may miss: it stands before everything else. */
  readonly dangers?: readonly string[];
  readonly columns: readonly Column[];
  readonly groups: readonly Group[];
  /** Rows of a printed revision that are no longer there. */
  readonly gone?: readonly string[];
}

export const SHEET_IDS = [
  'patch',
  'tonight',
  'places',
  'boxes',
  'phantom',
  'gain',
  'cables',
  'small',
  'packing',
  'changeover'
] as const;
export type SheetId = (typeof SHEET_IDS)[number];

/** What the sheets are made from. */
export interface PaperInput {
  readonly plan: Plan;
  readonly reports: ReadonlyMap<string, LineReport>;
  /** What it is packed from; null where anything can be had. */
  readonly kit: Kit | null;
}

/** Rows into groups by a name, in the order in which names first come. */
export function grouped<T>(list: readonly T[], nameOf: (item: T) => string, rowOf: (item: T) => Row): Group[] {
  const by = new Map<string, Row[]>();
  for (const item of list) {
    const name = nameOf(item);
    const rows = by.get(name);
    if (rows) rows.push(rowOf(item));
    else by.set(name, [rowOf(item)]);
  }
  return [...by].map(([name, rows]) => ({ name, rows }));
}
