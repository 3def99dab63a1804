import { judgePlan, judgeWhole, type LineReport } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { rank } from '../judge/types';
import { applySteps } from '../plan/steps';
import { planFaults } from '../plan/integrity';
import type { Line } from '../plan/lines';
import type { Exposure, Op, Plan } from '../plan/schema';
import type { Solver } from './program';
import type { Route } from './route';
import { Search } from './search';
import { type Stock, missingBeside, type Part, partsByLine } from './stock';
import { type Choice, decide, type Decision, type Fixed, HIRE } from './program-rows';

/** Best use of the kit over all lines at once: one route a line, chosen together so that nothing is used twice. */

/** How much a line's faults count, by how exposed it is. */
const WEIGHT: Readonly<Record<Exposure, number>> = { lead: 3, normal: 1.5, buried: 1 };
/** Things of which one more is tried, at most. */
const MOST_WISHES = 12;
const TOLD_WISHES = 5;

/** What one line gets. */
export interface Allotment {
  readonly lineId: string;
  readonly route: Route;
  /** Nothing changes here. */
  readonly kept: boolean;
  readonly locked: boolean;
  /** The next best way with another box: what it would cost, and which line has what it needs. */
  readonly second: { route: Route; taken: readonly { what: string; by: string | null }[] } | null;
}

/** Something of which one more would help. */
interface Wish {
  readonly what: string;
  /** Points less over all lines. */
  readonly gain: number;
  /** Lines that would get another way, better ones first. */
  readonly helps: readonly string[];
}

export interface Proposal {
  readonly allotments: readonly Allotment[];
  /** Needed beyond the kit. */
  readonly hire: readonly { part: Part; count: number }[];
  readonly wishes: readonly Wish[];
  /** Lines of the show as they are and as they would be, judged whole. */
  readonly before: readonly LineReport[];
  readonly after: readonly LineReport[];
}

export interface AllocateOptions {
  readonly stock: Stock;
  readonly solve: Solver;
  /** Ways to choose from by line, where they were searched already; searched here when left out. */
  readonly found?: ReadonlyMap<string, readonly Route[]>;
  /** Called with what share of the work is done; returning false ends it. */
  readonly progress?: (share: number) => boolean | Promise<boolean>;
}

/**
 * Proposes a plan from the kit. The same plan and kit always give the same answer.
 * @returns null when it was called off
 */
export async function allocate(plan: Plan, options: AllocateOptions): Promise<Proposal | null> {
  const { stock, solve } = options;
  const pieces: Pieces = new Map();
  const whole = new SolvedRig(plan, pieces);
  const before = judgeWhole(whole);
  const search = new Search(plan, stock, whole);
  const choices: Choice[] = [];
  for (const [k, line] of whole.lines.entries()) {
    if (options.progress && !(await options.progress((0.8 * k) / whole.lines.length))) return null;
    const routes = options.found?.get(line.id) ?? search.routes(line);
    if (routes.length === 0) continue;
    choices.push({
      line,
      routes,
      weight: WEIGHT[line.info?.exposure ?? 'normal'],
      locked: line.info?.locked ?? false
    });
  }
  const fixed = fixedLines(plan, whole.lines, choices, before);
  const first = await decide(plan, choices, stock, fixed, solve);
  if (options.progress && !(await options.progress(0.85))) return null;
  const wishes = await wishesOf(plan, choices, stock, fixed, solve, first);
  if (options.progress && !(await options.progress(0.95))) return null;
  const allotments = choices.map((choice, k) => allotment(choice, first.picks[k], choices, first.picks, stock, fixed));
  const changed = allotments.reduce<Plan>((at, { route }) => {
    const next = applySteps(at, [...route.ops]);
    return next.ok && planFaults(next.plan).length === 0 ? next.plan : at;
  }, plan);
  return { allotments, hire: first.hire, wishes, before, after: judgePlan(changed, pieces) };
}

function fixedLines(
  plan: Plan,
  lines: readonly Line[],
  choices: readonly Choice[],
  reports: readonly LineReport[]
): Fixed[] {
  const chosen = new Set(choices.map((c) => c.line.id));
  const ampere = new Map(reports.map((r) => [r.id, r.phantomAmpere]));
  return partsByLine(
    plan,
    lines.filter((line) => !chosen.has(line.id))
  ).map(({ line, parts }) => ({
    act: line.info?.act,
    host: plan.devices[line.id].host,
    parts,
    ampere: ampere.get(line.id) ?? 0
  }));
}

/** What one more of each thing would be worth. */
async function wishesOf(
  plan: Plan,
  choices: readonly Choice[],
  stock: Stock,
  fixed: readonly Fixed[],
  solve: Solver,
  first: Decision
): Promise<Wish[]> {
  if (!stock.kit) return [];
  const wanted = new Map<string, number>();
  choices.forEach(({ routes, weight }, k) => {
    const got = routes[first.picks[k]];
    for (const route of routes) {
      const better = got.points - route.points;
      if (better <= 1) continue;
      for (const { what } of route.parts)
        if (!got.parts.some((p) => p.what === what)) wanted.set(what, Math.max(wanted.get(what) ?? 0, better * weight));
    }
  });
  for (const { part } of first.hire) wanted.set(part.what, HIRE);
  const names = [...wanted.entries()].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).slice(0, MOST_WISHES);
  const wishes: Wish[] = [];
  for (const [what] of names) {
    const next = await decide(plan, choices, stock, fixed, solve, what);
    const gain = first.points - next.points;
    if (gain <= 1) continue;
    const better = choices
      .map((c, k) => ({ id: c.line.id, by: c.routes[first.picks[k]].points - c.routes[next.picks[k]].points }))
      .filter(({ by }) => by > 0.5)
      .sort((a, b) => b.by - a.by)
      .map(({ id }) => id);
    const helps = better.length > 0 ? better : hiring(choices, first, what);
    wishes.push({ what, gain, helps });
  }
  return wishes.sort((a, b) => b.gain - a.gain || (a.what < b.what ? -1 : 1)).slice(0, TOLD_WISHES);
}

/** Lines that something is hired for: of those that take it the least exposed, as many as are hired. */
function hiring(choices: readonly Choice[], { picks, hire }: Decision, what: string): string[] {
  const count = hire.filter((h) => h.part.what === what).reduce((sum, h) => sum + h.count, 0);
  return choices
    .filter(({ routes }, k) => routes[picks[k]].parts.some((p) => p.what === what))
    .sort((a, b) => a.weight - b.weight)
    .slice(0, count)
    .map(({ line }) => line.id);
}

/** What a line got, and what the next best with another box would have cost. */
function allotment(
  { line, routes, locked }: Choice,
  pick: number,
  choices: readonly Choice[],
  picks: readonly number[],
  stock: Stock,
  fixed: readonly { parts: readonly Part[] }[]
): Allotment {
  const route = routes[pick];
  const boxes = (r: Route): string => r.way.boxes.join();
  const other = routes.find(
    (r) => r !== route && boxes(r) !== boxes(route) && rank(r.report.severity) < rank('danger')
  );
  const rest = choices.flatMap((c, k) => (c.line.id === line.id ? [] : c.routes[picks[k]].parts));
  const taken = other
    ? [
        ...new Set(missingBeside(stock, [...fixed.flatMap((f) => f.parts), ...rest], other.parts).map((p) => p.what))
      ].map((what) => ({
        what,
        by:
          choices.find((c, k) => c.line.id !== line.id && c.routes[picks[k]].parts.some((p) => p.what === what))?.line
            .id ?? null
      }))
    : [];
  return {
    lineId: line.id,
    route,
    kept: route.ops.length === 0,
    locked,
    second: other ? { route: other, taken } : null
  };
}

/** Steps of the lines that are accepted, as one edit. */
export const opsOf = (allotments: readonly Allotment[], accepted: ReadonlySet<string>): Op[] =>
  allotments.flatMap((a) => (accepted.has(a.lineId) ? a.route.ops : []));
