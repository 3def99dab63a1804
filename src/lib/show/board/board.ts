import { modelAt } from '$core/plan/devices';

import type { LineReport } from '$core/judge/judge';
import { rank, SEVERITIES, type Severity } from '$core/judge/types';
import { toldAlike } from '$core/judge/pair-report';
import type { Branch } from '$core/plan/branch';
import type { Line } from '$core/plan/lines';
import { builtAlike } from '$core/plan/mirror';
import type { Op, Plan } from '$core/plan/schema';

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

/** What hangs together stands together: a branch below the line it leaves, the second side of a pair below the first. */
export function grouped(lines: readonly Line[], branches: ReadonlyMap<string, Branch>): Line[] {
  const children = new Map<string, Line[]>();
  const shown = new Set(lines.map((l) => l.id));
  for (const line of lines) {
    const of = branches.get(line.id)?.of;
    if (of !== undefined && shown.has(of)) children.set(of, [...(children.get(of) ?? []), line]);
  }
  const out: Line[] = [];
  const seen = new Set<string>();
  const put = (line: Line): void => {
    if (seen.has(line.id)) return;
    seen.add(line.id);
    out.push(line);
    (children.get(line.id) ?? []).forEach(put);
    const { pair } = line.info ?? {};
    if (pair) lines.filter((l) => l.info?.pair === pair).forEach(put);
  };
  const isChild = (line: Line): boolean => [...children.values()].some((list) => list.includes(line));
  lines.filter((line) => !isChild(line)).forEach(put);
  return out;
}

/** Rows of which pairs that are alike are one each, and the second side of each by the id of the first. */
export interface Folded {
  readonly rows: readonly Line[];
  readonly second: ReadonlyMap<string, Line>;
}

/**
 * Pairs as one row each, where both sides are built alike and told the same; others stay two rows, so that nothing is hidden.
 * @param apart names of pairs that somebody wants to see as two
 */
export function foldPairs(plan: Plan, rows: readonly Line[], reports: Reports, apart: ReadonlySet<string>): Folded {
  const second = new Map<string, Line>();
  const out: Line[] = [];
  rows.forEach((line, k) => {
    if (second.has(rows[k - 1]?.id)) return;
    out.push(line);
    const other = rows[k + 1];
    if (bracketOf(rows, k) !== 'upper' || apart.has(line.info?.pair ?? '') || !builtAlike(plan, line, other)) return;
    const [a, b] = [reports.get(line.id), reports.get(other.id)];
    if (a && b ? toldAlike(a, b) : !a && !b) second.set(line.id, other);
  });
  return { rows: out, second };
}

/** Where a row stands in the bracket of its stereo pair; null outside of one, or when its other side is not next to it. */
export function bracketOf(rows: readonly Line[], k: number): 'upper' | 'lower' | null {
  const pair = rows[k].info?.pair;
  if (!pair) return null;
  if (rows[k + 1]?.info?.pair === pair && rows[k - 1]?.info?.pair !== pair) return 'upper';
  return rows[k - 1]?.info?.pair === pair && rows[k + 1]?.info?.pair !== pair ? 'lower' : null;
}

/** The short end of a Y lead belongs to what it is plugged into. */
const TAIL = 0.5;

/**
 * The parts of a line by the board's columns: whatever chain there is, columns stay shared. Source, the first cable, everything
 * between, the last cable, input; of a branch only what it has of its own, and the device that it leaves for a source.
 */
export function columnsOf(plan: Plan, { devices, cables }: Pick<Line, 'devices' | 'cables'>, from = 0) {
  const family = (id: string): string => modelAt(plan, id).family;
  const headed = from > 0 || family(devices[0]) === 'source';
  const tail =
    headed &&
    cables.length > from + 1 &&
    modelAt(plan, devices[from + 1]).ports.some((p) => p.id === 'thru') &&
    family(devices[from + 1]) === 'joint' &&
    plan.cables[cables[from]].metres < TAIL;
  const first = from + (tail ? 1 : 0);
  const source = headed ? devices[from] : null;
  const input = devices.length > 1 || !headed ? devices[devices.length - 1] : null;
  const middle = devices.slice(headed ? first + 1 : 0, input ? -1 : undefined);
  const last = cables.length - 1;
  return {
    source,
    input: input && input !== source ? input : null,
    middle,
    lead: first <= last && headed ? cables[first] : null,
    /** Between the boxes. */
    patches: cables.slice(first + 1, last),
    run: last > first || (!headed && last >= 0) ? cables[last] : null
  };
}

/** What is open over the board. */
export type BoardDialog =
  | { readonly kind: 'device' | 'cable' | 'info' | 'build' | 'own'; readonly id: string; readonly line: string }
  | { readonly kind: 'live'; readonly line: string; readonly ops: readonly Op[] }
  | { readonly kind: 'keys' }
  | { readonly kind: 'new' };
