import { NoiseReader } from '../solver/noise';
import type { Solution, System } from '../solver/system';
import { toDbu } from '../units/quantity';
import type { Sense } from './builder';

/** Noise at an input, referred to its terminals, 20 Hz to 20 kHz. */
export interface Noise {
  /** Flat and A-weighted, dBu. */
  readonly flatDbu: number;
  readonly weightedDbu: number;
  /** Shares of the flat noise power, largest first; together 1. */
  readonly shares: readonly NoiseShare[];
}
interface NoiseShare {
  /** Device or cable. */
  readonly of: string;
  /** Resistance at 300 K, or an amplifier's own. */
  readonly kind: 'thermal' | 'amplifier';
  readonly share: number;
}

/** A-weighting as a factor of amplitude, 1 at 1 kHz (IEC 61672-1, annex E). */
export function aWeight(hz: number): number {
  const f2 = hz * hz;
  const ra =
    (12194 ** 2 * f2 * f2) / ((f2 + 20.6 ** 2) * Math.sqrt((f2 + 107.7 ** 2) * (f2 + 737.9 ** 2)) * (f2 + 12194 ** 2));
  return ra * 10 ** (2 / 20);
}

/** Adds up noise from point to point of a logarithmic grid. */
export class NoiseSum {
  readonly #reader: NoiseReader;
  readonly #by: Float64Array;
  readonly #adjoint: Solution;
  #flat = 0;
  #weighted = 0;
  /** Of the input's own amplifier, which is no part of the network. */
  #own = 0;

  constructor(
    readonly system: System,
    readonly device: string,
    readonly sense: Sense
  ) {
    this.#adjoint = system.blank();
    this.#reader = new NoiseReader(system.network, this.#adjoint);
    this.#by = new Float64Array(this.#reader.sources.length);
  }

  /**
   * Reads the noise where the system stands now.
   * @param hertz width that this point stands for
   * @param shapeDb what the input's own equalisation makes of this frequency, dB
   */
  take(hertz: number, shapeDb = 0): void {
    const { system, sense } = this;
    const weight = hertz * 10 ** (shapeDb / 10);
    const density = this.#reader.read(system.solveAdjoint(...sense.nodes, this.#adjoint), weight, this.#by);
    const own = sense.density ** 2;
    this.#own += own * weight;
    this.#flat += (density + own) * weight;
    this.#weighted += (density + own) * weight * aWeight(system.hz) ** 2;
  }

  finish(): Noise {
    const shares = new Map<string, NoiseShare>();
    this.#reader.sources.forEach(({ part, own }, k) => {
      const kind = own ? 'amplifier' : 'thermal';
      const of = /^[^/.]+/.exec(part)![0];
      const key = `${of} ${kind}`;
      const share = (shares.get(key)?.share ?? 0) + this.#by[k] / this.#flat;
      shares.set(key, { of, kind, share });
    });
    const key = `${this.device} amplifier`;
    const share = (shares.get(key)?.share ?? 0) + this.#own / this.#flat;
    shares.set(key, { of: this.device, kind: 'amplifier', share });
    return {
      flatDbu: toDbu(Math.sqrt(this.#flat)),
      weightedDbu: toDbu(Math.sqrt(this.#weighted)),
      shares: [...shares.values()].filter((s) => s.share > 1e-4).sort((a, b) => b.share - a.share)
    };
  }
}
