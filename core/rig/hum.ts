import { DenseLU } from '../solver/dense';
import { toDbu } from '../units/quantity';
import { heardOfMains, roomOf } from './audible';
import { type Complex } from '../solver/system';
import type { Plan } from '../plan/schema';
import { BOND_OHM, STRAY_FARAD } from './compile';
import { CLASS_2_FARAD, emfSpectrum, HARMONICS, phaseTurn, strayVolts } from './stray';
import { type DomainHum, HUM_KINDS, type HumKind, Layout, sounds, STRAYS } from './hum-domain';
import { EarthSum, type Standing } from './earth-sum';

/** Hum of one input: by harmonic, volts RMS; and the share of the power by kind. */
export interface Hum {
  readonly volts: number;
  /** Volts RMS at the mains frequency and its harmonics. */
  readonly spectrum: Float64Array;
  readonly byKind: Readonly<Record<HumKind, number>>;
  /** By kind and of all: how far the harmonic that is heard best stands over where a tone of its frequency begins to be heard, dBu less dB SPL. */
  readonly loudest: Readonly<Record<HumKind | 'all', number>>;
}

/** The whole rig's earths solved: what stands at each host and supply at each harmonic, for each cause. */
export class RigHum {
  readonly #index: ReadonlyMap<string, number>;
  readonly #supplies: number;
  /** By harmonic. */
  readonly #standing: (Standing | null)[] = [];
  /** By harmonic: how its power counts by what is heard where the show is played. */
  readonly #heard: Float64Array;

  /** @param rest what other pieces put there, added up already */
  constructor(
    readonly plan: Plan,
    domains: readonly DomainHum[],
    rest?: EarthSum
  ) {
    const sum = new EarthSum(plan, domains, rest);
    this.#index = sum.index;
    this.#supplies = Object.keys(plan.supplies).length;
    this.#heard = heardOfMains(plan.policy.mainsHz, roomOf(plan.policy), HARMONICS);
    for (let h = 1; h <= HARMONICS; h++) this.#standing.push(sounds(plan, h) ? this.#solve(sum, h) : null);
  }

  #places({ bounds }: DomainHum): number[] {
    return bounds.map((b) => this.#index.get(b)!);
  }

  #solve(sum: EarthSum, h: number): Standing {
    const { plan } = this;
    const n = this.#index.size;
    const causes = this.#supplies + STRAYS.length;
    const out = { re: new Float64Array(n * causes), im: new Float64Array(n * causes) };
    const matrix = new DenseLU(n);
    this.#earths(matrix, out, h);
    sum.addTo(matrix, out, h, this.#supplies);
    matrix.factor();
    Object.entries(plan.supplies).forEach(([id, { emf, ohm, dimmers }], cause) => {
      out.re[cause * n + this.#index.get(`supply:${id}`)!] = (emf * emfSpectrum(h, dimmers)) / ohm;
    });
    for (let cause = 0; cause < causes; cause++) matrix.solve(out.re, out.im, cause * n);
    return out;
  }

  /** Protective conductors of supplies and hosts, and what leaks in at hosts that have none. */
  #earths(matrix: DenseLU, standing: Standing, h: number): void {
    const { plan } = this;
    const omega = 2 * Math.PI * plan.policy.mainsHz * h;
    const between = (a: number, b: number | undefined, re: number, im: number): void => {
      matrix.add(a, a, re, im);
      if (b === undefined) return;
      matrix.add(b, b, re, im);
      matrix.add(a, b, -re, -im);
      matrix.add(b, a, -re, -im);
    };
    for (const [id, { ohm }] of Object.entries(plan.supplies))
      between(this.#index.get(`supply:${id}`)!, undefined, 1 / ohm, 0);
    for (const [id, { supply, feed }] of Object.entries(plan.hosts)) {
      const host = this.#index.get(`host:${id}`)!;
      const point = supply === undefined ? undefined : this.#index.get(`supply:${supply}`);
      if (feed === 'mains-1') between(host, point, 1 / BOND_OHM, 0);
      else if (feed === 'mains-2') {
        between(host, point, 0, omega * CLASS_2_FARAD);
        const ampere = strayVolts(plan.policy, 'leak', 0, h) * omega * CLASS_2_FARAD;
        const leak = (this.#supplies + STRAYS.indexOf('leak')) * this.#index.size;
        // jωC times the volts of its phase.
        const [c, s] = phaseTurn(plan.supplies[supply ?? '']?.phase ?? 1, h);
        const push = (node: number, sign: number): void => {
          standing.re[leak + node] -= sign * ampere * s;
          standing.im[leak + node] += sign * ampere * c;
        };
        push(host, 1);
        if (point !== undefined) push(point, -1);
      } else between(host, undefined, 0, omega * STRAY_FARAD);
    }
  }

  /**
   * Hum at an input of a piece of the rig. EMFs of different supplies add up as if in phase, the worst they can do;
   * different kinds, which have nothing to do with each other, add as power.
   * @param shape what the input's own equalisation makes of a frequency in hertz, dB
   */
  at(domain: DomainHum, device: string, shape?: (hz: number) => number): Hum {
    const out = domain.outs.indexOf(device);
    const at = this.#places(domain);
    const n = this.#index.size;
    const spectrum = new Float64Array(HARMONICS);
    const power = new Float64Array(HUM_KINDS.length);
    const loudest = new Float64Array(HUM_KINDS.length + 1);
    const listen = (kind: number, squared: number, harmonic: number): void => {
      const over = squared * this.#heard[harmonic];
      if (over > loudest[kind]) loudest[kind] = over;
    };
    const layout = new Layout(domain);
    for (let harmonic = 0; harmonic < HARMONICS; harmonic++) {
      const standing = this.#standing[harmonic];
      if (!domain.sounds[harmonic] || !standing) continue;
      const base = harmonic * layout.size;
      const h = base + layout.h + 2 * out * layout.k;
      const heard = shape ? 10 ** (shape(this.plan.policy.mainsHz * (harmonic + 1)) / 10) : 1;
      let earths = 0;
      for (let s = 0; s < this.#supplies; s++) earths += Math.sqrt(through(domain.data, h, at, standing, s * n, 0, 0));
      let total = earths * earths * heard;
      power[0] += total;
      listen(0, total, harmonic);
      for (let g = 0; g < STRAYS.length; g++) {
        const direct = base + layout.direct + 2 * (g * layout.m + out);
        const [re, im] = [domain.data[direct], domain.data[direct + 1]];
        const stray = through(domain.data, h, at, standing, (this.#supplies + g) * n, re, im) * heard;
        power[g + 1] += stray;
        listen(g + 1, stray, harmonic);
        total += stray;
      }
      listen(HUM_KINDS.length, total, harmonic);
      spectrum[harmonic] = Math.sqrt(total);
    }
    const [earths, leak, electric, winding, cable] = power.map(Math.sqrt);
    return {
      volts: Math.sqrt(power.reduce((a, b) => a + b, 0)),
      spectrum,
      byKind: { earths, leak, electric, winding, cable },
      loudest: Object.fromEntries(
        [...HUM_KINDS, 'all' as const].map((kind, k) => [kind, toDbu(Math.sqrt(loudest[k]))])
      ) as Hum['loudest']
    };
  }

  /** Volts at a host's or supply's earth point from each cause at the mains frequency: supplies first, then strays. */
  earths(bound: string): Complex[] {
    const node = this.#index.get(bound)!;
    const n = this.#index.size;
    const { re, im } = this.#standing[0]!;
    return Array.from({ length: re.length / n }, (_, cause) => [re[cause * n + node], im[cause * n + node]]);
  }
}

/** What volts at the boundaries, with what comes in directly, make at one input: volts squared. */
function through(
  data: Float64Array,
  h: number,
  at: readonly number[],
  standing: Standing,
  from: number,
  re: number,
  im: number
): number {
  for (let j = 0; j < at.length; j++) {
    const vr = standing.re[from + at[j]];
    const vi = standing.im[from + at[j]];
    const hr = data[h + 2 * j];
    const hi = data[h + 2 * j + 1];
    re += hr * vr - hi * vi;
    im += hr * vi + hi * vr;
  }
  return re * re + im * im;
}
