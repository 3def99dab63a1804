import { cutText } from '../../text/well-formed';
import { channelsOf } from './cut';
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
}

type Column = 'channel' | 'name' | 'what' | 'input' | 'note';
/** What headings call the columns. */
const HEADINGS: Readonly<Record<Column, RegExp>> = {
  channel: /^(?:#|ch\.?|chan\.?|channel|no\.?|nr\.?|in|kanal|line|ch #)$/i,
  name: /^(?:name|input|instrument|source|what|item|instr\.?|label|signal|quelle|bron|instrumento)$/i,
  what: /^(?:mic|mic ?\/ ?di|mics?|di|mic or di|source|connection|type|mic\/line|pickup|mikrofon|microphone|mic ?\/ ?line|transducer|gear|mic pref.*)$/i,
  input: /^(?:input|patch|snake|stage ?box|into|destination|connection|sb|box|preamp|desk|connector)$/i,
  note: /^(?:notes?|stand|stands|remarks?|comments?|48v|phantom|\+48|p48|bemerkung|stativ|insert|fx|position|power)$/i
};

/** Cells of a row by whichever separates them: tabs, bars, commas in a table, or two spaces and more. */
function cellsOf(line: string, by: RegExp): string[] {
  if (by.source === ',') {
    const cells: string[] = [];
    for (const m of line.matchAll(/(?:^|,)(?:"((?:[^"]|"")*)"|([^,]*))/g))
      cells.push((m[1] ?? m[2] ?? '').replace(/""/g, '"').trim());
    return cells;
  }
  return line
    .replace(/^\s*\|/, '')
    .replace(/\|\s*$/, '')
    .split(by)
    .map((c) => c.trim());
}
const SEPARATORS = [/\t+/, /\s*\|\s*/, /,/, /\s{2,}/];

/** Columns of a heading; null where the line is none. A name asked for twice goes to the left one. */
function heading(line: string): { by: RegExp; columns: Column[] } | null {
  for (const by of SEPARATORS) {
    const cells = cellsOf(line, by).filter((c, k, all) => c !== '' || all.length > 2);
    if (cells.length < 3) continue;
    const columns: Column[] = [];
    let known = 0;
    cells.forEach((cell) => {
      const fit = (['channel', 'name', 'what', 'input', 'note'] as const).find(
        (c) => HEADINGS[c].test(cell) && (c === 'note' || !columns.includes(c))
      );
      if (fit) known++;
      columns.push(fit ?? 'note');
    });
    if (
      known >= cells.length - 1 &&
      columns.includes('channel') &&
      (columns.includes('name') || columns.includes('what'))
    )
      return { by, columns };
  }
  return null;
}

const ALL_TO =
  /\b(?:all|everything|alles|all lines)\s+(?:is\s+|goes\s+)?(?:to|on|into|in|via|through|over)\s+(?:the\s+)?([a-z][a-z ]{1,20})/i;
const CHANNEL = /^\s*(?:#|ch\.?\s*|in\s*)?([a-d]?\d{1,3}(?:\s*[/+–-]\s*[a-d]?\d{1,3})?)\s*(?:[.:)]\s|\s|\t|$)/i;

/** Reads a pasted list. Blank rows, headings and letters around it are passed over; acts are kept. */
export function readList(text: string): ListReading {
  const rows: ListRow[] = [];
  const unread: { row: number; text: string; why: string }[] = [];
  let table: ReturnType<typeof heading> = null;
  let input: string | undefined;
  let act: string | undefined;
  const lines = text.replace(/\r\n?/g, '\n').split('\n');
  const numbered = lines.some((l) => CHANNEL.test(l) && /[a-z]/i.test(l)) || lines.some((l) => heading(l) !== null);
  lines.forEach((line, k) => {
    const body = line.trim();
    if (body === '' || /^[|\s:=_-]+$/.test(body)) return;
    const head = heading(line);
    if (head) {
      table = head;
      return;
    }
    const all = ALL_TO.exec(body);
    if (all && !CHANNEL.test(body)) {
      const where = readTrade(`dynamic mic, ${all[1]}`).specs[0]?.input.model;
      if (where) input = where;
    }
    const named = /^[=\s*#-]*(?:act|set|band|part|block|teil)\s*(\d*)\s*[:.-]?\s*(.*?)[=\s]*$/i.exec(body);
    if (named && !CHANNEL.test(body)) act = cutText(body.replace(/^[=\s*#-]+|[=\s*-]+$/g, ''), 80);
    const found = table && table.by.source !== '\\s{2,}' ? fromTable(line, table) : fromText(line, numbered);
    if (!found || found.rest === '') return;
    const reading = withPlace(found, input, act);
    if (reading.specs.length > 0) rows.push({ row: k + 1, text: line, reading });
    else if (found.channels.length > 0) unread.push({ row: k + 1, text: line, why: 'no source' });
  });
  return { rows: paired(rows), unread };
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
}

function fromTable(line: string, { by, columns }: { by: RegExp; columns: readonly Column[] }): Row | null {
  const cells = cellsOf(line, by);
  const of = (column: Column): string =>
    cells
      .filter((_, k) => columns[k] === column || (column === 'note' && k >= columns.length))
      .filter((c) => c !== '' && c !== '-' && c !== '–')
      .join(', ');
  const channels = channelsOf(of('channel'));
  const name = of('name');
  const rest = [of('what'), of('input'), of('note')].filter(Boolean).join(', ');
  if (channels.length === 0 || (name === '' && rest === '')) return null;
  return { channels, name: name || null, rest: rest || name };
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
function withPlace({ channels, name, rest }: Row, input: string | undefined, act: string | undefined): TradeReading {
  const said = name ? `${name}: ${rest}` : rest;
  const options = {
    ...(input ? { input } : {}),
    ...(channels.length === 1 ? { channel: channels[0] } : {}),
    ...(name && channels.length === 1 ? { name: cutText(name, 80) } : {})
  };
  const text = channels.length > 1 ? `${said}, ch ${channels.join(' ')}` : said;
  let reading = readTrade(text, options);
  // A name alone, "Lead vox", says what is played.
  if (reading.specs.length === 0 && name) reading = readTrade(`${name}, ${rest}`, options);
  return act ? { ...reading, specs: reading.specs.map((s) => ({ ...s, act })) } : reading;
}
