import { type EntryKind, isTyped, type LogEntry, stands } from '../log/entry';
import { plainCell } from '../text/cells';
import { formatNumber, formatQuantity } from '../units/format';
import { resolve } from '../plan/resolved';
import type { MergedReading } from '../linecheck/merge';
import { KIND_NAMES } from '../words/log';
import { boxText, nameOf } from '../words/paper';
import { sheets as says } from '../words/sheets';
import { modelOf } from '../gear/catalogue';
import { packingSheet } from './packing';
import { linesOf } from './patch';
import { type Group, grouped, type PaperInput, type Row, type Sheet } from './types';

/** The log as it is taken along: a table, a text, a file of rows; and one page for whoever comes next. */

export type LogSheet = Omit<Sheet, 'id'>;

/** Moments in the zone of whoever asks. @param zone name of a time zone (IANA), else UTC */
function clockOf(zone: string): { readonly day: (iso: string) => string; readonly time: (iso: string) => string } {
  const day = new Intl.DateTimeFormat('en-GB', { timeZone: zone, dateStyle: 'full' });
  const time = new Intl.DateTimeFormat('en-GB', { timeZone: zone, timeStyle: 'short' });
  return { day: (iso) => day.format(new Date(iso)), time: (iso) => time.format(new Date(iso)) };
}

/** Song, take and how it went, in one cell. */
const takeOf = ({ facts }: LogEntry): string =>
  [facts.song, facts.take && `${says.take} ${facts.take}`, ...(facts.marks ?? []), facts.timecode]
    .filter(Boolean)
    .join(', ');

const rowOf = (e: LogEntry, time: string): Row => ({
  key: e.id,
  cells: [time, stands(e), takeOf(e), KIND_NAMES[e.kind], e.by ?? '']
});

/** @param entries oldest first */
export function logSheet(entries: readonly LogEntry[], zone: string): LogSheet {
  const clock = clockOf(zone);
  return {
    title: says.log,
    note: says.inTheOrder(zone),
    columns: [
      { head: says.time, wide: 8 },
      { head: says.what, wide: 52 },
      { head: says.take, wide: 18 },
      { head: says.kindOfEntry, wide: 10 },
      { head: says.who, wide: 12 }
    ],
    groups: grouped(
      entries,
      (e) => clock.day(e.at),
      (e) => rowOf(e, clock.time(e.at))
    )
  };
}

/** Of signs that a text file of this kind takes for its own. */
const escaped = (text: string): string => text.replace(/([\\`*_[\]<>#|])/g, '\\$1').replace(/\n/g, ' ');

/** The log as a text with headings and a list, oldest first. */
export function logMarkdown(name: string, entries: readonly LogEntry[], zone: string): string {
  const { groups } = logSheet(entries, zone);
  const line = ({ cells: [time, what, take, kind, who] }: Row): string =>
    `- **${time}** ${escaped(what)}${take ? ` _(${escaped(take)})_` : ''} – ${kind}${who ? `, ${escaped(who)}` : ''}`;
  return (
    [
      `# ${escaped(name)}: ${says.log.toLowerCase()}`,
      ...groups.map((g) => [`## ${g.name}`, g.rows.map(line).join('\n')].join('\n\n'))
    ].join('\n\n') + '\n'
  );
}

const LOG_COLUMNS = [
  'id',
  'at',
  'show',
  'kind',
  'by',
  'text',
  'corrected',
  'song',
  'take',
  'marks',
  'timecode',
  'lines',
  'tags',
  'revision'
] as const;
/** Rows of a file, the first names the columns; moments in UTC, so that they read back as what they are. */
export const logRows = (entries: readonly LogEntry[]): string[][] => [
  [...LOG_COLUMNS],
  ...entries.map((e) =>
    [
      e.id,
      e.at,
      e.place,
      e.kind,
      e.by ?? '',
      stands(e),
      e.corrections.length > 0 ? e.text : '',
      e.facts.song ?? '',
      String(e.facts.take ?? ''),
      (e.facts.marks ?? []).join('; '),
      e.facts.timecode ?? '',
      (e.facts.lines ?? []).join(' '),
      e.tags.join(' '),
      String(e.facts.revision ?? '')
    ].map(plainCell)
  )
];

/** What went wrong is among these; what is typed counts where it says so. */
const WRONG: readonly EntryKind[] = ['trace', 'stop', 'cleared', 'kit'];
const WRONG_WORDS =
  /\b(?:hum\w*|buzz\w*|nois[ey]\w*|crackl\w*|dead|broke\w*|fail\w*|fault\w*|swap\w*|batter\w*|dropout\w*|intermittent)\b/i;
/** A page has room for so many of them; the newest count. */
const MOST_WRONG = 14;

/**
 * One page for the next crew: what was used and how it was set, what went wrong, what to bring.
 * @param checked how lines were left in the check, by line
 * @param entries oldest first
 */
export function reportSheet(
  input: PaperInput,
  checked: ReadonlyMap<string, Pick<MergedReading, 'gainDb' | 'outcome' | 'note'>>,
  entries: readonly LogEntry[],
  zone: string
): LogSheet {
  const { plan } = input;
  const clock = clockOf(zone);
  const used: Row[] = linesOf(plan).map(({ line, tag }) => {
    const boxes = line.devices
      .filter((d) => modelOf(plan.devices[d].model).family === 'box')
      .map((d) => boxText(plan.devices[d]));
    const metres = line.cables.reduce((sum, c) => sum + plan.cables[c].metres, 0);
    const read = checked.get(line.id);
    const gain = read?.gainDb === null || read?.gainDb === undefined ? '' : `${formatNumber(read.gainDb)}\u202FdB`;
    return {
      key: line.id,
      cells: [
        tag,
        nameOf(line),
        [...boxes, formatQuantity('length', metres)].join('; '),
        [gain, read?.note].filter(Boolean).join(', ')
      ]
    };
  });
  const wrong = entries.filter((e) =>
    e.kind === 'reading'
      ? / faulty\b/.test(stands(e))
      : WRONG.includes(e.kind) || (isTyped(e.kind) && WRONG_WORDS.test(stands(e)))
  );
  const shown = wrong.slice(-MOST_WRONG);
  const rows: Row[] = shown.map((e) => ({
    key: e.id,
    cells: [clock.time(e.at), clock.day(e.at), stands(e), e.by ?? '']
  }));
  if (wrong.length > shown.length)
    rows.push({ key: 'more', cells: ['', '', says.andMoreInTheLog(wrong.length - shown.length), ''] });
  const bring: Row[] = packingSheet(input).groups.flatMap((g) =>
    g.rows.map(({ key, cells: [, count, what, called, spare] }) => ({
      key: `${g.name} ${key}`,
      cells: [count, what, called, spare ? says.ofItSpare(spare) : '']
    }))
  );
  const groups: Group[] = [
    { name: says.whatWasUsed, rows: used },
    {
      name: says.whatWentWrong,
      rows: rows.length > 0 ? rows : [{ key: 'none', cells: ['', '', says.nothingWentWrong, ''] }]
    },
    { name: says.whatToBring, rows: bring }
  ];
  return {
    title: says.reportForTheNextCrew,
    note: says.asItWasLeft(resolve(plan).lines.length),
    columns: [
      { head: '', wide: 9 },
      { head: '', wide: 25 },
      { head: '', wide: 46 },
      { head: '', wide: 20 }
    ],
    groups: groups.filter((g) => g.rows.length > 0)
  };
}
