import type { Line } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';
import { type LineSpec, specOf } from '$core/plan/spec';
import { readLine } from '$core/say/read';
import { tellLine } from '$core/say/tell';

/** Lines travel over the clipboard as the words they are said in, one a row: they can be mailed, kept and pasted back. */

const suppliesOf = (plan: Plan) => Object.entries(plan.supplies).map(([id, s]) => ({ id, name: s.name }));

/** A line as text; null when it is more than words can say. */
export function copyText(plan: Plan, line: Line): string | null {
  const spec = specOf(plan, line);
  return spec && tellLine(spec, suppliesOf(plan));
}

/** Most lines taken from one paste. */
const MOST = 64;

/** What pasted text says: lines that are understood, and the first row that is not. */
export function readPaste(plan: Plan, text: string): { specs: LineSpec[]; strange: string | null } {
  const rows = text
    .split(/\r?\n/)
    .map((row) => row.trim())
    .filter((row) => row !== '')
    .slice(0, MOST);
  const read = rows.map((row) => ({
    row: row.slice(0, 300),
    spec: readLine(row.slice(0, 300), suppliesOf(plan)).spec
  }));
  return {
    specs: read.flatMap((r) => (r.spec ? [r.spec] : [])),
    strange: read.find((r) => !r.spec)?.row ?? null
  };
}
