import { cellsOf, type Column, type Table } from './columns';
import { channelsOf } from './pieces';
import { readTrade } from './read';

/** What a row of a list says: its channels, what it is called, and how it is taken. */

export interface Row {
  readonly channels: readonly number[];
  readonly name: string | null;
  readonly rest: string;
  /** What it is and where it goes, without what is noted beside; of a table. */
  readonly bare?: string;
  readonly note?: string;
  readonly act?: string;
}

export const CHANNEL =
  /^\s*(?:#|ch\.?\s*|in\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)\s*(?:[.:)]\s|[;,](?!\d)|\s|\t|$)/i;
/** A number that can only be the row's: with a sign behind it, or in a column of its own. */
const SURELY = /^\s*(?:#\s*|ch\.?\s*)?[a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?\s*(?:[.:)]\s|[;,](?!\d)|\t|\s{2,})/i;
/** At least so many rows begin with one, where it might as well tell how many there are of something. */
const MOST_ROWS = 0.6;

/** Nobody begins a list of channels again before its fifth. */
const MOST_OF_EACH = 4;

/** Whether rows begin with their channels; "2 guitars" among rows without a number are two of them. */
export function isNumbered(lines: readonly string[]): boolean {
  const rows = lines.filter((l) => l.trim() !== '' && /[a-z]/i.test(l));
  if (rows.some((l) => SURELY.test(l))) return true;
  const first = rows.flatMap((l) => CHANNEL.exec(l)?.[1] ?? []);
  // "1 vocal mic", "1 DI for the bass", "2 clips": so many of each.
  if (new Set(first).size < first.length && first.every((one) => Number(one) <= MOST_OF_EACH)) return false;
  return (
    first.length >= MOST_ROWS * rows.length ||
    (first.length > 2 && new Set(first).size === first.length && ascends(first))
  );
}
/** "1-Lead voc", "2-Bass": a dash between the number and what it is the number of, in most rows. */
const DASHED = /^(\s*\d{1,3})-(?=\p{L})/u;
/** "kick ......... dyn": dots that lead the eye stand between two cells. */
const LEADERS = /[ \t]*(?:\.{3,}|…{2,}|_{3,}|·{3,})[ \t]*(?=\S)/g;
/** Rows with what stands between their cells said in the same way. */
export function evenly(lines: readonly string[]): string[] {
  const rows = lines.filter((l) => /\p{L}/u.test(l));
  const first = rows.flatMap((l) => DASHED.exec(l)?.[1].trim() ?? []);
  const dashed = first.length > 2 && first.length >= MOST_ROWS * rows.length && ascends(first);
  return lines.map((l) => (dashed ? l.replace(DASHED, '$1. ') : l).replace(LEADERS, '\t'));
}

const ascends = (all: readonly string[]): boolean =>
  all.every(
    (text, k) =>
      k === 0 || Number.parseInt(text.replace(/^\D/, ''), 10) > Number.parseInt(all[k - 1].replace(/^\D/, ''), 10)
  );

const NOT_YET = /^[^:]{1,40}[:\s–-]+(?:tbc|tba|n\/a|none|nothing|unused|not used)\.?\s*$/i;
/** "Drums" above rows that stand further in. */
const ABOVE =
  /^(?:drums?|(?:drum )?kit|perc(?:ussion)?|guitars?|keys|keyboards|vocals|vox|horns|brass|strings|backline)$/i;
const isIndented = (line: string): boolean => /^\s+\S/.test(line);

/** A heading, or a thing of which nothing is known yet: no row. @param first it is the first of all @param next the row below it */
export function isHeading(line: string, first: boolean, next = ''): boolean {
  const body = line.trim();
  if (/:$/.test(body) || NOT_YET.test(body)) return true;
  if (ABOVE.test(body) && !isIndented(line) && isIndented(next)) return true;
  if (!first || CHANNEL.test(body)) return false;
  const title = body === body.toUpperCase() || !/[,;:\t|→>]|\s[-–—]\s|\(/.test(body);
  const told = readTrade(body).pieces.some(({ read }) =>
    ['source', 'di', 'box', 'input', 'cable', 'length', 'phantom'].includes(read.is)
  );
  return title && !told && body.split(/\s+/).length > 2;
}

/** Cells that say that there is none. */
const EMPTY = /^(?:|-|–|—|n|no|none|0|x?n\/a)$/i;
const YES = /^(?:y|yes|x|✓|✔|on|1|\+|●|•|ja|oui|si|sí|48v?|\+48v?)$/i;
const PHANTOM = /48|phantom|p48|ph\.?$/i;

/** What stands where a channel would, of a row that has none yet. */
const NO_NUMBER = /^(?:t\/?b|tb[ac]|spare|[?x])$/i;

/** A row of a table. */
export function fromTable(line: string, { by, columns, heads }: Table): Row | null {
  const cells = cellsOf(line, by);
  const of = (column: Column): string =>
    cells
      .map((c, k) => (column === 'note' && PHANTOM.test(heads[k] ?? '') && YES.test(c) ? '48V' : c))
      .filter((_, k) => columns[k] === column || (column === 'note' && k >= columns.length))
      .filter((c) => (column === 'channel' || column === 'name' ? c !== '' && c !== '-' && c !== '–' : !EMPTY.test(c)))
      .join(', ');
  const channels = channelsOf(of('channel'));
  const name = of('name');
  const note = of('note');
  const bare = [of('what'), of('input')].filter(Boolean).join(', ');
  const rest = [bare, lengthOf(of('length'), heads[columns.indexOf('length')]), note].filter(Boolean).join(', ');
  // "T/B | Talkback | switched mic": what has no number yet is a row, where it says what it is and how it is taken.
  const open = NO_NUMBER.test(of('channel')) && name !== '' && bare !== '';
  if (channels.length === 0 ? !open : name === '' && rest === '') return null;
  return { channels, name: name || null, rest: rest || name, bare, note, act: of('act') };
}

/** "Laptop R" with nothing beside it, under "Laptop L" by a stereo DI: the right side is taken as the left one is. */
export function asItsLeft(row: Row | null, before: Row | null): Row | null {
  const base = (called: string | null | undefined, side: RegExp): string | undefined =>
    side.exec(called ?? '')?.[1].toLowerCase();
  const left = base(before?.name, /^(.+?)[\s-]+(?:l|left)$/i);
  if (!row || row.bare !== '' || left === undefined || left !== base(row.name, /^(.+?)[\s-]+(?:r|right)$/i)) return row;
  return {
    ...row,
    bare: before!.bare,
    rest: [before!.bare, row.rest === row.name ? '' : row.rest].filter(Boolean).join(', ')
  };
}

/** A length whose unit its heading tells, or nobody: metres then. */
function lengthOf(cell: string, head = ''): string {
  if (!/^\d+(?:[.,]\d+)?$/.test(cell)) return cell;
  return `${cell} ${/\b(?:ft|feet)\b/i.test(head) ? 'ft' : 'm'}`;
}

/** "Talkback: dyn, ch 24" among rows that begin with theirs: it says all that a row says, and next to nothing else. */
function saysItsChannel(line: string): boolean {
  const { specs, pieces, ignored } = readTrade(line.trim());
  const taken = pieces.some(({ read, named }) => !named && ['source', 'di', 'box', 'cable', 'amp'].includes(read.is));
  return taken && specs.length > 0 && specs.every((s) => s.channel !== undefined || s.thru) && ignored.length < 2;
}

/** What stands between the cells of a row that is text. */
const CELL = String.raw`\s{2,}|\t|\s*\|\s*`;
const BETWEEN_CELLS = new RegExp(CELL, 'g');
const PARTED = new RegExp(String.raw`^(.{1,60}?)(?:${CELL}|\s[-–—]\s|:\s)(.*)$`);
/** Whether it has several of them. */
export const hasCells = (line: string): boolean => new RegExp(String.raw`\S(?:${CELL})\S`).test(line);

/** A row that is text. @param numbered rows of this list begin with their channels */
export function fromText(line: string, numbered: boolean): Row | null {
  const channel = numbered ? CHANNEL.exec(line) : null;
  if (!channel) {
    const [mark, name, ...cells] = line.trim().split(/\s{2,}|\t/);
    if (numbered && NO_NUMBER.test(mark) && cells.length > 0) return { channels: [], name, rest: cells.join(', ') };
    if (line.trim().length > 200 || (numbered && !saysItsChannel(line))) return null;
    // The first of several cells is the name.
    const [first, ...others] = line.trim().split('\t');
    if (!numbered && others.length > 0 && /\p{L}/u.test(first) && first.length <= 60)
      return { channels: [], name: first.trim(), rest: others.join(', ') };
    // "Lavs - 3 radio - 9, 10, 11": what stands before the first of several dashes is the name.
    const dashed = /^\s*([^\d:]{1,40}?)\s[-–—]\s(.+)$/.exec(line);
    return dashed && /[a-z]/i.test(dashed[1])
      ? { channels: [], name: dashed[1], rest: dashed[2].trim() }
      : { channels: [], name: null, rest: line.trim() };
  }
  const rest = line
    .slice(channel[0].length)
    .trim()
    .replace(/^\|\s*/, '');
  // The first of several cells, or what stands before a dash or a colon, is the name.
  const parted = PARTED.exec(rest);
  const name = parted && /[a-z]/i.test(parted[1]) ? parted[1].trim() : null;
  return {
    channels: channelsOf(channel[1]),
    name,
    rest: name ? parted![2].replace(BETWEEN_CELLS, ', ') : rest
  };
}
