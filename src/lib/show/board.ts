import { modelOf } from '$core/gear/catalogue';
import type { LineReport } from '$core/judge/judge';
import { rank, SEVERITIES, type Severity } from '$core/judge/types';
import type { Line } from '$core/plan/lines';
import type { Plan } from '$core/plan/schema';

export type Sort = 'channel' | 'verdict';
export type Filter = Severity | 'wrong' | null;
type Reports = ReadonlyMap<string, LineReport>;

/** Lines as the board shows them. A line that is open stays, whatever the filter says. */
export function arrange(
  lines: readonly Line[],
  reports: Reports,
  sort: Sort,
  filter: Filter,
  open: string | null
): Line[] {
  const severity = (line: Line): Severity => reports.get(line.id)?.severity ?? 'clean';
  const kept = lines.filter(
    (line) =>
      filter === null ||
      line.id === open ||
      (filter === 'wrong' ? severity(line) !== 'clean' : severity(line) === filter)
  );
  if (sort === 'channel') return kept;
  const weight = (line: Line): number => {
    const report = reports.get(line.id);
    const count = report?.findings.filter((f) => f.severity === report.severity).length ?? 0;
    return rank(severity(line)) * 100 + count;
  };
  // Array sort is stable: within one verdict the channel order stays.
  return kept.sort((a, b) => weight(b) - weight(a));
}

/** How many lines stand at each severity, leaving out those of which there is none. */
export function tally(lines: readonly Line[], reports: Reports): { severity: Severity; count: number }[] {
  return SEVERITIES.map((severity) => ({
    severity,
    count: lines.filter((line) => reports.get(line.id)?.severity === severity).length
  })).filter((t) => t.count > 0);
}

/** The parts of a line by the board's columns: whatever chain there is, columns stay shared. */
export function columnsOf(plan: Plan, { devices, cables }: Pick<Line, 'devices' | 'cables'>) {
  const family = (id: string): string => modelOf(plan.devices[id].model).family;
  const source = family(devices[0]) === 'source' ? devices[0] : null;
  const input = devices.length > 1 || !source ? devices[devices.length - 1] : null;
  const middle = devices.slice(source ? 1 : 0, input ? -1 : undefined);
  const box = middle.find((id) => family(id) === 'box') ?? middle[0] ?? null;
  const split = box ? devices.indexOf(box) : cables.length;
  return {
    source,
    input: input && input !== source ? input : null,
    box,
    middle,
    lead: cables.slice(0, split),
    run: cables.slice(split)
  };
}
