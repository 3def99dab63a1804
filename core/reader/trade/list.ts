import { cutText } from '../../text/well-formed';
import { readLine } from '../read-line';
import { withBoxNumbers } from './box-numbers';
import { type Column, headingOf, type Table, tableOf } from './columns';
import {
  asItsLeft,
  CHANNEL,
  evenly,
  fromTable,
  fromText,
  hasCells,
  isHeading,
  isNumbered,
  type Row
} from './list-rows';
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
  /** Rows from which no line could be made: with a channel, or in cells; and those of outputs. */
  readonly unread: readonly { readonly row: number; readonly text: string; readonly why: string }[];
  /** The columns of a table, as they are taken; null where it is no table. */
  readonly table: Table | null;
}

/** What a row of text was taken apart into, and where rows go. */
interface Found {
  readonly row: Row;
  readonly input: string | undefined;
}

/** Signs before the rows of a letter's list; a dash before a figure is a minus. */
const BULLETS = /^[ \t]*(?:[*•·‣◦▪]+|[-–—])[ \t]+(?=\p{L})/gmu;
const ALL_TO =
  /\b(?:all|everything|alles|all lines)\s+(?:is\s+|goes\s+)?(?:to|on|into|in|via|through|over)\s+(?:the\s+)?([a-z][a-z ]{1,20})/i;
/** What is exact says how long its cables are. */
const LENGTH = /\d\s*(?:m|ft)\b/;
/**
 * Reads a pasted list. Blank rows, headings and letters around it are passed over; acts and notes are kept.
 * @param given what the columns of its table are, where somebody has said so; the first of them is the first
 */
export function readList(text: string, given?: readonly Column[]): ListReading {
  const rows: ListRow[] = [];
  const founds: Found[] = [];
  const unread: { row: number; text: string; why: string }[] = [];
  const lines = withBoxNumbers(withoutDitto(evenly(text.replace(/\r\n?/g, '\n').replace(BULLETS, '').split('\n'))));
  const as = (found: Table | null): Table | null =>
    found && given ? { ...found, columns: found.columns.map((c, k) => given[k] ?? c) } : found;
  const heads = lines.map(headingOf);
  const first = heads.find((h) => h !== null) ?? null;
  const guessed = first ? null : tableOf(lines);
  let table = as(guessed);
  let input: string | undefined;
  let act: string | undefined;
  let before: Row | null = null;
  const numbered = first !== null || guessed !== null || isNumbered(lines);
  const top = lines.findIndex((l) => l.trim() !== '');
  let leaves = false;
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
    const section = INPUTS_OR_OUTPUTS.exec(body)?.[1];
    if (section && (lines[k + 1]?.trim() ?? '') !== '') {
      leaves = !/^in/i.test(section);
      return;
    }
    const cells = table && table.by !== '  ' ? table : null;
    for (const part of cells ? [line] : partsOf(line)) {
      const found = cells ? asItsLeft(fromTable(part, cells), before) : fromText(part, numbered);
      before = found;
      if (!found || found.rest === '' || isWhatComesBack(part)) continue;
      if (found.channels.length === 0 && lines.length > 2 && isHeading(line, k === top, lines[k + 1])) continue;
      if (leaves) {
        if (found.channels.length > 0) unread.push({ row: k + 1, text: part, why: 'an output' });
        continue;
      }
      const reading = withPlace(found, input, found.act || act);
      if (reading.specs.length > 0) {
        rows.push({ row: k + 1, text: part, reading });
        founds.push({ row: found, input });
      } else if (found.channels.length > 0 || (!numbered && isRowOfCells(part, reading)))
        unread.push({ row: k + 1, text: part, why: 'no source' });
    }
  });
  return { rows: paired(asManyAsFree(rows, founds)), unread, table: as(first ?? guessed) };
}

/** "OUTPUTS" above rows that are none of the inputs, and "INPUTS" above those that are. */
const INPUTS_OR_OUTPUTS =
  /^[=\s*#_-]*(inputs?|outputs?|outs|mon(?:itor)? (?:sends|mixes|outs)|sends|mixes)(?:\s+(?:list|patch|lines))?[=\s*:_-]*$/i;

/** "Oud    clip": columns of spaces or bars and a word of how it is taken, so that it was meant as a row. */
const isRowOfCells = (line: string, { pieces }: TradeReading): boolean =>
  hasCells(line) &&
  line.length < 80 &&
  pieces.some(({ read, text }) => ['source', 'di', 'box', 'phantom'].includes(read.is) || /^clips?$/i.test(text));

/** "Monitors: 2 wedges on separate mixes" is what the band hears, and no input; with a send it would be a line. */
const isWhatComesBack = (line: string): boolean =>
  /\b(?:we|i|band)\b.*\b(?:need|want|like|use|have|require)\b.*\b(?:monitor(?:s|\s+mix(?:es)?|\s+ways)?|wedges|in[\s-]?ears?|iems?)\b/i.test(
    line
  ) ||
  (/^\s*(?:monitors?|monitoring|wedges|foldback|in[\s-]?ears?|iems?|lights?|lighting|power|backline)\s*[:=-]/i.test(
    line
  ) &&
    !/\b(?:aux|sends?|outs?|outputs?|matrix|bus|feeds?)\b/i.test(line));

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

/** "3 OH, condenser pair" above "5 Bass": where the channels behind it are free, a row that says several of them has them, too. */
function asManyAsFree(rows: readonly ListRow[], founds: readonly Found[]): ListRow[] {
  const channel = (row: ListRow | undefined): number | undefined => row?.reading.specs[0]?.channel;
  return rows.map((row, k) => {
    const [from, next] = [channel(row), channel(rows[k + 1])];
    if (founds[k].row.channels.length !== 1 || from === undefined) return row;
    // Behind the last row, and where the next one is of another box, all are free: a pair is believed.
    const free = next === undefined || next < from ? Infinity : next;
    if (free < from + 2) return row;
    const { name, rest } = founds[k].row;
    const many = readTrade(name ? `${name}: ${rest}` : rest, founds[k].input ? { input: founds[k].input } : {});
    const count = many.specs.filter((s) => !s.thru).length;
    if (count < 2 || count > (free === Infinity ? 2 : count) || free < from + count || many.specs.some((s) => s.thru))
      return row;
    const { act, note } = row.reading.specs[0];
    const more = { ...(act ? { act } : {}), ...(note ? { note } : {}) };
    return { ...row, reading: { ...many, specs: many.specs.map((s, n) => ({ ...s, channel: from + n, ...more })) } };
  });
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
