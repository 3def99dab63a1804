import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { nameOf } from '../words/paper';
import { linesOf } from './patch';
import type { Row, Sheet } from './types';

/** A pair is one thing on paper too: one row, where both sides are plugged and set alike. Sides that differ keep their rows. */

interface Side {
  readonly line: Line;
  readonly tag: string;
}

type Sides = ReadonlyMap<string, Side>;
const sidesOf = (plan: Plan): Sides => new Map(linesOf(plan).map((side) => [side.line.id, side]));

/** `7/8`. */
const bothTags = (a: Side, b: Side): string => `${a.tag}/${b.tag}`;

const isPair = (a: Side | undefined, b: Side | undefined): boolean =>
  a?.line.info?.pair !== undefined && a.line.id !== b?.line.id && a.line.info.pair === b?.line.info?.pair;

/** What stands in the column of names beside the line's own name: its note. */
const beside = ({ line }: Side, cell: string): string => cell.slice(nameOf(line).length);

/** Two rows as one; null where they say something different of the two sides. */
function joined(a: Row, b: Row, sides: Sides): Row | null {
  const [one, two] = [a.line, b.line].map((id) => sides.get(id ?? ''));
  if (!one || !two || !isPair(one, two)) return null;
  const [note, other] = [beside(one, a.cells[1]), beside(two, b.cells[1])];
  if (note !== other || a.cells.slice(2).join('\n') !== b.cells.slice(2).join('\n')) return null;
  return { ...a, cells: [bothTags(one, two), `${one.line.info!.pair}${note}`, ...a.cells.slice(2)] };
}

/** Rows one after the other that are of one line. */
function blocksOf(rows: readonly Row[]): Row[][] {
  const blocks: Row[][] = [];
  for (const row of rows) {
    const last = blocks.at(-1);
    if (row.line !== undefined && last?.[0].line === row.line) last.push(row);
    else blocks.push([row]);
  }
  return blocks;
}

/** Rows of which pairs that say the same of both sides are told once. */
export const foldRows = (plan: Plan, rows: readonly Row[]): Row[] => folded(rows, sidesOf(plan));

function folded(rows: readonly Row[], sides: Sides): Row[] {
  const out: Row[][] = [];
  for (const block of blocksOf(rows)) {
    const before = out.at(-1);
    const both = before?.length === block.length ? before.map((row, k) => joined(row, block[k], sides)) : [];
    if (both.length > 0 && both.every((row) => row !== null)) out[out.length - 1] = both;
    else out.push(block);
  }
  return out.flat();
}

/** A sheet on which pairs that are alike are told once. Rows that name their line begin with its tag and its name. */
export function foldPairs(plan: Plan, sheet: Sheet): Sheet {
  const sides = sidesOf(plan);
  return { ...sheet, groups: sheet.groups.map((g) => ({ ...g, rows: folded(g.rows, sides) })) };
}

/** Lines one by one, the two sides of a pair together. */
export function byPair<T extends Side>(lines: readonly T[]): T[][] {
  const out: T[][] = [];
  for (const side of lines) {
    const last = out.at(-1);
    if (last?.length === 1 && isPair(last[0], side)) last.push(side);
    else out.push([side]);
  }
  return out;
}

/** Lines in a sentence, pairs as one: `3 Cello, 7/8 Organ`. */
export const listed = (lines: readonly Side[]): string =>
  byPair(lines)
    .map(([a, b]) => (b ? `${bothTags(a, b)} ${a.line.info!.pair}` : `${a.tag} ${nameOf(a.line)}`))
    .join(', ');
