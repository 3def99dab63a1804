import { modelOf } from '../gear/catalogue';
import type { GroundEdge, Rig } from '../rig/compile';
import type { LineSolution } from '../rig/solve';
import { toDbu } from '../units/quantity';
import { finding, type JoinContext } from './context';
import { HUM, onLadder } from './limits';
import { fact, type Finding } from './types';

/** Loops through this cable's shield, lift, and whether phantom goes where it should. */
export function checkGround(c: JoinContext): Finding[] {
  return [...loops(c), ...phantom(c), ...floating(c)];
}

function loops(c: JoinContext): Finding[] {
  const ring = ringThrough(c.solution.rig, c.span.cable);
  if (!ring) return [finding('no-loop', c.at, { severity: 'clean', value: 0, unit: 'count', limit: null })];
  const last = c.solution.spans[c.solution.spans.length - 1];
  const hum = toDbu(c.solution.humVolts);
  const below = last.far.nominalDbu - hum;
  const { severity, limit } = onLadder(HUM, below);
  // The drop along an unbalanced shield is what becomes signal; a balanced stretch of the same ring only carries it.
  const guilty = c.span.balanced && ringHasUnbalanced(c.solution, ring) ? 'clean' : severity;
  const supplies = [...new Set(ring.flatMap((e) => ('supply' in e.what ? [e.what.supply] : [])))];
  return [
    finding('loop', c.at, { severity: guilty, value: Number.isFinite(below) ? below : -200, unit: 'dB', limit }, [
      fact('hum', 'dBu', hum),
      fact('arrives', 'dBu', last.far.nominalDbu),
      fact('supplies', 'count', supplies.length),
      fact(
        'emf',
        'voltage',
        supplies.reduce((sum, id) => sum + c.plan.supplies[id].emf, 0)
      ),
      fact('mains', 'frequency', c.plan.policy.mainsHz),
      fact('names', 'id', supplies.map((id) => c.plan.supplies[id].name).join(' and '))
    ])
  ];
}

const ringHasUnbalanced = (solution: LineSolution, ring: readonly GroundEdge[]): boolean =>
  solution.spans.some((s) => !s.balanced && ring.some((e) => 'cable' in e.what && e.what.cable === s.cable));

/**
 * The shortest ring of ground conductors through a cable's shield, or null when the shield is a dead end.
 * Breadth-first from one end of the shield to the other without using it.
 */
export function ringThrough(rig: Rig, cable: string): GroundEdge[] | null {
  const own = rig.grounds.filter((e) => 'cable' in e.what && e.what.cable === cable);
  const others = rig.grounds.filter((e) => !own.includes(e));
  const start = rig.net.root(own[0].a);
  const goal = rig.net.root(own[own.length - 1].b);
  if (start === goal) return [...own];
  const byNode = new Map<number, GroundEdge[]>();
  for (const edge of others) {
    for (const node of [rig.net.root(edge.a), rig.net.root(edge.b)])
      byNode.set(node, [...(byNode.get(node) ?? []), edge]);
  }
  const came = new Map<number, { edge: GroundEdge; from: number } | null>([[start, null]]);
  const queue = [start];
  for (let node = queue.shift(); node !== undefined; node = queue.shift()) {
    if (node === goal) break;
    for (const edge of byNode.get(node) ?? []) {
      const a = rig.net.root(edge.a);
      const next = a === node ? rig.net.root(edge.b) : a;
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

function phantom(c: JoinContext): Finding[] {
  if (c.far.model.family !== 'input') return [];
  const { line } = c.solution;
  const on = c.far.read.choice('phantom') === 'on';
  const wants = c.near.read.feed === 'phantom';
  const bare = { severity: 'clean' as const, value: 0, unit: 'none' as const, limit: null };
  const facts = [fact('model', 'id', c.near.model.id), fact('input', 'id', c.far.model.id)];
  if (wants) {
    if (!c.far.model.options.phantom) return [finding('phantom-none', c.at, { ...bare, severity: 'stop' }, facts)];
    if (!on) return [finding('phantom-off', c.at, { ...bare, severity: 'stop' }, facts)];
    return [finding('phantom-reaches', c.at, bare, facts)];
  }
  const direct = line.devices.every((id) => modelOf(c.plan.devices[id].model).family !== 'box');
  const harmed = c.source.model.ports[0].level !== 'microphone';
  if (on && direct && harmed)
    return [
      finding('phantom-into-source', c.at, { ...bare, severity: 'stop' }, [
        fact('model', 'id', c.source.model.id),
        fact('input', 'id', c.far.model.id)
      ])
    ];
  return [];
}

/** A lift that leaves the source's shield hanging: nothing else ties it to earth. */
function floating(c: JoinContext): Finding[] {
  if (c.near.model.options.lift === undefined || c.near.read.choice('lift') !== 'lifted') return [];
  const { rig } = c.solution;
  const reached = new Set([rig.net.root(0)]);
  for (let grown = true; grown;) {
    grown = false;
    for (const edge of rig.grounds) {
      const [a, b] = [rig.net.root(edge.a), rig.net.root(edge.b)];
      if (reached.has(a) === reached.has(b)) continue;
      reached.add(a).add(b);
      grown = true;
    }
  }
  if (reached.has(rig.net.root(rig.chassis.get(c.near.id)!))) return [];
  return [
    finding('floats-lifted', c.at, { severity: 'care', value: 0, unit: 'none', limit: null }, [
      fact('model', 'id', c.near.model.id),
      fact('source', 'id', c.source.model.id)
    ])
  ];
}
