import type { Plan } from '../plan/schema';
import { HARMONICS } from './stray';
import { type DomainHum, STRAYS, Layout } from './hum-domain';
import type { DenseLU } from '../solver/dense';

/** Volts at every host and supply at one harmonic, cause by cause: n places each for every supply, then for every kind of stray. */
export interface Standing {
  readonly re: Float64Array;
  readonly im: Float64Array;
}

/** Where each host and supply of a plan stands among the unknowns. */
const indexOf = ({ hosts, supplies }: Plan): Map<string, number> =>
  new Map(
    [...Object.keys(hosts).map((id) => `host:${id}`), ...Object.keys(supplies).map((id) => `supply:${id}`)].map(
      (name, k) => [name, k]
    )
  );

/**
 * What many pieces put at the hosts and supplies together, harmonic by harmonic: n·n admittances, then n amperes for each kind
 * of stray, complex. Added up once where one piece is tried many times beside the same others.
 */
export class EarthSum {
  readonly index: ReadonlyMap<string, number>;
  readonly #size: number;
  readonly #data: Float64Array;

  constructor(plan: Plan, domains: readonly DomainHum[], start?: EarthSum) {
    this.index = start?.index ?? indexOf(plan);
    const n = this.index.size;
    this.#size = 2 * n * (n + STRAYS.length);
    this.#data = start ? start.#data.slice() : new Float64Array(this.#size * HARMONICS);
    for (const domain of domains) this.#take(domain, n);
  }

  #take(domain: DomainHum, n: number): void {
    const { data, sounds: has, bounds } = domain;
    const layout = new Layout(domain);
    const { k } = layout;
    const at = bounds.map((b) => this.index.get(b)!);
    const sum = this.#data;
    for (let h = 0; h < HARMONICS; h++) {
      if (!has[h]) continue;
      const from = h * layout.size;
      const to = h * this.#size;
      for (let i = 0; i < k; i++) {
        for (let j = 0; j < k; j++) {
          const y = from + 2 * (i * k + j);
          const place = to + 2 * (at[i] * n + at[j]);
          sum[place] += data[y];
          sum[place + 1] += data[y + 1];
        }
        for (let g = 0; g < STRAYS.length; g++) {
          const pushed = from + layout.pushed + 2 * (g * k + i);
          const place = to + 2 * (n * (n + g) + at[i]);
          sum[place] += data[pushed];
          sum[place + 1] += data[pushed + 1];
        }
      }
    }
  }

  /** Adds what there is at a harmonic to a matrix, and to what stands for each cause, strays from place `first` on. */
  addTo(matrix: DenseLU, { re, im }: Standing, h: number, first: number): void {
    const n = this.index.size;
    const from = (h - 1) * this.#size;
    const sum = this.#data;
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) {
        const y = from + 2 * (i * n + j);
        matrix.add(i, j, sum[y], sum[y + 1]);
      }
    const pushed = from + 2 * n * n;
    for (let k = 0; k < n * STRAYS.length; k++) {
      re[first * n + k] += sum[pushed + 2 * k];
      im[first * n + k] += sum[pushed + 2 * k + 1];
    }
  }
}
