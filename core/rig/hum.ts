import type { Node } from '../solver/network';
import { DenseLU } from '../solver/dense';
import type { System } from '../solver/system';
import { type Complex, type Solution } from '../solver/system';
import type { Plan } from '../plan/schema';
import type { Rig } from './builder';
import { BOND_OHM, STRAY_FARAD } from './compile';
import { CLASS_2_FARAD, emfSpectrum, HARMONICS, type HumSource, type Phase, phaseTurn, strayVolts } from './stray';

/** Ways the mains gets in, as one is told of them. `earths`: EMFs between supplies. */
export const HUM_KINDS = ['earths', 'leak', 'electric', 'winding', 'cable'] as const;
export type HumKind = (typeof HUM_KINDS)[number];
const STRAYS = ['leak', 'electric', 'winding', 'cable'] as const satisfies readonly HumSource['kind'][];

/**
 * A piece of the rig, solved once with its earths held and afterwards joined to the others. Seen from the hosts and supplies
 * it hangs on (its boundaries, k of them) and its m inputs, it is a few numbers for each harmonic; all of them lie in one array, for
 * many pieces are read one after the other.
 */
export interface DomainHum {
  readonly bounds: readonly string[];
  /** Devices whose inputs are read. */
  readonly outs: readonly string[];
  /** By harmonic − 1: whether anything is there to drive it. */
  readonly sounds: Uint8Array;
  /** Harmonic by harmonic, complex, as `Layout` says. */
  readonly data: Float64Array;
}

/**
 * Places in a harmonic's numbers: admittance between boundaries (k·k), transfer from boundaries to inputs (m·k), amperes
 * pushed out at boundaries (k for each kind of stray source), volts at inputs with boundaries held (m for each kind).
 */
class Layout {
  readonly k: number;
  readonly m: number;
  readonly h: number;
  readonly pushed: number;
  readonly direct: number;
  readonly size: number;
  constructor({ bounds, outs }: Pick<DomainHum, 'bounds' | 'outs'>) {
    this.k = bounds.length;
    this.m = outs.length;
    this.h = 2 * this.k * this.k;
    this.pushed = this.h + 2 * this.m * this.k;
    this.direct = this.pushed + 2 * STRAYS.length * this.k;
    this.size = this.direct + 2 * STRAYS.length * this.m;
  }
}

/** Whether any supply or stray source has this harmonic. */
const sounds = (plan: Plan, h: number): boolean =>
  h % 2 === 1 || Object.values(plan.supplies).some((s) => s.dimmers && s.emf > 0);

/**
 * Solves a piece for all harmonics of the mains: one adjoint solve for each boundary and each input gives its answer to
 * everything. Exact, not an approximation: the rest of the rig sees it through its boundaries only (Schur complement).
 * @param rig compiled with earths held
 * @param outs inputs to read, by device, with the nodes between which they stand
 * @throws CircuitError
 */
export function domainHum(
  plan: Plan,
  rig: Rig,
  system: System,
  outs: readonly (readonly [string, readonly [Node, Node]])[]
): DomainHum {
  const { bounds, hums } = rig;
  const shape = {
    bounds,
    outs: outs.map(([id]) => id),
    sounds: Uint8Array.from({ length: HARMONICS }, (_, k) => (sounds(plan, k + 1) ? 1 : 0))
  };
  const layout = new Layout(shape);
  const { k, m } = layout;
  const data = new Float64Array(layout.size * HARMONICS);
  const adjoint: Solution = system.blank();
  const drives = drivesOf(hums, adjoint);
  const branches = bounds.map((bound) => adjoint.branch(`bound:${bound}`));
  const volts = new Float64Array(STRAYS.length);
  /** Writes what each boundary's volts make at the adjoint's output, and what each kind of stray does, `step` places apart. */
  const read = (h: number, byBound: number, sign: number, byKind: number, step: number): void => {
    for (let j = 0; j < k; j++) {
      data[byBound + 2 * j] = sign * adjoint.re[branches[j]];
      data[byBound + 2 * j + 1] = sign * adjoint.im[branches[j]];
    }
    drives.forEach((drive, g) => {
      for (const of of drive) sum(adjoint, of, volts[g], system.hz, h, data, byKind + 2 * g * step);
    });
  };
  for (let h = 1; h <= HARMONICS; h++) {
    if (!shape.sounds[h - 1]) continue;
    const base = (h - 1) * layout.size;
    system.at(plan.policy.mainsHz * h);
    STRAYS.forEach((kind, g) => (volts[g] = strayVolts(plan.policy, kind, 1, h)));
    for (let i = 0; i < k; i++) {
      system.solveAdjointCurrent(`bound:${bounds[i]}`, adjoint);
      // What leaves through a boundary is what the others receive; its answer to their volts is an admittance.
      read(h, base + 2 * i * k, -1, base + layout.pushed + 2 * i, k);
    }
    for (let o = 0; o < m; o++) {
      system.solveAdjoint(...outs[o][1], adjoint);
      read(h, base + layout.h + 2 * o * k, 1, base + layout.direct + 2 * o, m);
    }
  }
  return { ...shape, data };
}

/** Stray sources of one kind and one phase: between which unknowns each drives, and how much of it for one volt. */
interface Drives {
  readonly phase: Phase;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly weight: Float64Array;
  /** In series with capacitors: a volt drives jωC. */
  readonly capacitive: boolean;
}
const PHASES: readonly Phase[] = [1, 2, 3];

/** Stray EMFs as currents across the parts they are in series with, by kind and phase: amperes for a volt, over ω where the part is a capacitor. */
function drivesOf(hums: readonly HumSource[], like: Solution): Drives[][] {
  return STRAYS.map((kind) => {
    const all = hums.filter((s) => s.kind === kind).flatMap((s) => s.parts.map((part) => ({ ...part, m2: s.m2 })));
    const field = kind === 'winding' || kind === 'cable';
    return PHASES.flatMap((phase) => {
      const parts = all.filter((part) => (part.phase ?? 1) === phase);
      if (parts.length === 0) return [];
      return {
        phase,
        capacitive: !field,
        from: Int32Array.from(parts, ({ a }) => like.unknownOf[a]),
        to: Int32Array.from(parts, ({ b }) => like.unknownOf[b]),
        weight: Float64Array.from(
          parts,
          ({ ohm, farad, share = 1, m2 }) => share * (field ? m2 : 1) * (ohm === undefined ? farad! : 1 / ohm)
        )
      };
    });
  });
}

/** What the sources of a kind and phase make at an adjoint's output at a harmonic, added to what is in `data`. */
function sum(
  { re, im }: Solution,
  { phase, from, to, weight, capacitive }: Drives,
  volts: number,
  hz: number,
  h: number,
  data: Float64Array,
  at: number
): void {
  if (volts === 0) return;
  let r = 0;
  let x = 0;
  for (let k = 0; k < weight.length; k++) {
    const i = from[k];
    const j = to[k];
    r += weight[k] * ((i < 0 ? 0 : re[i]) - (j < 0 ? 0 : re[j]));
    x += weight[k] * ((i < 0 ? 0 : im[i]) - (j < 0 ? 0 : im[j]));
  }
  const omega = 2 * Math.PI * hz;
  const [ampere, reactive] = capacitive ? [-x * volts * omega, r * volts * omega] : [r * volts, x * volts];
  const [c, s] = phaseTurn(phase, h);
  data[at] += ampere * c - reactive * s;
  data[at + 1] += ampere * s + reactive * c;
}

/** Hum of one input: by harmonic, volts RMS; and the share of the power by kind. */
export interface Hum {
  readonly volts: number;
  /** Volts RMS at the mains frequency and its harmonics. */
  readonly spectrum: Float64Array;
  readonly byKind: Readonly<Record<HumKind, number>>;
}

/** Volts at every host and supply at one harmonic, cause by cause: n places each for every supply, then for every kind of stray. */
interface Standing {
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

/** The whole rig's earths solved: what stands at each host and supply at each harmonic, for each cause. */
export class RigHum {
  readonly #index: ReadonlyMap<string, number>;
  readonly #supplies: number;
  /** By harmonic. */
  readonly #standing: (Standing | null)[] = [];

  /** @param rest what other pieces put there, added up already */
  constructor(
    readonly plan: Plan,
    domains: readonly DomainHum[],
    rest?: EarthSum
  ) {
    const sum = new EarthSum(plan, domains, rest);
    this.#index = sum.index;
    this.#supplies = Object.keys(plan.supplies).length;
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
      for (let g = 0; g < STRAYS.length; g++) {
        const direct = base + layout.direct + 2 * (g * layout.m + out);
        const [re, im] = [domain.data[direct], domain.data[direct + 1]];
        const stray = through(domain.data, h, at, standing, (this.#supplies + g) * n, re, im) * heard;
        power[g + 1] += stray;
        total += stray;
      }
      spectrum[harmonic] = Math.sqrt(total);
    }
    const [earths, leak, electric, winding, cable] = power.map(Math.sqrt);
    return {
      volts: Math.sqrt(power.reduce((a, b) => a + b, 0)),
      spectrum,
      byKind: { earths, leak, electric, winding, cable }
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
