import { mergeReadings } from '$core/linecheck/merge';
import { leftAs } from '$core/linecheck/outcome';
import type { Reading } from '$core/linecheck/reading';
import type { KitItem } from '$core/kit/schema';
import { type EntryFacts, type EntryKind, LOG_LIMITS } from '$core/log/entry';
import { type Setup, setupOf } from '$core/log/setup';
import { type MadeEdit, planBefore, reporter, type ReportsOf, tellEdits } from '$core/log/told-edits';
import { resolve } from '$core/plan/resolved';
import type { OwnModel, Plan } from '$core/plan/schema';
import { clearedEntry, printEntry, readingEntry, stopEntry, traceEntry } from '$core/words/log';
import { kitEntry } from '$core/words/kit-life';
import { cutText } from '$core/text/well-formed';
import { toldEditsText } from '$core/words/log-changes';
import * as z from '$core/text/zod';
import type { TraceRecord } from '$lib/protocol/trace-record';

/** What happened at a show, told in words and with what was set then. Pure; runs in a computing thread, for it judges plans. */

interface Happened {
  readonly ref: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly personId: string | null;
  readonly by: string | null;
}
export interface ToTell {
  /** The show as it is now. */
  readonly plan: Plan;
  readonly revision: number;
  /** All edits that are not told yet, oldest first; they lead to the plan. */
  readonly edits: readonly (MadeEdit & Pick<Happened, 'personId' | 'by'>)[];
  readonly readings: readonly (Happened & { readonly reading: Reading })[];
  readonly traces: readonly (Happened & { readonly record: TraceRecord })[];
  readonly stops: readonly (Happened & { readonly lineId: string | null })[];
  readonly cleared: readonly (Happened & { readonly lineId: string | null; readonly found: string | null })[];
  readonly prints: readonly (Happened & { readonly revision: number })[];
  readonly kit: readonly (Happened & {
    readonly itemId: string;
    readonly before: KitItem | null;
    readonly after: KitItem | null;
    readonly said: string | null;
  })[];
}
interface ToldEntry extends Happened {
  readonly kind: EntryKind;
  readonly text: string;
  readonly facts: EntryFacts;
}
interface ToldSetup extends Happened {
  readonly lineId: string;
  readonly source: string;
  /** Of those that the crew knows. */
  readonly instrument: string | null;
  readonly setup: Setup;
}
export interface Told {
  readonly entries: readonly ToldEntry[];
  readonly worked: readonly ToldSetup[];
  /** Models with values of one’s own that were made or changed. */
  readonly ownModels: readonly OwnModel[];
}

/** @param task `ToTell` as text: the database writes it, and nobody but this reads it */
export function tell(task: string): Told {
  const to = JSON.parse(task) as ToTell;
  const before = planBefore(to.plan, to.edits);
  const reportsOf = reporter();
  const told = tellEdits(before, to.edits, reportsOf);
  const maker = new Map(to.edits.map((e) => [e.id, e]));
  const edits = told.map(({ edit, lines, show, kind }): ToldEntry => {
    const { personId, by } = maker.get(edit.id)!;
    return {
      ...{ kind: 'edit', ref: edit.id, at: edit.at, personId, by },
      text: toldEditsText({ lines, show, kind }),
      facts: { lines: lines.map((l) => l.id), revision: edit.revision }
    };
  });
  /** The show as it was at a moment, as far as it is known here. */
  const states = [{ at: -Infinity, plan: before }, ...told.map(({ edit, plan }) => ({ at: edit.at, plan }))];
  const planAt = (at: number): Plan => states.findLast((s) => s.at <= at)!.plan;
  const nameIn = (plan: Plan, line: string): string => plan.lines[line]?.name ?? to.plan.lines[line]?.name ?? line;
  const of = ({ ref, at, personId, by }: Happened): Happened => ({ ref, at, personId, by });
  const where = (x: Happened & { lineId: string | null }): string | null =>
    x.lineId === null ? null : nameIn(planAt(x.at), x.lineId);
  const about = (lineId: string | null): EntryFacts => (lineId === null ? {} : { lines: [lineId] });

  const readings = to.readings.map((r): ToldEntry => {
    const plan = planAt(r.at);
    const { lineId } = r.reading;
    const text = readingEntry(plan, resolve(plan).line(lineId), nameIn(plan, lineId), r.reading);
    return { ...of(r), kind: 'reading', text, facts: about(lineId) };
  });
  const traces = to.traces.map((t): ToldEntry => {
    const text = traceEntry(nameIn(planAt(t.at), t.record.lineId), t.record);
    return { ...of(t), kind: 'trace', text, facts: about(t.record.lineId) };
  });
  const stops = to.stops.map((s): ToldEntry => ({
    ...of(s),
    kind: 'stop',
    text: stopEntry(where(s)),
    facts: about(s.lineId)
  }));
  const cleared = to.cleared.map((s): ToldEntry => {
    const text = clearedEntry(where(s), s.by ?? '', s.found);
    return { ...of(s), kind: 'cleared', text, facts: about(s.lineId) };
  });
  const prints = to.prints.map((p): ToldEntry => ({
    ...of(p),
    ...{ kind: 'print', text: printEntry(p.revision), facts: { revision: p.revision } }
  }));
  const kit = to.kit.map((k): ToldEntry => ({
    ...of(k),
    ...{ kind: 'kit', text: cutText(kitEntry(k.before, k.after, k.said), LOG_LIMITS.text) },
    facts: { units: [k.itemId] }
  }));
  return {
    entries: [...edits, ...readings, ...traces, ...stops, ...cleared, ...prints, ...kit],
    worked: workedOf(to, planAt, reportsOf),
    ownModels: changedModels(to)
  };
}

function changedModels({ plan, edits }: ToTell): OwnModel[] {
  const changed = new Set(edits.flatMap((e) => e.ops.flatMap((op) => (op.table === 'models' ? [op.id] : []))));
  return [...changed].flatMap((id) => plan.models?.[id] ?? []);
}

/** Lines that were left working, as they were set then. */
function workedOf({ readings }: ToTell, planAt: (at: number) => Plan, reportsOf: ReportsOf): ToldSetup[] {
  return readings.flatMap(({ reading, ref, at, personId, by }): ToldSetup[] => {
    const plan = planAt(at);
    const line = resolve(plan).line(reading.lineId);
    if (!line || reading.practice || !['works', 'unread'].includes(leftAs(mergeReadings([{ ...reading, by }])!)))
      return [];
    const setup = setupOf(plan, line, reportsOf(plan).get(line.id) ?? null, reading);
    const [{ model: source }] = setup.chain.devices;
    const instrument = line.info?.instrument;
    // What came in with a file may name anything.
    const known = instrument !== undefined && z.uuid().safeParse(instrument).success ? instrument : null;
    return [{ ...{ ref, at, personId, by }, lineId: line.id, source, instrument: known, setup }];
  });
}
