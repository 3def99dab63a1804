import Papa from 'papaparse';
import { plainCell } from '../../text/cells';
import { channelsOf } from './pieces';
import { readTrade } from './read';

/** Columns of a pasted table: by what their headings call them, or by what stands in them. */

export const COLUMNS = ['channel', 'name', 'what', 'input', 'length', 'note', 'act', 'skip'] as const;
export type Column = (typeof COLUMNS)[number];
type Separator = '\t' | '|' | ';' | ',' | '  ';
export interface Table {
  readonly by: Separator;
  readonly columns: readonly Column[];
  /** What stands in each, to tell them apart: the heading, or the first cell. */
  readonly heads: readonly string[];
}

/** What headings call the columns. */
const HEADINGS: Readonly<Record<Exclude<Column, 'skip'>, RegExp>> = {
  channel:
    /^(?:#|ch(?:annel)?\.? ?strip|strip|(?:desk|console) ch\.?|fader|ch\.?|chan\.?|channel|no\.?|nr\.?|in|kanal|line|ch #)$/i,
  name: /^(?:name|who|wer|qui|player|musician|input|instrument|source|what|item|instr\.?|label|signal|quelle|bron|instrumento)$/i,
  what: /^(?:mic|mic ?\/ ?di|mics?|di\??|d\.i\.\??|mic or di|source|source type|how|pickup type|via|connection|type|mic\/line|pickup|mikrofon|microphone|mic ?\/ ?line|transducer|gear|mic pref.*)$/i,
  input: /^(?:input|patch|snake|stage ?box|into|destination|connection|sb|box|preamp|desk|connector)$/i,
  length:
    /^(?:(?:cable|lead|run|xlr|kabel|snake)?\s*(?:length|l[aä]nge|longueur|longitud|lunghezza|lengte)|cable|run|m|ft|met(?:re|er)s?|feet)(?:\s*[([/,]?\s*(?:in\s+)?(?:m|met(?:re|er)s?|ft|feet)[)\]]?)?$/i,
  note: /^(?:notes?|stand|stands|remarks?|comments?|48v|phantom|\+48|p48|bemerkung|stativ|insert|fx|position|power)$/i,
  act: /^(?:act|set|band|artist)$/i
};

const STRIP = /strip|fader|(?:desk|console) ch/i;

const SEPARATORS: readonly Separator[] = ['\t', '|', ';', ',', '  '];

/** Cells of a row by what separates them; commas and semicolons inside of quotes are text. */
export function cellsOf(line: string, by: Separator): string[] {
  if (by === ',' || by === ';')
    return (Papa.parse<string[]>(line, { delimiter: by }).data[0] ?? []).map((cell) => plainCell(cell.trim()));
  if (by === '\t') return line.split('\t').map((c) => c.trim());
  // A bar at either end is the frame of a table, and no cell.
  const framed = /^\s*\|(.*)\|\s*$/.exec(line)?.[1] ?? line;
  return (by === '|' ? framed.split('|') : line.split(/\s{2,}/)).map((c) => c.trim());
}
/** Columns of a heading; null where the line is none. A name asked for twice goes to the left one. */
export function headingOf(line: string): Table | null {
  for (const by of SEPARATORS) {
    const cells = cellsOf(line, by).filter((c, _, all) => c !== '' || all.length > 2);
    if (cells.length < 3) continue;
    const columns: Column[] = [];
    let known = 0;
    for (const [k, cell] of cells.entries()) {
      // "Input | Name": the first of two that may be names is its number.
      const counts =
        k === 0 && /^input$/i.test(cell) && cells.slice(1).some((c) => HEADINGS.name.test(c) && !HEADINGS.what.test(c));
      const fit = counts
        ? 'channel'
        : (['channel', 'name', 'what', 'input', 'length', 'note', 'act'] as const).find(
            (c) => HEADINGS[c].test(cell) && (c === 'note' || c === 'what' || !columns.includes(c))
          );
      if (fit) known++;
      columns.push(fit ?? 'note');
    }
    // "Line … Ch strip": the channel is what the desk calls so, and the other counts rows.
    const strip = cells.findIndex((cell) => STRIP.test(cell));
    const counting = columns.indexOf('channel');
    if (strip > counting && counting >= 0) [columns[strip], columns[counting]] = ['channel', 'skip'];
    if (
      known >= cells.length - 1 &&
      columns.includes('channel') &&
      (columns.includes('name') || columns.includes('what'))
    )
      return { by, columns, heads: cells };
  }
  return null;
}

/** Rows looked at to find out what stands in a table that has no heading. */
const LOOKED_AT = 12;

/** A table without a heading, by what stands in it: most rows have the same number of cells, and one column counts. */
export function tableOf(lines: readonly string[]): Table | null {
  const body = lines.filter((l) => l.trim() !== '').slice(0, LOOKED_AT);
  for (const by of SEPARATORS.slice(0, 4)) {
    const rows = body.map((l) => cellsOf(l, by));
    const width = rows[Math.floor(rows.length / 2)]?.length ?? 0;
    const same = rows.filter((r) => r.length === width);
    if (width < 3 || same.length < 2 || same.length < 0.8 * rows.length) continue;
    const columns = contentOf(same, width);
    if (columns) return { by, columns, heads: same[0] };
  }
  return null;
}

/** What each column holds; null where none of them counts, for then it is no input list. */
function contentOf(rows: readonly (readonly string[])[], width: number): Column[] | null {
  const share = (k: number, is: (cell: string) => boolean): number =>
    rows.filter((r) => r[k] !== '' && is(r[k])).length / rows.length;
  const columns: Column[] = Array.from({ length: width }, () => 'note');
  const all = columns.map((_, k) => k);
  const counts = all.find((k) => share(k, (c) => channelsOf(c).length > 0 && /^\W*[a-d]?\d/i.test(c)) > 0.7);
  if (counts === undefined) return null;
  columns[counts] = 'channel';
  const long = all.find((k) => k !== counts && share(k, (c) => /^\d+(?:[.,]\d+)?\s*(?:m|ft)$/i.test(c)) > 0.5);
  if (long !== undefined) columns[long] = 'length';
  const free = all.filter((k) => k !== counts && k !== long && share(k, (c) => /[a-z]/i.test(c)) > 0.3);
  if (free.length === 0) return null;
  // The text behind the channel is what it is called; what says most about how it is taken, of the others, is that.
  // A column in which few words come again and again tells a kind, and is no name.
  const differs = (k: number): boolean => new Set(rows.map((r) => r[k])).size > rows.length / 2;
  const behind = free.filter((k) => k > counts);
  const name = behind.find(differs) ?? behind[0] ?? free[0];
  const others = free.filter((k) => k !== name);
  columns[name] = 'name';
  // How it is taken may stand in two of them, the microphone and the DI.
  const tells = (c: string): boolean =>
    readTrade(c).pieces.some(({ read }) => ['source', 'di', 'box'].includes(read.is));
  for (const k of others) if (share(k, tells) > 0.3) columns[k] = 'what';
  return columns;
}
