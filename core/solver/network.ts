// Circuit: networks of R, L, C, transformers and controlled sources, and their solution. Knows nothing of audio gear.

/** A node number; 0 is the reference. */
export type Node = number;
export const GROUND: Node = 0;

export type Part =
  | { kind: 'R'; name: string; a: Node; b: Node; ohm: number }
  | { kind: 'C'; name: string; a: Node; b: Node; farad: number }
  | { kind: 'L'; name: string; a: Node; b: Node; henry: number }
  | { kind: 'V'; name: string; a: Node; b: Node; volt: number; noise: number }
  | { kind: 'I'; name: string; a: Node; b: Node; ampere: number; noise: number }
  | { kind: 'VCVS'; name: string; a: Node; b: Node; ca: Node; cb: Node; gain: number }
  | { kind: 'VCCS'; name: string; a: Node; b: Node; ca: Node; cb: Node; siemens: number }
  | { kind: 'T'; name: string; a: Node; b: Node; c: Node; d: Node; ratio: number }
  | { kind: 'K'; name: string; a: Node; b: Node; c: Node; d: Node; l1: number; l2: number; k: number };

export type CircuitFault =
  | { code: 'bad-value'; part: string; got: number; limit: string }
  | { code: 'floating'; node: string }
  | { code: 'source-loop'; part: string }
  | { code: 'singular'; unknown: string }
  | { code: 'bad-frequency'; got: number };

/** Typed failure of a network; `fault` names the part or node. */
export class CircuitError extends Error {
  constructor(readonly fault: CircuitFault) {
    super(`circuit: ${JSON.stringify(fault)}`);
    this.name = 'CircuitError';
  }
}

/** Bounds of a part's value; outside them rounding, not physics, would decide the answer. */
const BOUNDS = {
  R: [1e-6, 1e15, '1 µΩ … 1 PΩ'],
  C: [0, 1, '0 … 1 F'],
  L: [1e-12, 1e6, '1 pH … 1 MH'],
  ratio: [1e-6, 1e6, '1e−6 … 1e6'],
  k: [0, 0.999999999, '0 … <1']
} as const;

/** A network under construction. Nodes are named; wires merge nodes without adding unknowns. */
export class Network {
  readonly parts: Part[] = [];
  readonly #names: string[] = ['reference'];
  readonly #byName = new Map<string, Node>([['reference', GROUND]]);
  readonly #parent: Node[] = [0];

  /** The node of that name, made when new. */
  node(name: string): Node {
    const known = this.#byName.get(name);
    if (known !== undefined) return known;
    const id = this.#names.length;
    this.#names.push(name);
    this.#byName.set(name, id);
    this.#parent.push(id);
    return id;
  }

  /** Whether a node of that name exists. */
  has(name: string): boolean {
    return this.#byName.has(name);
  }

  name(node: Node): string {
    return this.#names[node];
  }

  get size(): number {
    return this.#names.length;
  }

  /** Joins two nodes by an ideal wire. */
  wire(a: Node, b: Node): void {
    const ra = this.root(a);
    const rb = this.root(b);
    if (ra === rb) return;
    // The reference always stays its own root.
    if (ra < rb) this.#parent[rb] = ra;
    else this.#parent[ra] = rb;
  }

  /** The node that stands for all nodes wired to this one. */
  root(node: Node): Node {
    let at = node;
    while (this.#parent[at] !== at) {
      this.#parent[at] = this.#parent[this.#parent[at]];
      at = this.#parent[at];
    }
    return at;
  }

  /** Resistor in ohms. */
  resistor(name: string, a: Node, b: Node, ohm: number): void {
    check(name, ohm, BOUNDS.R);
    this.parts.push({ kind: 'R', name, a, b, ohm });
  }
  /** Capacitor in farads; 0 F is nothing at all. */
  capacitor(name: string, a: Node, b: Node, farad: number): void {
    check(name, farad, BOUNDS.C);
    if (farad > 0) this.parts.push({ kind: 'C', name, a, b, farad });
  }
  /** Inductor in henries. */
  inductor(name: string, a: Node, b: Node, henry: number): void {
    check(name, henry, BOUNDS.L);
    this.parts.push({ kind: 'L', name, a, b, henry });
  }
  /**
   * Voltage source, V(a) − V(b) = volt. A source of 0 V reads the current through it.
   * @param noise density of its own noise, V/√Hz
   */
  voltage(name: string, a: Node, b: Node, volt: number, noise = 0): void {
    check(name, volt, [-1e9, 1e9, '±1 GV']);
    check(name, noise, [0, 1, '0 … 1 V/√Hz']);
    this.parts.push({ kind: 'V', name, a, b, volt, noise });
  }
  /**
   * Current source driving `ampere` out of a, into b, through the source: it is drawn from a and delivered to b.
   * @param noise density of its own noise, A/√Hz
   */
  current(name: string, a: Node, b: Node, ampere: number, noise = 0): void {
    check(name, ampere, [-1e9, 1e9, '±1 GA']);
    check(name, noise, [0, 1, '0 … 1 A/√Hz']);
    this.parts.push({ kind: 'I', name, a, b, ampere, noise });
  }
  /** V(a) − V(b) = gain · (V(ca) − V(cb)). */
  vcvs(name: string, a: Node, b: Node, ca: Node, cb: Node, gain: number): void {
    check(name, gain, [-1e9, 1e9, '±1e9']);
    this.parts.push({ kind: 'VCVS', name, a, b, ca, cb, gain });
  }
  /** Current siemens · (V(ca) − V(cb)) flows from a through the source to b. */
  vccs(name: string, a: Node, b: Node, ca: Node, cb: Node, siemens: number): void {
    check(name, siemens, [-1e9, 1e9, '±1e9']);
    this.parts.push({ kind: 'VCCS', name, a, b, ca, cb, siemens });
  }
  /** Ideal transformer: V(a) − V(b) = ratio · (V(c) − V(d)). */
  transformer(name: string, a: Node, b: Node, c: Node, d: Node, ratio: number): void {
    check(name, ratio, BOUNDS.ratio);
    this.parts.push({ kind: 'T', name, a, b, c, d, ratio });
  }
  /** Two coupled inductors with coupling factor k. */
  coupled(name: string, a: Node, b: Node, c: Node, d: Node, l1: number, l2: number, k: number): void {
    check(name, l1, BOUNDS.L);
    check(name, l2, BOUNDS.L);
    check(name, k, BOUNDS.k);
    this.parts.push({ kind: 'K', name, a, b, c, d, l1, l2, k });
  }
}

function check(part: string, got: number, [low, high, limit]: readonly [number, number, string]): void {
  if (!(got >= low && got <= high)) throw new CircuitError({ code: 'bad-value', part, got, limit });
}
