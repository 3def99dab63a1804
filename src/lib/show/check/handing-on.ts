import type { LineReport } from '$core/judge/judge';
import type { Expected } from '$core/linecheck/expected';
import { clipsFirst } from '$core/linecheck/first-to-clip';
import type { ReadValues } from '$core/linecheck/merge';
import type { Line } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';
import { spreadOfHum } from '$core/trace/hum-spread';
import { clipsFirstText } from '$core/words/check';
import { modelName } from '$core/words/names';
import { humOff } from './check-state';

/** What the check knows of a line, as others take it over. */

/** Where a line distorts first, in words; null where nothing on it clips. */
export function clipsText(plan: Plan, report: LineReport): string | null {
  const first = clipsFirst(report);
  return first && clipsFirstText(first, modelName(plan.devices[first.device].model));
}

/**
 * The address at which a hum is traced, with what is known of it: which of the lines that were listened to have it.
 * @param humOf hum read of a line; null where nobody listened
 */
export function traceAddress(
  showId: string,
  line: Line,
  lines: readonly Line[],
  expected: ReadonlyMap<string, Expected>,
  humOf: (line: Line) => ReadValues['hum']
): string {
  const others = lines.flatMap((l) => {
    const hum = l.id === line.id ? null : humOf(l);
    return hum === null ? [] : [humOff(expected.get(l.id)!, hum)];
  });
  const spread = spreadOfHum(others);
  return `/show/${showId}/trace?line=${line.id}&sound=hum${spread ? `&lines=${spread}` : ''}`;
}
