import { type Hints, hintsFor } from '$core/advise/hints';
import { type Remedy, remediesFor } from '$core/advise/remedies';
import { Stock } from '$core/advise/stock';
import type { Kit } from '$core/kit/schema';
import { judgeWhole, type LineReport } from '$core/judge/judge';
import { type Pieces, Whole } from '$core/judge/whole';
import { traceLines } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';
import { type Influence, influences } from '$core/rig/influence';
import type { Loop } from '$core/rig/loops';
import { expose } from 'comlink';

/** What is known of each piece of the rig: an unchanged piece is not solved again. */
const pieces: Pieces = new Map();
/** What was handed out last, by line: only what differs is handed out again. */
const sent = new Map<string, string>();
let latest = 0;
/** Work between two looks at whether a newer plan has come in, milliseconds. */
const SLICE = 24;

const fingerprint = (r: LineReport): string =>
  [r.key, r.severity, r.hum?.dbu.toFixed(2), r.findings.map((f) => `${f.code}${f.severity}`).join()].join('|');

/** Reports that are not what was handed out before. */
function fresh(reports: readonly LineReport[]): LineReport[] {
  return reports.filter((r) => {
    const now = fingerprint(r);
    if (sent.get(r.id) === now) return false;
    sent.set(r.id, now);
    return true;
  });
}

const api = {
  /**
   * Judges a plan and hands out reports that changed, in slices. A newer call ends an older one.
   * @returns ids of all lines of the plan, or null when overtaken
   */
  async judge(plan: Plan, deliver: (reports: LineReport[]) => void): Promise<string[] | null> {
    const turn = ++latest;
    const whole = new Whole(plan, pieces);
    let since = performance.now();
    while (whole.step()) {
      if (performance.now() - since < SLICE) continue;
      const some = fresh(judgeWhole(whole, 'sofar').filter((r) => !sent.has(r.id)));
      if (some.length > 0) deliver(some);
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (turn !== latest) return null;
      since = performance.now();
    }
    // What was changed first; then the others, whose hum may have moved a little with it.
    const first = fresh(judgeWhole(whole, 'fresh'));
    if (first.length > 0) deliver(first);
    const changed = fresh(judgeWhole(whole));
    if (changed.length > 0) deliver(changed);
    const ids = whole.lines.map((l) => l.id);
    for (const id of sent.keys()) if (!ids.includes(id)) sent.delete(id);
    return ids;
  },

  /** Remedies of one line, best first. @param kit what may be used without hiring; null for anything */
  remedies(plan: Plan, lineId: string, kit: Kit | null): Remedy[] {
    const line = traceLines(plan).find((l) => l.id === lineId);
    return line ? remediesFor(plan, line, new Stock(kit)) : [];
  },

  /** What else can be said of one line: low cut, equaliser, unity, loudness. */
  hints(plan: Plan, lineId: string): Hints | null {
    const line = traceLines(plan).find((l) => l.id === lineId);
    return line ? hintsFor(plan, line, new Map(pieces)) : null;
  },

  /** Ground loops that one line's cables are part of. */
  loops(plan: Plan, lineId: string): Loop[] {
    const cables = traceLines(plan).find((l) => l.id === lineId)?.cables ?? [];
    return new Whole(plan, new Map(pieces)).loops().filter((loop) => cables.includes(loop.cable));
  },

  /** What moves one line's gain at a frequency, most first. */
  influences(plan: Plan, lineId: string, hz: number): Influence[] {
    const line = traceLines(plan).find((l) => l.id === lineId);
    return line ? influences(plan, line, hz) : [];
  }
};

export type JudgeApi = typeof api;
expose(api);
