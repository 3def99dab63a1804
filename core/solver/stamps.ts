import type { Node, Part } from './network';
import type { Pattern } from './order';

export const branches = (part: Part): number =>
  part.kind === 'R' || part.kind === 'C' || part.kind === 'I' || part.kind === 'VCCS' ? 0 : part.kind === 'K' ? 2 : 1;
/** Gathers entries; the same place twice adds up. */
export class Stamps {
  readonly #at = new Map<number, number>();
  readonly #row: number[] = [];
  readonly #col: number[] = [];
  readonly #g: number[] = [];
  readonly #c: number[] = [];
  add(row: number, col: number, g: number, c = 0): void {
    if (row < 0 || col < 0) return;
    const key = row * 0x4000000 + col;
    let e = this.#at.get(key);
    if (e === undefined) {
      e = this.#row.length;
      this.#at.set(key, e);
      this.#row.push(row);
      this.#col.push(col);
      this.#g.push(0);
      this.#c.push(0);
    }
    this.#g[e] += g;
    this.#c[e] += c;
  }
  finish(n: number): { pattern: Pattern; g: Float64Array; c: Float64Array } {
    const pattern = { n, row: Int32Array.from(this.#row), col: Int32Array.from(this.#col) };
    return { pattern, g: Float64Array.from(this.#g), c: Float64Array.from(this.#c) };
  }
}

export function stampPart(part: Part, branch: number, at: (node: Node) => number, s: Stamps): void {
  const a = at(part.a);
  const b = at(part.b);
  const across = (g: number, c: number): void => {
    s.add(a, a, g, c);
    s.add(b, b, g, c);
    s.add(a, b, -g, -c);
    s.add(b, a, -g, -c);
  };
  /** A branch current out of p into q, and V(p) − V(q) in the branch's own equation. */
  const through = (p: number, q: number, k: number): void => {
    s.add(p, k, 1);
    s.add(q, k, -1);
    s.add(k, p, 1);
    s.add(k, q, -1);
  };
  switch (part.kind) {
    case 'R':
      return across(1 / part.ohm, 0);
    case 'C':
      return across(0, part.farad);
    case 'L':
      through(a, b, branch);
      return s.add(branch, branch, 0, -part.henry);
    case 'V':
      return through(a, b, branch);
    case 'I':
      return;
    case 'VCVS':
      through(a, b, branch);
      s.add(branch, at(part.ca), -part.gain);
      return s.add(branch, at(part.cb), part.gain);
    case 'VCCS':
      s.add(a, at(part.ca), part.siemens);
      s.add(a, at(part.cb), -part.siemens);
      s.add(b, at(part.ca), -part.siemens);
      return s.add(b, at(part.cb), part.siemens);
    case 'T': {
      const c = at(part.c);
      const d = at(part.d);
      through(a, b, branch);
      s.add(c, branch, -part.ratio);
      s.add(d, branch, part.ratio);
      s.add(branch, c, -part.ratio);
      return s.add(branch, d, part.ratio);
    }
    case 'K': {
      const mutual = part.k * Math.sqrt(part.l1 * part.l2);
      through(a, b, branch);
      through(at(part.c), at(part.d), branch + 1);
      s.add(branch, branch, 0, -part.l1);
      s.add(branch, branch + 1, 0, -mutual);
      s.add(branch + 1, branch + 1, 0, -part.l2);
      return s.add(branch + 1, branch, 0, -mutual);
    }
  }
}

export function ends(part: Part): [Node, Node][] {
  if (part.kind === 'T' || part.kind === 'K')
    return [
      [part.a, part.b],
      [part.c, part.d]
    ];
  return [[part.a, part.b]];
}
