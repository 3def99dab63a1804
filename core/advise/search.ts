import { SolvedRig } from '../judge/solved-rig';
import { standsAlone } from '../plan/chain';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { reroute, routesFor } from './routes';
import { type Route } from './route';
import { schoolPick } from './schools';
import type { Stock } from './stock';

/** Ways that a proposal may choose from, line by line. Lines that are alike share one search. */

/** Routes of a line that are looked at; beyond these none was ever chosen. */
const MOST_ROUTES = 10;
/** Coarse: what is chosen is judged again in full. */
const PER_OCTAVE = 3;

export class Search {
  readonly #known = new Map<string, readonly Route[]>();

  /** @param whole the plan in pieces, where it is solved already */
  constructor(
    readonly plan: Plan,
    readonly stock: Stock,
    readonly whole = new SolvedRig(plan)
  ) {}

  /** Ways of a line that may be chosen. */
  routes(line: Line): readonly Route[] {
    const { plan, stock, whole } = this;
    const key = likeness(plan, line);
    const like = this.#known.get(key);
    const found = like
      ? like.map((r) => reroute(plan, line, r))
      : routesFor(plan, line, {
          perOctave: PER_OCTAVE,
          around: whole.around(line),
          stock,
          beside: [],
          kitFirst: true
        });
    if (!like) this.#known.set(key, found);
    if (line.info?.locked) return found.filter((r) => r.present);
    // Another sound is another wish: a direct line stays direct in a proposal, unless the amp or a microphone is wanted as well.
    const want = line.info?.want ?? 'direct';
    const wished = found.filter(
      (r) => r.present || !r.way.source || want === 'both' || (want === 'amp' && r.way.source !== 'both')
    );
    // A school that the show is set to decides by its rule; the computation chooses where it has none.
    const taught = schoolPick(plan, line, found);
    return taught ? [taught] : distinct(wished, found);
  }
}

/** Of ways that take the same things only the best one matters. */
function distinct(wished: readonly Route[], found: readonly Route[]): readonly Route[] {
  const seen = new Set<string>();
  const top = wished
    .filter((r) => {
      const key = r.parts
        .map((p) => `${p.what} ${p.metres}`)
        .sort()
        .join();
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .slice(0, MOST_ROUTES);
  const present = found.find((r) => r.present);
  return present && !top.includes(present) ? [...top, present] : top;
}

/** Text that two lines share when the same ways are open to them, to the same effect: what the rest of the rig adds in hum aside. */
const likeness = (plan: Plan, line: Line): string =>
  JSON.stringify([
    line.devices.map((id) => [plan.devices[id], plan.lines[id]?.want, plan.lines[id]?.liked]),
    line.cables.map((id) => {
      const { from, to, ...rest } = plan.cables[id];
      return [rest, from.port, to.port];
    }),
    // What shares something with another line is like no other.
    standsAlone(plan, line) || line.id
  ]);

/** Lines in so many parcels of about equal work, for as many threads: those that are alike lie in one. */
export function parcelsOf(plan: Plan, lines: readonly Line[], count: number): string[][] {
  const alike = new Map<string, string[]>();
  for (const line of lines) {
    const key = likeness(plan, line);
    alike.set(key, [...(alike.get(key) ?? []), line.id]);
  }
  const parcels = Array.from({ length: count }, (): string[] => []);
  [...alike.values()].forEach((ids, k) => parcels[k % count].push(...ids));
  return parcels;
}
