import { resolve } from '../plan/resolved';
import { CircuitError } from '../solver/network';
import { SingularError } from '../solver/order';
import { type Domain, isComplete, type Line, scopeKey, sharedKey } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { type Draw, drawn, drawOf } from './budget';
import { type Hum, RigHum } from '../rig/hum';
import { EarthSum } from '../rig/earth-sum';
import { domainHum, type DomainHum } from '../rig/hum-domain';
import { type Loop, loopsOf, type Ring, type RingBench, ringBench, ringsOf } from '../rig/loops';
import { type Tie, tiesOf } from '../rig/rings';
import { type LineSolution, shapeOf, solveLine } from '../rig/solve';
import { benchOf, inputsOf } from '../rig/bench';

/** A piece of the rig as far as it can be known without the rest: kept until something in it changes. */
interface Piece {
  readonly solutions: ReadonlyMap<string, LineSolution | CircuitError>;
  /** Null when the piece has no inputs, or cannot be solved. */
  readonly hum: DomainHum | null;
  readonly ties: readonly Tie[];
}
/** Pieces by what they were computed from. */
export type Pieces = Map<string, Piece>;

/** Solves one piece: its lines, and its answer to hum. Never throws on a plan that loads. */
function solvePiece(plan: Plan, domain: Domain, perOctave?: number): Piece {
  const complete = domain.lines.filter((line) => isComplete(plan, line));
  if (domain.devices.length === 0 || complete.length === 0) return { solutions: new Map(), hum: null, ties: [] };
  try {
    const bench = benchOf(plan, domain);
    const solutions = new Map<string, LineSolution | CircuitError>();
    for (const line of complete)
      solutions.set(
        line.id,
        attempt(() => solveLine(plan, line, { perOctave, bench }))
      );
    const hum = attempt(() => domainHum(plan, bench.rig, bench.system, inputsOf(plan, bench.rig, complete)));
    return { solutions, hum: hum instanceof CircuitError ? null : hum, ties: tiesOf(bench.rig) };
  } catch (error) {
    if (!(error instanceof CircuitError)) throw error;
    return { solutions: new Map(complete.map((line) => [line.id, error])), hum: null, ties: [] };
  }
}

function attemptBench(plan: Plan, domain: Domain): RingBench | null {
  const made = attempt(() => ringBench(plan, domain));
  return made instanceof CircuitError ? null : made;
}

function attempt<T>(run: () => T): T | CircuitError {
  try {
    return run();
  } catch (error) {
    if (error instanceof CircuitError) return error;
    throw error;
  }
}

/** The rest of a rig, as one line's piece sees it. */
export interface Around {
  readonly hums: readonly DomainHum[];
  readonly ties: readonly Tie[];
  /** Phantom that other lines draw. */
  readonly draws: readonly Draw[];
}

/** What a line's judgement reads. */
export interface Solved {
  readonly solution: LineSolution | CircuitError;
  readonly hum: Hum | null;
  readonly ties: readonly Tie[];
  /** What is drawn from the phantom supply of its host in all while it is on, amperes. */
  readonly drawn: number;
}

export type Which = 'all' | 'sofar' | 'fresh';

/** A plan in pieces, each solved once. Call `step` until it says that it is done, then `lines`. */
export class SolvedRig {
  readonly lines: readonly Line[];
  readonly domains: readonly Domain[];
  readonly #keys: string[] = [];
  /** Pieces that have been stepped over: held here, for who shares `pieces` may take out what another plan has no use for. */
  readonly #own: Piece[] = [];
  readonly #shared: string;
  #next = 0;
  readonly #fresh = new Set<number>();

  /** @param pieces what is known from before; new pieces are added, those no longer in the plan taken out at the end */
  constructor(
    readonly plan: Plan,
    readonly pieces: Pieces = new Map()
  ) {
    this.lines = resolve(plan).lines;
    this.domains = resolve(plan).domains;
    this.#shared = sharedKey(plan);
  }

  /** Solves one more piece that is not known yet. @returns false when all are */
  step(): boolean {
    while (this.#next < this.domains.length) {
      const domain = this.domains[this.#next++];
      const key = scopeKey(this.plan, domain, this.#shared);
      this.#keys.push(key);
      const known = this.pieces.get(key);
      const piece = known ?? solvePiece(this.plan, domain);
      this.#own.push(piece);
      if (known) continue;
      this.#fresh.add(this.#next - 1);
      this.pieces.set(key, piece);
      return true;
    }
    const live = new Set(this.#keys);
    for (const key of this.pieces.keys()) if (!live.has(key)) this.pieces.delete(key);
    return false;
  }

  /** Text that changes when the numbers of a piece, told by its place in `domains`, may. Known once it has been stepped over. */
  keyOf(domain: number): string | undefined {
    return this.#keys[domain];
  }

  /**
   * Complete lines with the hum of the whole rig at them.
   * @param which all; `sofar`: only what has been stepped over, the rest of the rig taken to be silent; `fresh`: only of
   *   pieces that were not known before, the ones somebody waits for
   */
  solved(which: Which = 'all'): Map<string, Solved> {
    while (which !== 'sofar' && this.step());
    const pieces = this.#own;
    const hums = pieces.flatMap((p) => p.hum ?? []);
    const rig = rigHum(this.plan, hums);
    const shared = new Map<string, number>();
    for (const { ties } of pieces) for (const tie of ties) shared.set(tie.join(), (shared.get(tie.join()) ?? 0) + 1);
    const out = new Map<string, Solved>();
    const lineOf = new Map(this.lines.map((line) => [line.id, line]));
    const draws = this.#draws(() => true);
    for (const [k, piece] of pieces.entries()) {
      if (which === 'fresh' && !this.#fresh.has(k)) continue;
      const own = new Set(piece.ties.map((tie) => tie.join()));
      const ties = [...shared].filter(([tie, n]) => n > (own.has(tie) ? 1 : 0)).map(([tie]) => tie.split(',') as never);
      for (const [id, solution] of piece.solutions)
        out.set(id, {
          solution,
          hum: piece.hum && rig ? rig.at(piece.hum, id, shapeOf(this.plan, lineOf.get(id)!)) : null,
          ties,
          drawn: totalOf(this.plan, lineOf.get(id)!, draws)
        });
    }
    return out;
  }

  /** Phantom drawn by the lines of some pieces, as far as they are stepped over. */
  #draws(counts: (domain: Domain) => boolean): Draw[] {
    return this.#own.flatMap((piece, k) => (counts(this.domains[k]) ? drawsOf(this.plan, this.domains[k], piece) : []));
  }

  /** All pieces solved, and joined at their earths. */
  #joined(): { pieces: readonly Piece[]; rig: RigHum | null } {
    while (this.step());
    const pieces = this.#own;
    const hums = pieces.flatMap((p) => p.hum ?? []);
    return { pieces, rig: rigHum(this.plan, hums) };
  }

  /** Every ground loop of the rig, those with the most current first. @throws CircuitError where the earths leave it undetermined */
  loops(): Loop[] {
    const { pieces, rig } = this.#joined();
    if (!rig) throw UNDETERMINED();
    return this.domains
      .flatMap((domain, k) => {
        const { hum } = pieces[k];
        if (!hum) return [];
        const others = pieces.filter((_, j) => j !== k);
        const again = (changed: DomainHum): RigHum =>
          new RigHum(this.plan, [...others.flatMap((p) => p.hum ?? []), changed]);
        const beyond = others.flatMap((p) => p.ties);
        return loopsOf(this.plan, domain, rig, hum, beyond, again);
      })
      .sort((a, b) => b.ampere - a.ampere);
  }

  /**
   * Every ring of ground conductors as it is drawn, none of them opened.
   * @param benches what is known from before; kept up to date
   * @throws CircuitError where the earths leave it undetermined
   */
  rings(benches: Map<string, RingBench | null> = new Map()): Ring[] {
    const { pieces, rig } = this.#joined();
    if (!rig) throw UNDETERMINED();
    const live = new Set(this.#keys);
    for (const key of benches.keys()) if (!live.has(key)) benches.delete(key);
    return this.domains.flatMap((domain, k) => {
      if (!pieces[k].hum) return [];
      const key = this.#keys[k];
      let bench = benches.get(key);
      if (bench === undefined) benches.set(key, (bench = attemptBench(this.plan, domain)));
      const beyond = pieces.filter((_, j) => j !== k).flatMap((p) => p.ties);
      return bench ? ringsOf(bench, rig, beyond) : [];
    });
  }

  /** What every piece of the rig puts at its earths. */
  everything(): Pick<Around, 'hums'> {
    while (this.step());
    return { hums: this.#own.flatMap((p) => p.hum ?? []) };
  }

  /** The rest of the rig around one line. */
  around(line: Line): Around {
    while (this.step());
    const others = this.domains.flatMap((domain, k) =>
      domain.lines.some((l) => l.id === line.id) ? [] : [this.#own[k]]
    );
    return {
      hums: others.flatMap((p) => p.hum ?? []),
      ties: others.flatMap((p) => p.ties),
      draws: this.#draws((domain) => !domain.lines.some((l) => l.id === line.id))
    };
  }
}

const drawsOf = (plan: Plan, domain: Domain, piece: Piece): Draw[] =>
  domain.lines.flatMap((line) => {
    const solution = piece.solutions.get(line.id);
    return (solution && drawOf(plan, line, solution)) ?? [];
  });

function totalOf(plan: Plan, line: Line, draws: readonly Draw[]): number {
  const host = plan.devices[line.id].host;
  return host === undefined || plan.hosts[host].phantomMost === undefined
    ? 0
    : drawn(draws, host, line.info?.act || undefined);
}

const UNDETERMINED = (): CircuitError => new CircuitError({ code: 'singular', unknown: 'earths' });
/** Null when the earths themselves cannot be solved; a mistake of our own is none of that. */
function rigHum(plan: Plan, hums: readonly DomainHum[], rest?: EarthSum): RigHum | null {
  try {
    return new RigHum(plan, hums, rest);
  } catch (error) {
    if (error instanceof SingularError || error instanceof CircuitError) return null;
    throw error;
  }
}

/** What the rest of a rig puts at the earths: the same for every try of a line. */
const rests = new WeakMap<Around, { names: string; sum: EarthSum }>();
function restOf(plan: Plan, around: Around): EarthSum {
  const names = `${Object.keys(plan.hosts).join()};${Object.keys(plan.supplies).join()}`;
  const known = rests.get(around);
  if (known?.names === names) return known.sum;
  const sum = new EarthSum(plan, around.hums);
  rests.set(around, { names, sum });
  return sum;
}

/** One line of a plan that differs from a known one in this line's piece only. */
export function solveWithin(
  plan: Plan,
  line: Line,
  around: Around,
  perOctave?: number,
  domain: Domain = resolve(plan).domain(line.id)!
): Solved {
  const piece = solvePiece(plan, domain, perOctave);
  const rig = piece.hum ? rigHum(plan, [piece.hum], restOf(plan, around)) : null;
  return {
    solution: piece.solutions.get(line.id)!,
    hum: piece.hum && rig ? rig.at(piece.hum, line.id, shapeOf(plan, line)) : null,
    ties: around.ties,
    drawn: totalOf(plan, line, [...around.draws, ...drawsOf(plan, domain, piece)])
  };
}
