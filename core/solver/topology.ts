import { type Network, type Node, CircuitError, GROUND } from './network';
import { ends } from './stamps';

class UnionFind {
  readonly #parent: Int32Array;
  constructor(size: number) {
    this.#parent = Int32Array.from({ length: size }, (_, k) => k);
  }
  find(x: number): number {
    while (this.#parent[x] !== x) x = this.#parent[x] = this.#parent[this.#parent[x]];
    return x;
  }
  /** @returns false when both were together already */
  union(a: number, b: number): boolean {
    const ra = this.find(a);
    const rb = this.find(b);
    this.#parent[rb] = ra;
    return ra !== rb;
  }
}

export function usedRoots(network: Network): Set<Node> {
  const used = new Set<Node>();
  for (const part of network.parts) {
    for (const pair of ends(part)) for (const node of pair) used.add(network.root(node));
    if (part.kind === 'VCVS' || part.kind === 'VCCS') {
      used.add(network.root(part.ca));
      used.add(network.root(part.cb));
    }
  }
  used.delete(GROUND);
  return used;
}

/** Finds what makes a network unsolvable by its shape alone, so that the message can name the node or part. */
export function checkTopology(network: Network): void {
  const reach = new UnionFind(network.size);
  const rigid = new UnionFind(network.size);
  for (const part of network.parts) {
    // A current source or a control input carries no voltage reference across.
    if (part.kind !== 'I' && part.kind !== 'VCCS')
      for (const [a, b] of ends(part)) reach.union(network.root(a), network.root(b));
    if (part.kind === 'V' || part.kind === 'VCVS') {
      if (!rigid.union(network.root(part.a), network.root(part.b)))
        throw new CircuitError({ code: 'source-loop', part: part.name });
    }
  }
  for (const root of usedRoots(network)) {
    if (reach.find(root) !== reach.find(GROUND)) throw new CircuitError({ code: 'floating', node: network.name(root) });
  }
}
