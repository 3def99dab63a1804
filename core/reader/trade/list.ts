import { cutText } from '../../text/well-formed';
import { readLine } from '../read-line';
import { cellsOf, type Column, headingOf, type Table, tableOf } from './columns';
import { channelsOf } from './pieces';
import { boxesOfSpec, type LineSpec } from '../../plan/spec';
import { withoutDitto } from './ditto';
import { readTrade } from './read';
import type { TradeReading } from './reading';

/** A pasted input list: rows of a table, of a rider's text, or of a letter, each read as a line. */

interface ListRow {
  /** Number of the row in what was pasted, from 1. */
  readonly row: number;
  readonly text: string;
  readonly reading: TradeReading;
}
export interface ListReading {
  readonly rows: readonly ListRow[];
  /** Rows with a channel from which no line could be made. */
  readonly unread: readonly { readonly row: number; readonly text: string; readonly why: string }[];
  /** The columns of a table, as they are taken; null where it is no table. */
  readonly table: Table | null;
}

const ALL_TO =
  /\b(?:all|everything|alles|all lines)\s+(?:is\s+|goes\s+)?(?:to|on|into|in|via|through|over)\s+(?:the\s+)?([a-z][a-z ]{1,20})/i;
/** What is exact says how long its cables are. */
const LENGTH = /\d\s*(?:m|ft)\b/;
const CHANNEL =
  /^\s*(?:#|ch\.?\s*|in\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)\s*(?:[.:)]\s|[;,](?!\d)|\s|\t|$)/i;

/**
 * Reads a pasted list. Blank rows, headings and letters around it are passed over; acts and notes are kept.
 * @param given what the columns of its table are, where somebody has said so; the first of them is the first
 */
export function readList(text: string, given?: readonly Column[]): ListReading {
  const rows: ListRow[] = [];
  const unread: { row: number; text: string; why: string }[] = [];
  const lines = withoutDitto(text.replace(/\r\n?/g, '\n').split('\n'));
  const as = (found: Table | null): Table | null =>
    found && given ? { ...found, columns: found.columns.map((c, k) => given[k] ?? c) } : found;
  const heads = lines.map(headingOf);
  const first = heads.find((h) => h !== null) ?? null;
  const guessed = first ? null : tableOf(lines);
  let table = as(guessed);
  let input: string | undefined;
  let act: string | undefined;
  const numbered = first !== null || guessed !== null || lines.some((l) => CHANNEL.test(l) && /[a-z]/i.test(l));
  lines.forEach((line, k) => {
    const body = line.trim();
    if (body === '' || /^[|\s:=_-]+$/.test(body)) return;
    const head = heads[k];
    if (head) {
      table = as(head);
      return;
    }
    const all = ALL_TO.exec(body);
    if (all && !CHANNEL.test(body)) {
      const where = readTrade(`dynamic mic, ${all[1]}`).specs[0]?.input.model;
      if (where) input = where;
    }
    const named = /^[=\s*#-]*(?:act|set|band|part|block|teil)\s*(\d*)\s*[:.-]?\s*(.*?)[=\s]*$/i.exec(body);
    if (named && !CHANNEL.test(body)) act = cutText(body.replace(/^[=\s*#-]+|[=\s*-]+$/g, ''), 80);
    const cells = table && table.by !== '  ' ? table : null;
    for (const part of cells ? [line] : partsOf(line)) {
      const found = cells ? fromTable(part, cells) : fromText(part, numbered);
      if (!found || found.rest === '' || isWhatComesBack(part)) continue;
      const reading = withPlace(found, input, found.act || act);
      if (reading.specs.length > 0) rows.push({ row: k + 1, text: part, reading });
      else if (found.channels.length > 0) unread.push({ row: k + 1, text: part, why: 'no source' });
    }
  });
  return { rows: paired(rows), unread, table: as(first ?? guessed) };
}

/** "Monitors: 2 wedges on separate mixes" is what the band hears, and no input; with a send it would be a line. */
const isWhatComesBack = (line: string): boolean =>
  /^\s*(?:monitors?|monitoring|wedges|foldback|in[\s-]?ears?|iems?|lights?|lighting|power|backline)\s*[:=-]/i.test(
    line
  ) && !/\b(?:aux|sends?|outs?|outputs?|matrix|bus|feeds?)\b/i.test(line);

/** "3. Snare top / 4. Snare bottom": two numbered rows in one line, the second by the number that follows. */
function partsOf(line: string): string[] {
  const first = /^\s*(\d{1,3})[.)]\s/.exec(line);
  if (!first) return [line];
  for (const next of line.matchAll(/\s*[,/;&+]\s*(?=(\d{1,3})[.)]\s)/g))
    if (Number(next[1]) === Number(first[1]) + 1) {
      const rest = line.slice(next.index + next[0].length);
      return [line.slice(0, next.index), ...partsOf(rest)];
    }
  return [line];
}

/** "OH L" and "OH R" under each other are the two sides of a pair. */
function paired(rows: readonly ListRow[]): ListRow[] {
  const side = (row: ListRow | undefined, letter: string): string | null =>
    row?.reading.specs.length === 1
      ? (new RegExp(`^(.+?)[ -]+${letter}$`, 'i').exec(row.reading.specs[0].name)?.[1] ?? null)
      : null;
  const out = [...rows];
  rows.forEach((row, k) => {
    const left = side(row, '(?:L|left)');
    if (left === null || side(rows[k + 1], '(?:R|right)') !== left) return;
    for (const n of [k, k + 1]) {
      const { reading } = out[n];
      out[n] = { ...out[n], reading: { ...reading, specs: reading.specs.map((s) => ({ ...s, pair: left })) } };
    }
  });
  return out;
}

interface Row {
  readonly channels: readonly number[];
  readonly name: string | null;
  readonly rest: string;
  /** What it is and where it goes, without what is noted beside; of a table. */
  readonly bare?: string;
  readonly note?: string;
  readonly act?: string;
}

function fromTable(line: string, { by, columns, heads }: Table): Row | null {
  const cells = cellsOf(line, by);
  const of = (column: Column): string =>
    cells
      .filter((_, k) => columns[k] === column || (column === 'note' && k >= columns.length))
      .filter((c) => c !== '' && c !== '-' && c !== '–')
      .join(', ');
  const channels = channelsOf(of('channel'));
  const name = of('name');
  const note = of('note');
  const bare = [of('what'), of('input')].filter(Boolean).join(', ');
  const rest = [bare, lengthOf(of('length'), heads[columns.indexOf('length')]), note].filter(Boolean).join(', ');
  if (channels.length === 0 || (name === '' && rest === '')) return null;
  return { channels, name: name || null, rest: rest || name, bare, note, act: of('act') };
}

/** A length whose unit its heading tells, or nobody: metres then. */
function lengthOf(cell: string, head = ''): string {
  if (!/^\d+(?:[.,]\d+)?$/.test(cell)) return cell;
  return `${cell} ${/\b(?:ft|feet)\b/i.test(head) ? 'ft' : 'm'}`;
}

function fromText(line: string, numbered: boolean): Row | null {
  const channel = CHANNEL.exec(line);
  if (!channel) {
    if (numbered || line.trim().length > 200) return null;
    return { channels: [], name: null, rest: line.trim() };
  }
  const rest = line.slice(channel[0].length).trim();
  // The first of several cells, or what stands before a dash or a colon, is the name.
  const parted = /^(.{1,60}?)(?:\s{2,}|\t|\s[-–—]\s|:\s)(.*)$/.exec(rest);
  const name = parted && /[a-z]/i.test(parted[1]) ? parted[1].trim() : null;
  return { channels: channelsOf(channel[1]), name, rest: name ? parted![2].replace(/\s{2,}|\t/g, ', ') : rest };
}

/** A row as a line: what its name says counts where the rest says nothing of it. */
function withPlace(row: Row, input: string | undefined, act: string | undefined): TradeReading {
  const reading = readRow(row, input);
  const note = row.note || reading.pieces.flatMap((p) => (p.read.is === 'note' ? [p.text] : [])).join(', ');
  const more = { ...(act ? { act: cutText(act, 80) } : {}), ...(note ? { note: cutText(note, 500) } : {}) };
  return { ...reading, specs: reading.specs.map((s) => ({ ...s, ...more })) };
}

/** Where a note may send a row that does not say where it goes. */
const AT_DESK: ReadonlySet<string> = new Set(['mic-in', 'line-in', 'instrument-in']);

/** Nobody has said what it comes from: an instrument that may be picked up in several ways, or tracks that anything may play. */
const isOpen = ({ assumed, pieces }: TradeReading): boolean =>
  assumed.includes('source') ||
  (pieces.some(({ read }) => read.is === 'instrument' && read.instrument === 'programme') &&
    !pieces.some(({ read }) => read.is === 'source'));

/** What is noted beside a row settles what its own columns leave open, and makes nothing else of what they say. */
function isOtherwise(told: TradeReading, whole: TradeReading): boolean {
  if (told.specs.length === 0) return false;
  if (told.specs.length !== whole.specs.length) return true;
  return told.specs.some((spec, k) => {
    const noted = whole.specs[k];
    const boxes = (s: LineSpec): string =>
      boxesOfSpec(s)
        .map((b) => (told.assumed.includes('di') ? '' : b.model))
        .join();
    return (
      (!isOpen(told) && spec.source.model !== noted.source.model) ||
      boxes(spec) !== boxes(noted) ||
      (spec.input.model !== noted.input.model && !AT_DESK.has(noted.input.model))
    );
  });
}

function readRow({ channels, name, rest, bare }: Row, input: string | undefined): TradeReading {
  // A list that was written here says everything, and is read as exactly that.
  const exact = bare && name && LENGTH.test(bare) && channels.length === 1 ? readLine(bare).spec : null;
  if (exact)
    return {
      pieces: [],
      specs: [{ ...exact, name: cutText(name!, 80), channel: channels[0] }],
      assumed: [],
      ignored: [],
      guessed: [],
      said: {},
      metres: null
    };
  const said = name ? `${name}: ${rest}` : rest;
  const options = {
    ...(input ? { input } : {}),
    ...(channels.length === 1 ? { channel: channels[0] } : {}),
    ...(name && channels.length === 1 ? { name: cutText(name, 80) } : {})
  };
  const read = (text: string): TradeReading =>
    readTrade(channels.length > 1 ? `${text}, ch ${channels.join(' ')}` : text, options);
  const whole = read(said);
  const told = bare && name && rest !== bare ? read(`${name}: ${bare}`) : null;
  const reading = told && isOtherwise(told, whole) ? told : whole;
  // A name alone, "Lead vox", says what is played.
  return reading.specs.length === 0 && name ? readTrade(`${name}, ${rest}`, options) : reading;
}
