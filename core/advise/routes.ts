import { modelAt } from '../plan/devices';
import { modelOf } from '../gear/catalogue';
import { SolvedRig } from '../judge/solved-rig';
import { rank } from '../judge/types';
import { diffPlans } from '../plan/diff';
import { type Line } from '../plan/lines';
import { stretchOf } from '../plan/stretch';
import type { Plan } from '../plan/schema';
import { beats, lostBy } from './counts';
import { Stock, takenBeside } from './stock';
import { type Candidate, waysOf } from './ways';
import type { Route, RouteOptions } from './route';
import { wantedOf } from './desk';
import { Finder, type Found, onlyLine, putOn } from './finder';

/** Fine enough to rank and to draw. */
const PER_OCTAVE = 6;
/**
 * Every sensible way of a line, computed whole with the rig around it, best first.
 * What it shares with other lines stays as it is: a branch has ways from where it leaves, a box with something on its thru is exchanged for one with a thru.
 * @returns empty for a line that is unfinished
 */
export function routesFor(plan: Plan, line: Line, options: RouteOptions = {}): Route[] {
  const families = line.devices.map((id) => modelAt(plan, id).family);
  if (families[0] !== 'source' || families[families.length - 1] !== 'input') return [];
  const around = options.around ?? new SolvedRig(plan).around(line);
  const stock = options.stock ?? new Stock(null);
  const beside = options.beside ?? (stock.kit ? takenBeside(plan, line.id) : []);
  const finder = new Finder(
    plan,
    onlyLine(plan, line),
    line,
    stretchOf(plan, line),
    { around, perOctave: options.perOctave ?? PER_OCTAVE },
    stock,
    beside
  );
  const found: Found[] = [];
  const seen = new Set<string>();
  const keep = (tried: Found | null): void => {
    if (!tried || seen.has(tried.key)) return;
    seen.add(tried.key);
    found.push(tried);
  };
  keep(finder.present());
  const owned = (c: Candidate): boolean => c.way.boxes.every((what) => stock.count({ what, metres: 0 }) > 0);
  const { keeps, keepsInput } = finder.stretch;
  const all = waysOf(wantedOf(plan, line, finder.stretch)).filter(
    ({ way, chain }) =>
      (!keeps || modelOf(chain.devices[1].model).ports.some((p) => p.id === keeps)) &&
      (!keepsInput || way.input === plan.devices[line.id].model)
  );
  const first = options.kitFirst ? all.filter(owned) : all;
  const goOn = (): boolean => options.between?.() ?? true;
  // Where a box does well into one input, the next input would only be another way of having the same box.
  const good = new Set<string>();
  for (const candidate of first) {
    if (!goOn() || (options.kitFirst && good.has(candidate.way.id))) continue;
    const tried = finder.best(candidate);
    if (tried && candidate.way.boxes.length > 0 && tried.counts.severity <= rank('note')) good.add(candidate.way.id);
    keep(tried);
  }
  if (options.kitFirst && !found.some((r) => r.counts.severity <= rank('note')))
    for (const candidate of all) if (!owned(candidate) && goOn()) keep(finder.best(candidate));
  const both = finder.both(found);
  if (both) keep(both);
  // Who wants the direct sound and the amp is not served by one of them.
  const wants = line.info?.want === 'both' && !line.info.micMetres;
  const met = wants ? found.map((r) => (r.beside ? r : { ...r, points: r.points + UNMET })) : found;
  return compare(met.map((r) => (likedByEar(line.info, r) ? { ...r, points: r.points - LIKED } : r)));
}

/** What was liked by ear weighs less than a note: it decides between ways that do as well, and never over a care, a stop or a danger. */
const LIKED = 6;
/** Whether a way is the one that was liked by ear. */
export const likedByEar = (info: Line['info'], { way, counts }: Pick<Route, 'way' | 'counts'>): boolean =>
  info?.liked !== undefined && way.boxes.includes(info.liked) && counts.severity < rank('stop');

/** A wish that a way does not fulfil weighs as much as a care. */
const UNMET = 40;

/** A route that was computed for a line, for another one that is like it in everything but its name. */
export function reroute(plan: Plan, line: Line, route: Route): Route {
  const small = onlyLine(plan, line);
  const put = route.present
    ? { draft: small, next: line }
    : putOn(small, line, stretchOf(small, line), route.chain, plan, route.beside?.chain);
  if (!put) return route;
  const { devices, cables } = put.next;
  return {
    ...route,
    ops: route.present ? [] : diffPlans(small, put.draft),
    report: { ...route.report, id: line.id, devices, cables }
  };
}

/** Best first, each with what it lost by and whether another is at least as good on every count. */
function compare(found: readonly Found[]): Route[] {
  const sorted = [...found].sort(
    (a, b) => a.points - b.points || a.parts.length - b.parts.length || (a.key < b.key ? -1 : 1)
  );
  const best = sorted[0];
  return sorted.map((r, k) => {
    const beatenBy = sorted.findIndex((other, j) => j < k && beats(other.counts, r.counts));
    return {
      ...r,
      beatenBy: beatenBy < 0 ? null : beatenBy,
      lostBy: k === 0 ? null : lostBy(r.report, best.report)
    };
  });
}
