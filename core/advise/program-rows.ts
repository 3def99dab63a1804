import { timesOf, together, type Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Program, Row, Solver } from './program';
import type { Route } from './route';
import type { Stock, Part } from './stock';

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
export interface Decision {
  /** Index of the route of each choice. */
  readonly picks: readonly number[];
  readonly points: number;
  readonly hire: readonly { part: Part; count: number }[];
}

export interface Choice {
  readonly line: Line;
  readonly routes: readonly Route[];
  readonly weight: number;
  readonly locked: boolean;
}

/** A line that no route was found for: it keeps what it has. */
export interface Fixed {
  readonly act?: string;
  readonly host?: string;
  readonly parts: readonly Part[];
  /** Phantom that it draws. */
  readonly ampere: number;
}

/** Chooses one route a line by integer programming: exactly the best, not a good guess. */
export async function decide(
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

/** Something that is not in the kit has to be had from elsewhere: as bad as a stop on an ordinary line. */
export const HIRE = 300;
/** A phantom supply that is overdrawn fails all who hang on it. */
const OVERDRAWN = 2000;
