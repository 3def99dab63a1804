import { type Remedy, remediesFor } from '$core/advise/remedies';
import { judgeLine, type LineReport } from '$core/judge/judge';
import { lineKey, traceLines } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';
import { expose } from 'comlink';

/** Reports by line, with the key they were computed for: an unchanged line is not computed again. */
const known = new Map<string, LineReport>();
let latest = 0;
/** Work between two looks at whether a newer plan has come in, milliseconds. */
const SLICE = 24;

const api = {
  /**
   * Judges a plan and hands out reports that changed, in slices. A newer call ends an older one.
   * @returns ids of all lines of the plan, or null when overtaken
   */
  async judge(plan: Plan, deliver: (reports: LineReport[]) => void): Promise<string[] | null> {
    const turn = ++latest;
    const lines = traceLines(plan);
    let fresh: LineReport[] = [];
    let since = performance.now();
    for (const line of lines) {
      const old = known.get(line.id);
      if (old?.key !== lineKey(plan, line)) {
        const report = judgeLine(plan, line);
        known.set(line.id, report);
        fresh.push(report);
      }
      if (performance.now() - since < SLICE) continue;
      if (fresh.length > 0) deliver(fresh);
      fresh = [];
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (turn !== latest) return null;
      since = performance.now();
    }
    if (fresh.length > 0) deliver(fresh);
    const ids = lines.map((l) => l.id);
    for (const id of known.keys()) if (!ids.includes(id)) known.delete(id);
    return ids;
  },

  /** Remedies of one line, best first. */
  remedies(plan: Plan, lineId: string): Remedy[] {
    const line = traceLines(plan).find((l) => l.id === lineId);
    return line ? remediesFor(plan, line) : [];
  }
};

export type JudgeApi = typeof api;
expose(api);
