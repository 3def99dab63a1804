import type { Line } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';
import { type LineSpec, specOf } from '$core/plan/spec';
import { namesOf } from '$core/reader/names';
import { readLine } from '$core/reader/read-line';
import { tellLine } from '$core/reader/write-line';

/** Lines travel over the clipboard as the words they are said in, one a row: they can be mailed, kept and pasted back. */

/** A line as text; null when it is more than words can say. */
export function copyText(plan: Plan, line: Line): string | null {
  const spec = specOf(plan, line);
  return spec && tellLine(spec, namesOf(plan));
}

/** Most lines taken from one paste. */
const MOST = 64;

/** Rows of pasted text, each a line in words. */
export const pastedRows = (text: string): string[] =>
  text
    .split(/\r?\n/)
    .map((row) => row.trim().slice(0, 300))
    .filter((row) => row !== '')
    .slice(0, MOST);

/** A row as a line of this plan; null when it is not understood. Read one by one: a row may leave the line of the row before. */
export const readRow = (plan: Plan, row: string): LineSpec | null => readLine(row, namesOf(plan)).spec;
