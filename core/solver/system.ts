import { CircuitError, GROUND, type Network, type Node, type Part } from './network';
import { SparseLU } from './sparse';
import { SingularError } from './order';
import { branches, stampPart, Stamps } from './stamps';
import { checkTopology, usedRoots } from './topology';

/** A complex number as [real, imaginary]. */
export type Complex = readonly [number, number];

export const magnitude = ([re, im]: Complex): number => Math.hypot(re, im);
export const divide = ([ar, ai]: Complex, [br, bi]: Complex): Complex => {
  const size = br * br + bi * bi;
  return [(ar * br + ai * bi) / size, (ai * br - ar * bi) / size];
};
export const minus = ([ar, ai]: Complex, [br, bi]: Complex): Complex => [ar - br, ai - bi];

/**
 * A network compiled for solving: modified nodal analysis (Ho, Ruehli, Brennan 1975), A(ω) = G + jωC with inductors as branch equations.
 * Order once, refill for each frequency; any number of right-hand sides per frequency.
 */
export class System {
  readonly #unknownOf: Int32Array;
  readonly #branchOf = new Map<string, number>();
  readonly #label: string[] = [];
  readonly #g: Float64Array;
  readonly #c: Float64Array;
  readonly #im: Float64Array;
  readonly #lu: SparseLU;
  readonly #sources: { part: Part; branch: number }[] = [];
  /** Count of unknowns. */
  readonly n: number;
  hz = 0;
  /** Which of the network's sources are on in `solveSources`, by name; all unless told. */
  sourcesOf: ((part: string) => boolean) | null = null;

  constructor(readonly network: Network) {
    checkTopology(network);
    this.#unknownOf = new Int32Array(network.size).fill(-1);
    let n = 0;
    for (const root of usedRoots(network)) {
      this.#unknownOf[root] = n++;
      this.#label.push(`node ${network.name(root)}`);
    }
    for (let node = 0; node < network.size; node++) {
      this.#unknownOf[node] = this.#unknownOf[network.root(node)];
    }
    const stamps = new Stamps();
    for (const part of network.parts) {
      const count = branches(part);
      if (count > 0) {
        this.#branchOf.set(part.name, n);
        for (let k = 0; k < count; k++) this.#label.push(`current through ${part.name}`);
      }
      if (part.kind === 'V' || part.kind === 'I') this.#sources.push({ part, branch: n });
      stampPart(part, n, (node) => this.#unknownOf[node], stamps);
      n += count;
    }
    this.n = n;
    const { pattern, g, c } = stamps.finish(n);
    this.#g = g;
    this.#c = c;
    this.#im = new Float64Array(c.length);
    this.#lu = new SparseLU(pattern);
  }

  /** Orders found so far; 1 after the first frequency unless a pivot went bad. */
  get orderings(): number {
    return this.#lu.orderings;
  }

  /** Factors the network at a frequency in hertz. @throws CircuitError when something is undetermined */
  at(hz: number): this {
    if (!(hz > 0 && Number.isFinite(hz))) throw new CircuitError({ code: 'bad-frequency', got: hz });
    const omega = 2 * Math.PI * hz;
    for (let e = 0; e < this.#c.length; e++) this.#im[e] = omega * this.#c[e];
    try {
      this.#lu.factor(this.#g, this.#im);
    } catch (error) {
      if (error instanceof SingularError)
        throw new CircuitError({ code: 'singular', unknown: this.#label[error.unknown] });
      throw error;
    }
    this.hz = hz;
    return this;
  }

  /** An empty solution of the right size, to be reused by the caller. */
  blank(): Solution {
    return new Solution(this.n, this.#unknownOf, this.#branchOf);
  }

  /** All sources of the network at their own values. */
  solveSources(into: Solution = this.blank()): Solution {
    into.clear();
    for (const { part, branch } of this.#sources) {
      if (this.sourcesOf && !this.sourcesOf(part.name)) continue;
      if (part.kind === 'V') into.re[branch] += part.volt;
      else if (part.kind === 'I') into.addCurrent(part.b, part.a, part.ampere);
    }
    this.#lu.solve(into.re, into.im);
    return into;
  }

  /** One ampere into node a and out of node b, all sources off: V(a) − V(b) is then the impedance between them, in ohms. */
  solveInjection(a: Node, b: Node, into: Solution = this.blank()): Solution {
    into.clear();
    into.addCurrent(a, b, 1);
    this.#lu.solve(into.re, into.im);
    return into;
  }

  /** Currents into a and out of b of each, amperes as [real, imaginary]; the network's own sources off. */
  solveCurrents(list: readonly { a: Node; b: Node; ampere: Complex }[], into: Solution = this.blank()): Solution {
    into.clear();
    for (const { a, b, ampere } of list) into.addCurrent(a, b, ampere[0], ampere[1]);
    this.#lu.solve(into.re, into.im);
    return into;
  }

  /** Voltage sources of these names at these volts, everything else off. */
  solveHeld(held: readonly (readonly [part: string, volt: Complex])[], into: Solution = this.blank()): Solution {
    into.clear();
    for (const [part, [re, im]] of held) {
      const k = into.branch(part);
      into.re[k] = re;
      into.im[k] = im;
    }
    this.#lu.solve(into.re, into.im);
    return into;
  }

  /**
   * The adjoint solve for the output V(a) − V(b): afterwards `voltage(p, q)` is the output caused by one ampere
   * into p and out of q, and `current(name)` the output caused by one volt in the voltage source of that name.
   */
  solveAdjoint(a: Node, b: Node, into: Solution = this.blank()): Solution {
    into.clear();
    into.addCurrent(a, b, 1);
    this.#lu.solveAdjoint(into.re, into.im);
    return into;
  }

  /** As `solveAdjoint`, with the current through a part that has a branch as the output. */
  solveAdjointCurrent(part: string, into: Solution = this.blank()): Solution {
    into.clear();
    into.re[into.branch(part)] = 1;
    this.#lu.solveAdjoint(into.re, into.im);
    return into;
  }
}

/** Node voltages and branch currents of one solve. Caller-owned; overwritten by the next solve into it. */
export class Solution {
  readonly re: Float64Array;
  readonly im: Float64Array;
  constructor(
    n: number,
    readonly unknownOf: Int32Array,
    readonly branchOf: ReadonlyMap<string, number>
  ) {
    this.re = new Float64Array(n);
    this.im = new Float64Array(n);
  }
  clear(): void {
    this.re.fill(0);
    this.im.fill(0);
  }
  addCurrent(into: Node, outOf: Node, re: number, im = 0): void {
    const i = this.unknownOf[into];
    const o = this.unknownOf[outOf];
    if (i >= 0) {
      this.re[i] += re;
      this.im[i] += im;
    }
    if (o >= 0) {
      this.re[o] -= re;
      this.im[o] -= im;
    }
  }
  /** V(a) − V(b). */
  voltage(a: Node, b: Node = GROUND): Complex {
    const i = this.unknownOf[a];
    const j = this.unknownOf[b];
    return [(i < 0 ? 0 : this.re[i]) - (j < 0 ? 0 : this.re[j]), (i < 0 ? 0 : this.im[i]) - (j < 0 ? 0 : this.im[j])];
  }
  /** Current through a part that has a branch (V, L, VCVS, T, K), from its first node through it. */
  current(part: string): Complex {
    const k = this.branch(part);
    return [this.re[k], this.im[k]];
  }
  /** Index of a part's branch unknown. */
  branch(part: string): number {
    const k = this.branchOf.get(part);
    if (k === undefined) throw new Error(`no branch current for ${part}`);
    return k;
  }
}
