import { type Core, isCut, nearSaturation, railed, saturated } from './bound';
import { type Curve, fitRational, type Rational } from './rational';
import { atRest, runFilter } from './run';
import type { Stage, Transfer } from './transfer';
import { Halving } from './twice';

/** A line made ready to be heard, once for all sounds. */
export interface Ready {
  readonly transfer: Transfer;
  /** Twice the rate of the sounds. */
  readonly rate: number;
  readonly out: Rational;
  /** Fits of stages, and of one point over another, made when they are needed. */
  readonly fits: Map<string, Rational>;
}

/** A sound on its way through a line, piece by piece: each filter and each core goes on from where it stood. */
export class Way {
  /** A stage has taken something off. */
  bent = false;
  readonly #states = new Map<string, Float64Array>();
  readonly #cores = new Map<number, Core>();
  /** Stages that have begun to take something off: they are followed to the end. */
  readonly #begun = new Set<number>();
  readonly #halving = new Halving();

  /** @param watched of each stage whether it is looked at */
  constructor(
    readonly to: Ready,
    readonly watched: readonly boolean[]
  ) {}

  /** @param emf volts at twice the rate, changed in place @returns volts at the input, a little behind until the last */
  take(emf: Float64Array, last: boolean): Float32Array {
    const { transfer, rate } = this.to;
    const x = isCut(emf, transfer.rail) ? railed(emf, transfer.rail) : emf;
    const y = this.#run('out', this.to.out, x);
    // What a stage takes off goes on from there as the signal would: added behind, it is as if the stage had bent the whole.
    const lost: { readonly stage: Stage; readonly at: number; readonly error: Float64Array }[] = [];
    transfer.stages.forEach((stage, at) => {
      if (!this.watched[at]) return;
      const v = this.#run(
        `${at}`,
        this.#fit(`${at}`, () => stage.curve),
        x
      );
      for (const before of lost) {
        const key = `${at}/${before.at}`;
        add(
          v,
          this.#run(
            key,
            this.#fit(key, () => over(stage.curve, before.stage.curve)),
            before.error
          )
        );
      }
      const error = this.#errorOf(stage, at, v, rate);
      if (error) lost.push({ stage, at, error });
    });
    for (const { stage, at, error } of lost) {
      const key = `out/${at}`;
      add(
        y,
        this.#run(
          key,
          this.#fit(key, () => over(transfer.out, stage.curve)),
          error
        )
      );
    }
    return this.#halving.take(y, last);
  }

  #errorOf({ most, lowest }: Stage, at: number, v: Float64Array, rate: number): Float64Array | null {
    if (lowest === null) {
      if (!this.#begun.has(at) && !isCut(v, most)) return null;
      this.#begin(at);
      return railed(v, most).map((u, n) => u - v[n]);
    }
    const core = this.#cores.get(at) ?? { flux: 0, bent: 0 };
    this.#cores.set(at, core);
    if (!this.#begun.has(at) && !nearSaturation(v, most, lowest, rate, core)) return null;
    const bent = saturated(v, most, lowest, rate, core);
    this.#begin(at);
    return bent.map((u, n) => u - v[n]);
  }
  #begin(at: number): void {
    this.#begun.add(at);
    this.bent = true;
  }

  #run(key: string, filter: Rational, x: Float64Array): Float64Array {
    const states = this.#states.get(key) ?? atRest(filter);
    this.#states.set(key, states);
    return runFilter(filter, x, states);
  }
  #fit(key: string, curve: () => Curve): Rational {
    const known = this.to.fits.get(key);
    if (known) return known;
    const made = fitRational(curve(), this.to.rate);
    this.to.fits.set(key, made);
    return made;
  }
}

function add(into: Float64Array, what: Float64Array): void {
  for (let n = 0; n < into.length; n++) into[n] += what[n];
}

/** One curve over another; where the other has nothing left, nothing. */
function over(a: Curve, b: Curve): Curve {
  const out = { hz: a.hz, re: new Float64Array(a.hz.length), im: new Float64Array(a.hz.length) };
  a.hz.forEach((_, k) => {
    const size = b.re[k] ** 2 + b.im[k] ** 2;
    if (size < 1e-24) return;
    out.re[k] = (a.re[k] * b.re[k] + a.im[k] * b.im[k]) / size;
    out.im[k] = (a.im[k] * b.re[k] - a.re[k] * b.im[k]) / size;
  });
  return out;
}
