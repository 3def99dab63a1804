import type { Node } from '../circuit/network';
import { DenseLU } from '../circuit/dense';
import type { System } from '../circuit/system';
import { type Complex, type Solution } from '../circuit/system';
import type { Plan } from '../plan/schema';
import type { Rig } from './builder';
import { BOND_OHM, STRAY_FARAD } from './compile';
import { CLASS_2_FARAD, emfSpectrum, HARMONICS, type HumSource, strayVolts } from './stray';

/** Ways the mains gets in, as one is told of them. `earths`: EMFs between supplies. */
export const HUM_KINDS = ['earths', 'leak', 'electric', 'winding', 'cable'] as const;
export type HumKind = (typeof HUM_KINDS)[number];
const STRAYS = ['leak', 'electric', 'winding', 'cable'] as const satisfies readonly HumSource['kind'][];

/** Complex numbers side by side. */
class Row {
  readonly re: Float64Array;
  readonly im: Float64Array;
  constructor(n: number) {
    this.re = new Float64Array(n);
    this.im = new Float64Array(n);
  }
}

/** One piece of the rig at one harmonic, seen from the hosts and supplies it hangs on (all k of them) and its m inputs. */
interface Block {
  /** Admittance between boundaries, k·k; transfer from boundaries to inputs, m·k. */
  readonly y: Row;
  readonly h: Row;
  /** Per kind of stray source: volts at inputs with boundaries held, m; amperes pushed out at boundaries, k. */
  readonly direct: readonly Row[];
  readonly pushed: readonly Row[];
}

/** A piece of the rig, solved once with its earths held and afterwards joined to the others. */
export interface DomainHum {
  readonly bounds: readonly string[];
  /** Devices whose inputs are read. */
  readonly outs: readonly string[];
  /** By harmonic − 1; null where nothing is there to drive it. */
  readonly blocks: readonly (Block | null)[];
}

const times = ([ar, ai]: Complex, [br, bi]: Complex): Complex => [ar * br - ai * bi, ar * bi + ai * br];

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
  const adjoint: Solution = system.blank();
  const blocks = Array.from({ length: HARMONICS }, (_, k): Block | null => {
    const h = k + 1;
    if (!sounds(plan, h)) return null;
    const hz = plan.policy.mainsHz * h;
    system.at(hz);
    const drives = drivesAt(plan, hums, h);
    const block: Block = {
      y: new Row(bounds.length ** 2),
      h: new Row(outs.length * bounds.length),
      direct: STRAYS.map(() => new Row(outs.length)),
      pushed: STRAYS.map(() => new Row(bounds.length))
    };
    bounds.forEach((bound, i) => {
      system.solveAdjointCurrent(`bound:${bound}`, adjoint);
      // What leaves through a boundary is what the others receive; its answer to their volts is an admittance.
      bounds.forEach((other, j) => {
        const [re, im] = adjoint.current(`bound:${other}`);
        block.y.re[i * bounds.length + j] = -re;
        block.y.im[i * bounds.length + j] = -im;
      });
      drives.forEach((list, g) => sum(adjoint, list, block.pushed[g], i));
    });
    outs.forEach(([, nodes], o) => {
      system.solveAdjoint(...nodes, adjoint);
      bounds.forEach((bound, j) => {
        const [re, im] = adjoint.current(`bound:${bound}`);
        block.h.re[o * bounds.length + j] = re;
        block.h.im[o * bounds.length + j] = im;
      });
      drives.forEach((list, g) => sum(adjoint, list, block.direct[g], o));
    });
    return block;
  });
  return { bounds, outs: outs.map(([id]) => id), blocks };
}

interface Drive {
  readonly a: Node;
  readonly b: Node;
  readonly re: number;
  readonly im: number;
}

/** Stray EMFs at a harmonic as currents across the parts they are in series with, by kind. */
function drivesAt(plan: Plan, hums: readonly HumSource[], h: number): Drive[][] {
  const omega = 2 * Math.PI * plan.policy.mainsHz * h;
  return STRAYS.map((kind) =>
    hums
      .filter((s) => s.kind === kind)
      .flatMap((s) => {
        const volts = strayVolts(plan.policy, kind, s.m2, h);
        if (volts === 0) return [];
        return s.parts.map(({ a, b, ohm, farad, share = 1 }) => ({
          a,
          b,
          re: ohm === undefined ? 0 : (volts * share) / ohm,
          im: farad === undefined ? 0 : volts * share * omega * farad
        }));
      })
  );
}

function sum(adjoint: Solution, drives: readonly Drive[], into: Row, at: number): void {
  for (const { a, b, re, im } of drives) {
    const [r, i] = times(adjoint.voltage(a, b), [re, im]);
    into.re[at] += r;
    into.im[at] += i;
  }
}

/** Hum of one input: by harmonic, volts RMS; and the share of the power by kind. */
export interface Hum {
  readonly volts: number;
  /** Volts RMS at the mains frequency and its harmonics. */
  readonly spectrum: Float64Array;
  readonly byKind: Readonly<Record<HumKind, number>>;
}

/** The whole rig's earths solved: what stands at each host and supply at each harmonic, for each cause. */
export class RigHum {
  readonly #index: ReadonlyMap<string, number>;
  /** By harmonic: per supply and per kind of stray source, volts at every host and supply. */
  readonly #volts: ({ supplies: Row[]; strays: Row[] } | null)[] = [];

  constructor(
    readonly plan: Plan,
    domains: readonly DomainHum[]
  ) {
    const names = [
      ...Object.keys(plan.hosts).map((id) => `host:${id}`),
      ...Object.keys(plan.supplies).map((id) => `supply:${id}`)
    ];
    this.#index = new Map(names.map((name, k) => [name, k]));
    for (let h = 1; h <= HARMONICS; h++) this.#volts.push(sounds(plan, h) ? this.#solve(domains, h) : null);
  }

  #solve(domains: readonly DomainHum[], h: number): { supplies: Row[]; strays: Row[] } {
    const { plan } = this;
    const n = this.#index.size;
    const matrix = new DenseLU(n);
    const strays = STRAYS.map(() => new Row(n));
    this.#earths(matrix, strays, h);
    for (const { bounds, blocks } of domains) {
      const block = blocks[h - 1];
      if (!block) continue;
      const at = bounds.map((b) => this.#index.get(b)!);
      at.forEach((row, i) => {
        at.forEach((col, j) => matrix.add(row, col, block.y.re[i * at.length + j], block.y.im[i * at.length + j]));
        block.pushed.forEach(({ re, im }, g) => {
          strays[g].re[row] += re[i];
          strays[g].im[row] += im[i];
        });
      });
    }
    matrix.factor();
    const supplies = Object.entries(plan.supplies).map(([id, { emf, ohm, dimmers }]) => {
      const row = new Row(n);
      row.re[this.#index.get(`supply:${id}`)!] = (emf * emfSpectrum(h, dimmers)) / ohm;
      matrix.solve(row.re, row.im);
      return row;
    });
    for (const row of strays) matrix.solve(row.re, row.im);
    return { supplies, strays };
  }

  /** Protective conductors of supplies and hosts, and what leaks in at hosts that have none. */
  #earths(matrix: DenseLU, strays: readonly Row[], h: number): void {
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
        const leak = strays[STRAYS.indexOf('leak')];
        leak.im[host] += ampere;
        if (point !== undefined) leak.im[point] -= ampere;
      } else between(host, undefined, 0, omega * STRAY_FARAD);
    }
  }

  /**
   * Hum at an input of a piece of the rig. EMFs of different supplies add up as if in phase, the worst they can do;
   * different kinds, which have nothing to do with each other, add as power.
   * @param shape what the input's own equalisation makes of a frequency in hertz, dB
   */
  at(domain: DomainHum, device: string, shape: (hz: number) => number = () => 0): Hum {
    const out = domain.outs.indexOf(device);
    const at = domain.bounds.map((b) => this.#index.get(b)!);
    const spectrum = new Float64Array(HARMONICS);
    const power = new Float64Array(HUM_KINDS.length);
    for (let harmonic = 0; harmonic < HARMONICS; harmonic++) {
      const block = domain.blocks[harmonic];
      const volts = this.#volts[harmonic];
      if (!block || !volts) continue;
      const heard = 10 ** (shape(this.plan.policy.mainsHz * (harmonic + 1)) / 20);
      let earths = 0;
      for (const row of volts.supplies) earths += through(block, out, at, row, 0, 0);
      let total = (earths * heard) ** 2;
      power[0] += total;
      for (let g = 0; g < STRAYS.length; g++) {
        const { re, im } = block.direct[g];
        const stray = (through(block, out, at, volts.strays[g], re[out], im[out]) * heard) ** 2;
        power[g + 1] += stray;
        total += stray;
      }
      spectrum[harmonic] = Math.sqrt(total);
    }
    return {
      volts: Math.sqrt(power.reduce((a, b) => a + b, 0)),
      spectrum,
      byKind: Object.fromEntries(HUM_KINDS.map((kind, g) => [kind, Math.sqrt(power[g])])) as Record<HumKind, number>
    };
  }

  /** Volts at a host's or supply's earth point from each cause at the mains frequency: supplies first, then strays. */
  earths(bound: string): Complex[] {
    const node = this.#index.get(bound)!;
    const { supplies, strays } = this.#volts[0]!;
    return [...supplies, ...strays].map((row) => [row.re[node], row.im[node]]);
  }
}

/** What volts at the boundaries, with what comes in directly, make at one input. */
function through(block: Block, out: number, at: readonly number[], volts: Row, re: number, im: number): number {
  const { h } = block;
  for (let j = 0; j < at.length; j++) {
    const k = out * at.length + j;
    const vr = volts.re[at[j]];
    const vi = volts.im[at[j]];
    re += h.re[k] * vr - h.im[k] * vi;
    im += h.re[k] * vi + h.im[k] * vr;
  }
  return Math.sqrt(re * re + im * im);
}
