import { judgePlan, judgeWhole, type LineReport } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { rank } from '../judge/types';
import { applySteps } from '../plan/steps';
import { planFaults } from '../plan/integrity';
import { type Line, timesOf, together } from '../plan/lines';
import type { Exposure, Op, Plan } from '../plan/schema';
import type { Program, Row, Solver } from './program';
import type { Route } from './routes';
import { Search } from './search';
import { missingBeside, type Part, partsByLine, type Stock } from './stock';

/** Best use of the kit over all lines at once: one route a line, chosen together so that nothing is used twice. */

/** How much a line's faults count, by how exposed it is. */
const WEIGHT: Readonly<Record<Exposure, number>> = { lead: 3, normal: 1.5, buried: 1 };
/** Something that is not in the kit has to be had from elsewhere: as bad as a stop on an ordinary line. */
const HIRE = 300;
/** A phantom supply that is overdrawn fails all who hang on it. */
const OVERDRAWN = 2000;
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

interface Choice {
  readonly line: Line;
  readonly routes: readonly Route[];
  readonly weight: number;
  readonly locked: boolean;
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

/** A line that no route was found for: it keeps what it has. */
interface Fixed {
  readonly act?: string;
  readonly host?: string;
  readonly parts: readonly Part[];
  /** Phantom that it draws. */
  readonly ampere: number;
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

interface Decision {
  /** Index of the route of each choice. */
  readonly picks: readonly number[];
  readonly points: number;
  readonly hire: readonly { part: Part; count: number }[];
}

/** The parts that there may be too few of, each with how many there are: of leads one row for each length that is asked for. */
function scarce(
  choices: readonly Choice[],
  stock: Stock,
  fixed: readonly Fixed[],
  more?: string
): { part: Part; have: number }[] {
  const asked = new Map<string, Part>();
  for (const parts of [...choices.flatMap((c) => c.routes.map((r) => r.parts)), ...fixed.map((f) => f.parts)])
    for (const part of parts) asked.set(`${part.what} ${part.metres.toFixed(2)}`, part);
  return [...asked.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, part]) => ({ part, have: stock.count(part) + (part.what === more ? 1 : 0) }))
    .filter(({ have }) => Number.isFinite(have));
}

/** How many of a row's things a list of parts takes: of leads all that are as long or longer. */
const takes = (parts: readonly Part[], { what, metres }: Part): number =>
  parts.filter((p) => p.what === what && p.metres >= metres - 1e-9).length;

/** Chooses one route a line by integer programming: exactly the best, not a good guess. */
async function decide(
  plan: Plan,
  choices: readonly Choice[],
  stock: Stock,
  fixed: readonly Fixed[],
  solve: Solver,
  more?: string
): Promise<Decision> {
  const name = (k: number, r: number): string => `x${k}_${r}`;
  const rows: Row[] = choices.map(({ routes }, k) => ({
    terms: routes.map((_, r) => [1, name(k, r)]),
    sense: '=',
    bound: 1
  }));
  const objective: [number, string][] = choices.flatMap(({ routes, weight }, k) =>
    routes.map((route, r): [number, string] => [
      // A hair's breadth of order, so that equals are chosen alike every time.
      weight * Math.min(route.points - route.counts.missing * 8, 3000) + r * 1e-4,
      name(k, r)
    ])
  );
  const hired: { part: Part; variable: string }[] = [];
  const times = timesOf(choices.map((c) => c.line));
  for (const [s, { part, have }] of scarce(choices, stock, fixed, more).entries()) {
    const variable = `h${s}`;
    let used = false;
    // What there would be enough of even if every line took the most of it needs no row.
    const most = choices.reduce((sum, { routes }) => sum + Math.max(...routes.map((r) => takes(r.parts, part))), 0);
    if (most + fixed.reduce((sum, f) => sum + takes(f.parts, part), 0) <= have) continue;
    for (const act of times) {
      const terms = choices.flatMap(({ line, routes }, k) =>
        together(act, line.info?.act)
          ? routes.flatMap((route, r): [number, string][] => {
              const n = takes(route.parts, part);
              return n > 0 ? [[n, name(k, r)]] : [];
            })
          : []
      );
      if (terms.length === 0) continue;
      const gone = fixed.filter((f) => together(act, f.act)).reduce((sum, f) => sum + takes(f.parts, part), 0);
      used = true;
      rows.push({ terms: [...terms, [-1, variable]], sense: '<=', bound: have - gone });
    }
    if (!used) continue;
    hired.push({ part, variable });
    objective.push([HIRE, variable]);
  }
  rows.push(...pairRows(choices, name));
  const phantom = phantomRows(plan, choices, fixed, name);
  rows.push(...phantom.rows);
  objective.push(...phantom.over.map((variable): [number, string] => [OVERDRAWN, variable]));
  const program: Program = {
    objective,
    rows,
    binary: [...choices.flatMap(({ routes }, k) => routes.map((_, r) => name(k, r))), ...phantom.over],
    whole: hired.map((h) => h.variable)
  };
  const answer = await solve(program);
  const picks = choices.map(({ routes }, k) => {
    const at = routes.findIndex((_, r) => (answer.values.get(name(k, r)) ?? 0) > 0.5);
    return at < 0 ? routes.findIndex((route) => route.present) : at;
  });
  return {
    picks,
    points: answer.objective,
    hire: hiredOf(hired.map(({ part, variable }) => ({ part, count: Math.round(answer.values.get(variable) ?? 0) })))
  };
}

/** A lead that is missing is missing in every row it would be long enough for: it is told once, at its length. */
function hiredOf(list: readonly { part: Part; count: number }[]): { part: Part; count: number }[] {
  const longestFirst = list.filter((h) => h.count > 0).sort((a, b) => b.part.metres - a.part.metres);
  const told = new Map<string, number>();
  return longestFirst.flatMap(({ part, count }) => {
    const before = told.get(part.what) ?? 0;
    told.set(part.what, Math.max(before, count));
    return count > before ? [{ part, count: count - before }] : [];
  });
}

/**
 * What all lines draw from the phantom supply of a host, act by act, stays within what it gives. Lines that are locked or fixed may
 * overdraw it already: then that costs, and is told as a finding.
 */
function phantomRows(
  plan: Plan,
  choices: readonly Choice[],
  fixed: readonly Fixed[],
  name: (k: number, r: number) => string
): { rows: Row[]; over: string[] } {
  const rows: Row[] = [];
  const over: string[] = [];
  const MILLI = 1000;
  Object.entries(plan.hosts).forEach(([id, { phantomMost }], h) => {
    if (phantomMost === undefined) return;
    timesOf(choices.map((c) => c.line)).forEach((act, t) => {
      const here = (host: string | undefined, other: string | undefined): boolean =>
        host === id && together(act, other);
      const terms = choices.flatMap(({ line, routes }, k) =>
        here(plan.devices[line.id].host, line.info?.act)
          ? routes.flatMap(({ report }, r): [number, string][] =>
              report.phantomAmpere > 0 ? [[report.phantomAmpere * MILLI, name(k, r)]] : []
            )
          : []
      );
      if (terms.length === 0) return;
      const gone = fixed.filter((f) => here(f.host, f.act)).reduce((sum, f) => sum + f.ampere, 0) * MILLI;
      const most = terms.reduce((sum, [ampere]) => sum + ampere, gone);
      const variable = `p${h}_${t}`;
      over.push(variable);
      rows.push({ terms: [...terms, [-most, variable]], sense: '<=', bound: phantomMost * MILLI - gone });
    });
  });
  return { rows, over };
}

/** The two sides of a stereo pair get the same boxes and the same kind of input. */
function pairRows(choices: readonly Choice[], name: (k: number, r: number) => string): Row[] {
  const rows: Row[] = [];
  const shape = ({ way }: Route): string => `${way.boxes.join('+')}>${way.input}${way.source ?? ''}`;
  choices.forEach((a, i) => {
    const pair = a.line.info?.pair;
    if (!pair || a.locked) return;
    choices.forEach((b, j) => {
      if (j <= i || b.line.info?.pair !== pair || b.locked) return;
      const shapes = new Set([...a.routes, ...b.routes].map(shape));
      for (const wanted of shapes) {
        const side = ({ routes }: Choice, k: number, sign: number): [number, string][] =>
          routes.flatMap((r, n): [number, string][] => (shape(r) === wanted ? [[sign, name(k, n)]] : []));
        rows.push({ terms: [...side(a, i, 1), ...side(b, j, -1)], sense: '=', bound: 0 });
      }
    });
  });
  return rows;
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
