import type { EntryKind } from '../log/entry';
import { mergeReadings } from '../linecheck/merge';
import type { Reading } from '../linecheck/reading';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { checkedText, partText } from './check';

/** What the log says of what happened by itself. */

export const KIND_NAMES: Readonly<Record<EntryKind, string>> = {
  edit: 'Plan',
  reading: 'Check',
  trace: 'Trace',
  stop: 'Stop',
  cleared: 'Stop cleared',
  print: 'Print',
  kit: 'Kit',
  note: 'Note',
  take: 'Take'
};

/** A line as somebody read it. @param line as it was then; undefined where it is gone */
export function readingEntry(plan: Plan, line: Line | undefined, name: string, reading: Reading): string {
  const values = mergeReadings([{ ...reading, by: null }])!;
  return `${name}: ${checkedText(values, (id) => line && partText(plan, line, id))}`;
}

/** What was found behind a noise. */
export function traceEntry(
  name: string,
  { cause, share, note, cured }: { cause: string; share: number; note: string; cured?: string | null }
): string {
  const sure = `${Math.round(share * 100)}\u202F%`;
  return [`${name}: ${cause} (${sure}${cured ? ', cured' : ''})`, ...(note === '' ? [] : [`“${note}”`])].join(', ');
}

export const stopEntry = (where: string | null): string => `Stop called${where ? ` at ${where}` : ''}`;
export const clearedEntry = (where: string | null, by: string, found: string | null): string =>
  `Stop${where ? ` at ${where}` : ''} cleared by ${by}${found ? `: “${found}”` : ''}`;
export const printEntry = (revision: number): string => `Printed, revision ${revision}`;
