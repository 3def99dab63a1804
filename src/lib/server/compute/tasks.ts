import { atGlance } from '$core/judge/at-glance';
import { judgePlan, type LineReport } from '$core/judge/judge';
import type { Severity } from '$core/judge/types';
import type { Kit } from '$core/kit/schema';
import { labelsOf } from '$core/paper/cables';
import { unitLabelsOf } from '$core/paper/unit-labels';
import { cardsOf } from '$core/paper/patch';
import { logSheet, reportSheet } from '$core/paper/log';
import { sheetOf } from '$core/paper/sheets';
import type { LogEntry } from '$core/log/entry';
import { type PaperInput, SHEET_IDS, type SheetId } from '$core/paper/types';
import type { Plan } from '$core/plan/schema';
import { type LengthUnit, showLengthsIn } from '$core/units/lengths';
import type { Counted } from '$lib/protocol/shows';
import { saltRoad } from '../demo-shows';
import { cardsPart, labelsPart } from '../paper/cards';
import { tell } from '../show-log/tell';
import { type Part, renderPaper, sheetPart } from '../paper/pdf';

/** What the server computes from plans, away from the thread that answers requests. Plain values in, plain values out. */

function glance({ plan }: { plan: Plan }): Counted {
  const counts: Record<Severity, number> = { clean: 0, note: 0, care: 0, stop: 0, danger: 0 };
  const reports = judgePlan(plan);
  for (const { severity } of reports) counts[severity]++;
  return { lines: reports.length, counts };
}

/** What the rows of a board tell. */
const rows = ({ plan }: { plan: Plan }): LineReport[] => judgePlan(plan).map(atGlance);

/** A paper of a show. */
interface PaperTask {
  readonly show: string;
  readonly revision: number;
  readonly plan: Plan;
  readonly kit: Kit | null;
  readonly sheet: SheetId | 'cards' | 'labels' | 'all';
  readonly size: 'A4' | 'LETTER';
  /** In which unit lengths are written. */
  readonly lengths: LengthUnit;
  /** What was printed before, where what is new since then is marked. */
  readonly before: { readonly plan: Plan; readonly kit: Kit | null; readonly revision: number } | null;
  /** Of the show's lines, without the line's id: what a label's code opens. */
  readonly address: string;
}

const inputOf = (plan: Plan, kit: Kit | null): PaperInput => ({
  plan,
  kit,
  reports: new Map(judgePlan(plan).map((r) => [r.id, r]))
});

async function paper(task: PaperTask): Promise<Uint8Array> {
  const { show, revision, plan, kit, sheet, size, lengths, before, address } = task;
  // A thread does one task at a time, and writes its sheets before it waits for anything.
  showLengthsIn(lengths);
  const input = inputOf(plan, kit);
  const last = before ? inputOf(before.plan, before.kit) : undefined;
  const partOf = (what: SheetId | 'cards' | 'labels'): Part | Promise<Part> =>
    what === 'labels'
      ? labelsPart(labelsOf(input), address)
      : what === 'cards'
        ? cardsPart(cardsOf(input), sheetOf('boxes', input).note)
        : sheetPart(sheetOf(what, input, last), before?.revision ?? null);
  const wanted = sheet === 'all' ? [...SHEET_IDS, 'cards' as const, 'labels' as const] : [sheet];
  const parts = await Promise.all(wanted.map(partOf));
  return new Uint8Array(await renderPaper(parts, { show, revision, at: new Date(), size }));
}

/** The log of a show, or the page for the next crew, as PDF. */
interface LogPaperTask extends Pick<PaperTask, 'show' | 'revision' | 'plan' | 'kit' | 'size' | 'lengths'> {
  readonly what: 'log' | 'report';
  /** Oldest first. */
  readonly entries: readonly LogEntry[];
  readonly checked: readonly (readonly [
    line: string,
    left: Parameters<typeof reportSheet>[1] extends ReadonlyMap<string, infer L> ? L : never
  ])[];
  readonly zone: string;
}
async function logPaper(task: LogPaperTask): Promise<Uint8Array> {
  const { what, show, revision, size, lengths, plan, kit, entries, checked, zone } = task;
  showLengthsIn(lengths);
  const sheet =
    what === 'log' ? logSheet(entries, zone) : reportSheet(inputOf(plan, kit), new Map(checked), entries, zone);
  return new Uint8Array(await renderPaper([sheetPart(sheet, null)], { show, revision, at: new Date(), size }));
}

/** Labels for numbered things of a kit. */
async function unitLabels(
  task: Pick<PaperTask, 'size' | 'lengths' | 'address'> & { readonly kit: Kit; readonly crew: string }
): Promise<Uint8Array> {
  const { kit, crew, size, lengths, address } = task;
  showLengthsIn(lengths);
  const labels = unitLabelsOf(kit, crew);
  return new Uint8Array(
    await renderPaper([await labelsPart(labels, address)], { show: crew, revision: null, at: new Date(), size })
  );
}

/** What `warm` goes through, one at a time: whoever asks for something meanwhile waits for one of them, not for all. */
export const WARMED = [...SHEET_IDS, 'cards', 'labels'] as const;

/** A paper of the made-up show, for nobody: what runs for the first time takes twice as long. */
const warm = ({ sheet }: { sheet: (typeof WARMED)[number] }): Promise<Uint8Array> =>
  paper({
    show: '',
    revision: 0,
    plan: saltRoad(),
    kit: null,
    sheet,
    size: 'A4',
    lengths: 'm',
    before: null,
    address: 'http://localhost/'
  });

export const TASKS = { glance, rows, paper, logPaper, unitLabels, tell, warm };
export type Tasks = typeof TASKS;
