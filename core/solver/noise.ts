import type { Network } from './network';
import type { Solution } from './system';

/** Boltzmann's constant, J/K (SI, exact since 2019). */
const BOLTZMANN = 1.380649e-23;
/** Temperature that noise is stated at, kelvin. */
export const NOISE_KELVIN = 300;
/** 4kT, W/Hz: a resistor R gives 4kTR V²/Hz (Johnson 1928, Nyquist 1928). */
export const FOUR_KT = 4 * BOLTZMANN * NOISE_KELVIN;

/** One thing that makes noise. */
export interface NoiseSource {
  readonly part: string;
  /** Of a density of its own, not of resistance. */
  readonly own: boolean;
}

/** Reads the noise at an output off an adjoint solution: every resistor thermally, every source with a density of its own. */
export class NoiseReader {
  readonly sources: readonly NoiseSource[];
  readonly #p: Int32Array;
  readonly #q: Int32Array;
  readonly #density: Float64Array;

  /** @param like any solution of the network's system, for the numbering of unknowns */
  constructor(network: Network, like: Solution) {
    const sources: NoiseSource[] = [];
    const p: number[] = [];
    const q: number[] = [];
    const density: number[] = [];
    const add = (part: string, i: number, j: number, squared: number, own: boolean): void => {
      sources.push({ part, own });
      p.push(i);
      q.push(j);
      density.push(squared);
    };
    for (const part of network.parts) {
      const i = like.unknownOf[part.a];
      const j = like.unknownOf[part.b];
      if (part.kind === 'R') add(part.name, i, j, FOUR_KT / part.ohm, false);
      else if (part.kind === 'I' && part.noise > 0) add(part.name, i, j, part.noise * part.noise, true);
      else if (part.kind === 'V' && part.noise > 0)
        add(part.name, like.branch(part.name), -1, part.noise * part.noise, true);
    }
    this.sources = sources;
    this.#p = Int32Array.from(p);
    this.#q = Int32Array.from(q);
    this.#density = Float64Array.from(density);
  }

  /**
   * Noise at the adjoint's output.
   * @param weight what a V²/Hz counts for, e.g. Hz times a weighting
   * @param into V² by source, added to
   * @returns V²/Hz of all sources together
   */
  read({ re, im }: Solution, weight: number, into: Float64Array): number {
    let sum = 0;
    for (let k = 0; k < this.#p.length; k++) {
      const i = this.#p[k];
      const j = this.#q[k];
      const r = (i < 0 ? 0 : re[i]) - (j < 0 ? 0 : re[j]);
      const x = (i < 0 ? 0 : im[i]) - (j < 0 ? 0 : im[j]);
      const here = (r * r + x * x) * this.#density[k];
      into[k] += here * weight;
      sum += here;
    }
    return sum;
  }
}
