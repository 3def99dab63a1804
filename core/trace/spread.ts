import type { SolvedRig } from '../judge/solved-rig';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { RigHum } from '../rig/hum';
import { besideOf } from './estimates';
import { type Spread, spreadChance, SPREADS } from './first-answers';
import type { Hypothesis } from './hypotheses';

/** Causes of the building's earths. */
const OF_ALL: ReadonlySet<Hypothesis['code']> = new Set(['loop', 'dimmers']);

/** Which lines a cause is heard on: those of the building's earths on many, all others on their own. */
export class SpreadOf {
  readonly #base: Map<string, number>;
  readonly #known = new Map<string, Spread>();
  constructor(
    readonly plan: Plan,
    readonly line: Line,
    readonly whole: SolvedRig
  ) {
    this.#base = this.#levels(plan);
  }
  #levels(plan: Plan): Map<string, number> {
    const { hums } = this.whole.everything();
    const rig = new RigHum(plan, hums);
    return new Map(hums.flatMap((hum) => hum.outs.map((out) => [out, rig.at(hum, out).byKind.earths] as const)));
  }
  /** How likely it is said of a cause that so many lines do it. Of a plan of one line nobody knows what the others would do. */
  chance(h: Hypothesis, is: Spread): number {
    // Of two lines the other one is some others, and all of them.
    if (this.#base.size === 2 && is !== 'only-this') return (this.#chance(h, 'some') + this.#chance(h, 'all')) / 2;
    return this.#chance(h, is);
  }
  #chance(h: Hypothesis, is: Spread): number {
    if (this.#base.size === 1 && OF_ALL.has(h.code)) return 1 / SPREADS.length;
    const beside = besideOf(h.code, this.#isPair(h.of));
    return (
      (1 - beside) * spreadChance(this.of(h), is) + (beside / 2) * (spreadChance('some', is) + spreadChance('all', is))
    );
  }
  /** Whether a cable is a multicore's pair, with another line's beside it. */
  #isPair(cable: string | null): boolean {
    const { cables } = this.plan;
    const isPair = (id: string): boolean => cables[id]?.kind === 'multicore';
    return cable !== null && isPair(cable) && Object.keys(cables).some((id) => id !== cable && isPair(id));
  }
  of(h: Hypothesis): Spread {
    if (!OF_ALL.has(h.code)) return 'only-this';
    let known = this.#known.get(h.id);
    if (known === undefined) this.#known.set(h.id, (known = this.#count(h.situation.plan)));
    return known;
  }
  #count(plan: Plan): Spread {
    const now = this.#levels(plan);
    const own = now.get(this.line.id) ?? 0;
    // As loud as a tenth of this one, and more than it was.
    const others = [...now].filter(
      ([id, v]) => id !== this.line.id && v > own / 10 && v > 2 * (this.#base.get(id) ?? 0)
    );
    return others.length === 0 ? 'only-this' : others.length >= now.size - 1 ? 'all' : 'some';
  }
}
