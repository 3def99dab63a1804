import type { GroundEdge, Rig } from './builder';

/** Ground conductors between hosts and supplies that other pieces of the rig make: names like `host:desk`. */
export type Tie = readonly [string, string];

/** Which hosts and supplies a piece joins by its own shields and chassis: each pair once. */
export function tiesOf(rig: Rig): Tie[] {
  const { net } = rig;
  const own = rig.grounds.filter((e) => !('host' in e.what) && !('supply' in e.what));
  const parent = new Map<number, number>();
  const root = (node: number): number => {
    let at = node;
    while (parent.has(at) && parent.get(at) !== at) at = parent.get(at)!;
    return at;
  };
  for (const { a, b } of own) parent.set(root(net.root(a)), root(net.root(b)));
  const out: Tie[] = [];
  const bounds = [...rig.bounds].sort();
  bounds.forEach((p, i) => {
    for (const q of bounds.slice(i + 1))
      if (root(net.root(net.node(p))) === root(net.root(net.node(q)))) out.push([p, q]);
  });
  return out;
}

/**
 * The shortest ring of ground conductors through a cable's shield, or null when the shield is a dead end.
 * Breadth-first from one end of the shield to the other without using it.
 * @param beyond pairs of hosts and supplies that the rest of the rig joins; asked only where its own conductors close no ring
 */
export function ringThrough(rig: Rig, cable: string, beyond: readonly Tie[] = []): readonly GroundEdge[] | null {
  let known = rings.get(rig);
  if (!known) rings.set(rig, (known = new Map()));
  const key = `${cable} ${beyond.join(' ')}`;
  let ring = known.get(key);
  if (ring === undefined) known.set(key, (ring = findRing(rig, cable, []) ?? findRing(rig, cable, beyond)));
  return ring;
}
/** A network does not change once it is made; hum is asked for again and again. */
const rings = new WeakMap<Rig, Map<string, readonly GroundEdge[] | null>>();

function findRing(rig: Rig, cable: string, beyond: readonly Tie[]): readonly GroundEdge[] | null {
  const { net } = rig;
  const own = rig.grounds.filter((e) => 'cable' in e.what && e.what.cable === cable);
  const others: GroundEdge[] = rig.grounds.filter((e) => !own.includes(e));
  for (const [p, q] of beyond)
    if (net.has(p) && net.has(q)) others.push({ a: net.node(p), b: net.node(q), what: { host: p } });
  const start = net.root(own[0].a);
  const goal = net.root(own[own.length - 1].b);
  if (start === goal) return [...own];
  const byNode = new Map<number, GroundEdge[]>();
  for (const edge of others) {
    for (const node of [net.root(edge.a), net.root(edge.b)]) {
      const list = byNode.get(node);
      if (list) list.push(edge);
      else byNode.set(node, [edge]);
    }
  }
  const came = new Map<number, { edge: GroundEdge; from: number } | null>([[start, null]]);
  const queue = [start];
  for (let k = 0; k < queue.length; k++) {
    const node = queue[k];
    if (node === goal) break;
    for (const edge of byNode.get(node) ?? []) {
      const a = net.root(edge.a);
      const next = a === node ? net.root(edge.b) : a;
      if (came.has(next)) continue;
      came.set(next, { edge, from: node });
      queue.push(next);
    }
  }
  if (!came.has(goal)) return null;
  const ring = [...own];
  for (let step = came.get(goal); step; step = came.get(step.from)) ring.push(step.edge);
  return ring;
}

/** Nodes that a low-ohm path joins to the building's earth or to what the rest of the rig hangs on. */
export function earthed(rig: Rig): (node: number) => boolean {
  let reached = floods.get(rig);
  if (!reached) floods.set(rig, (reached = flood(rig)));
  const known = reached;
  return (node) => known.has(rig.net.root(node));
}
const floods = new WeakMap<Rig, ReadonlySet<number>>();

function flood(rig: Rig): ReadonlySet<number> {
  const { net } = rig;
  const reached = new Set([net.root(0)]);
  for (let grown = true; grown;) {
    grown = false;
    for (const edge of rig.grounds) {
      const [a, b] = [net.root(edge.a), net.root(edge.b)];
      if (reached.has(a) === reached.has(b)) continue;
      reached.add(a).add(b);
      grown = true;
    }
  }
  return reached;
}
