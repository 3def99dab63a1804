import { Network, type Node } from '../solver/network';
import { System } from '../solver/system';
import { portOf } from '../gear/catalogue';
import { PHANTOM_LEG_OHM } from '../gear/boxes';
import { CABLES } from '../gear/cables';
import { socketHasSecond } from '../gear/sockets';
import { modelAt, settingsAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { contactsOf } from './wire';

/** Direct current that an input's phantom supply drives up a line (IEC 61938). */
export interface Phantom {
  /** First device up the line that is more than a joint: what the feed meets. */
  readonly device: string;
  /** What is left for it between its signal contacts, taken together, and its pin 1, volts. */
  readonly volts: number;
  /** Drawn from the input, amperes. */
  readonly ampere: number;
  /** The input cannot give so much. */
  readonly starved: boolean;
  /** The shield, by which the current would come home, is cut. */
  readonly noReturn: boolean;
  /** Through the device's own output, which has no use for it, amperes. */
  readonly harm: number;
}

/** Winding or coil that a floating output shows a direct current, ohms, where its model has none of its own. */
const WINDING_OHM = 30;

/** Solves the direct current of a line whose input has phantom switched on; null when it has not. */
export function phantomOf(plan: Plan, line: Line): Phantom | null {
  const read = settingsAt(plan, line.id, line.cables[line.cables.length - 1]);
  if (read.choice('phantom') !== 'on') return null;
  const net = new Network();
  const node = (name: string): Node => {
    const fresh = !net.has(name);
    const made = net.node(name);
    // Whatever is wired to nothing is held by next to nothing.
    if (fresh) net.resistor(`${name}/hold`, made, 0, 1e12);
    return made;
  };
  const feed = node('feed');
  net.voltage('phantom', feed, 0, read.value('phantomVolts'));
  net.resistor('leg-hot', feed, node('hot0'), PHANTOM_LEG_OHM);
  net.resistor('leg-cold', feed, node('cold0'), PHANTOM_LEG_OHM);
  net.wire(node('shield0'), 0);
  let level = 0;
  let device = line.id;
  for (let k = line.cables.length - 1; k >= 0; k--) {
    stampCores(plan, line.cables[k], node, net, level);
    device = line.devices[k];
    if (modelAt(plan, device).family !== 'joint') break;
    level++;
    // A joint carries its contacts straight through; what it puts on the shield it puts there for this as well.
    const second = modelAt(plan, device).ports[0].carries !== 'unbalanced';
    net.wire(node(`hot${level}`), node(`far-hot${level - 1}`));
    net.wire(node(`shield${level}`), node(`far-shield${level - 1}`));
    net.wire(node(`cold${level}`), node(second ? `far-cold${level - 1}` : `far-shield${level - 1}`));
    if (!second) net.wire(node(`far-cold${level - 1}`), node(`far-shield${level - 1}`));
  }
  const [hot, cold, shield] = ['hot', 'cold', 'shield'].map((name) => node(`far-${name}${level}`));
  const own = settingsAt(plan, device);
  const wants = own.feed === 'phantom';
  const draw = wants ? own.value('draw') : 0;
  const most = read.value('phantomMost');
  if (wants) {
    net.current('draw-hot', hot, shield, Math.min(draw, most) / 2);
    net.current('draw-cold', cold, shield, Math.min(draw, most) / 2);
  } else stampDc(plan, device, net, { hot, cold, shield }, own.has('R') ? own.value('R') : WINDING_OHM);
  const solved = new System(net).at(1).solveSources();
  const at = (a: Node, b: Node): number => solved.voltage(a, b)[0];
  const harm = wants
    ? 0
    : Math.max(
        ...['dc-hot', 'dc-cold', 'dc-across'].map((part) => {
          const found = net.parts.find((p) => p.name === part);
          return found?.kind === 'R' ? Math.abs(at(found.a, found.b)) / found.ohm : 0;
        })
      );
  const volts = (at(hot, shield) + at(cold, shield)) / 2;
  // A million volts of drop across insulation is an open shield.
  const noReturn = wants && Math.abs(at(shield, 0)) > 2 * read.value('phantomVolts');
  return {
    device,
    volts: noReturn ? 0 : Math.max(volts, 0),
    ampere: -solved.current('phantom')[0],
    starved: draw > most,
    noReturn,
    harm
  };
}

/** What a source's output shows a direct current, by what its model says of it. */
function stampDc(
  plan: Plan,
  device: string,
  net: Network,
  { hot, cold, shield }: { hot: Node; cold: Node; shield: Node },
  ohm: number
): void {
  // An output transformer's winding has no way to ground, whatever the class has otherwise.
  const transformer = settingsAt(plan, device).choice('topology') === 'transformer';
  const dc = transformer ? 'floating' : modelAt(plan, device).dc;
  if (dc === 'grounded') {
    net.resistor('dc-hot', hot, shield, Math.max(ohm, 1));
    if (net.root(cold) !== net.root(shield)) net.resistor('dc-cold', cold, shield, Math.max(ohm, 1));
  } else if (dc === 'floating') net.resistor('dc-across', hot, cold, Math.max(ohm, 1));
}

/** The cores of a cable seen from the input's end: contact map and copper. */
function stampCores(plan: Plan, id: string, node: (name: string) => Node, net: Network, level: number): void {
  const cable = plan.cables[id];
  const kind = CABLES[cable.kind];
  const ohm = (per: 'rCore' | 'rShield'): number =>
    Math.max(cable.metres * (cable.settings?.[per] ?? kind.params[per].typ), 1e-3);
  const core = (name: string, end: string): Node => node(`${id}/${name}-${end}`);
  net.resistor(`${id}/a`, core('a', 'in'), core('a', 'out'), ohm('rCore'));
  if (kind.cores === 2) net.resistor(`${id}/b`, core('b', 'in'), core('b', 'out'), ohm('rCore'));
  if (!kind.bare) net.resistor(`${id}/s`, core('s', 'in'), core('s', 'out'), ohm('rShield'));
  for (const [end, side] of [
    ['in', 1],
    ['out', 0]
  ] as const) {
    const port = side === 1 ? cable.to : cable.from;
    const { socket, carries } = portOf(modelAt(plan, port.device), port.port)!;
    const prefix = side === 1 ? '' : 'far-';
    const [hot, cold, shield] = ['hot', 'cold', 'shield'].map((name) => node(`${prefix}${name}${level}`));
    const contacts = contactsOf(cable.plugs[side], kind.cores, cable.wiring?.[side]);
    if (contacts.joined) net.wire(core(contacts.first === 'a' ? 'b' : 'a', end), core('s', end));
    net.wire(hot, core(contacts.first, end));
    if (contacts.shield) net.wire(shield, core('s', end));
    if (carries === 'unbalanced' && !(side === 1)) net.wire(cold, shield);
    if (!socketHasSecond(socket)) net.wire(cold, shield);
    else if (contacts.second) net.wire(cold, core(contacts.second, end));
    else if (cable.plugs[side] === 'ts' || cable.plugs[side] === 'rca') net.wire(cold, shield);
  }
}
