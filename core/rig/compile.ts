// Rig: turns a plan into one network of hot, cold and shield, and reads answers off it.
import { Network, type Node } from '../circuit/network';
import { modelOf, portOf, Readings } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { hasSecond, mates, socketHasSecond } from '../gear/sockets';
import type { Model, PortNodes, PortSpec } from '../gear/types';
import type { Cable, Device, Plan } from '../plan/schema';

/** A low-ohm ground conductor of the network: an edge of the graph in which loops are rings. */
export interface GroundEdge {
  readonly a: Node;
  readonly b: Node;
  readonly what: { cable: string } | { device: string } | { host: string } | { supply: string };
}

/** Where in a compiled network a plan's ports are. */
export interface Rig {
  readonly net: Network;
  /** Nodes of `device.port`. */
  readonly ports: ReadonlyMap<string, PortNodes>;
  readonly grounds: readonly GroundEdge[];
  readonly chassis: ReadonlyMap<string, Node>;
  /** Cables whose plug at [from, to] goes into its socket. */
  readonly mated: ReadonlyMap<string, readonly [boolean, boolean]>;
  /** Name of the 0 V source that reads the current into a cable's first core. */
  readonly meter: (cable: string) => string;
}

/** Protective conductor of a class I device's own cord, ohms (IEC 61140 allows 0.1 for the bond alone). */
const BOND_OHM = 0.15;
/** Class II: interference capacitor from the mains side, farads. */
const CLASS_2_FARAD = 2e-9;
/** Stray capacitance of a body or instrument to the room, farads. */
const STRAY_FARAD = 50e-12;
/** Insulation of a socket, ohms. It also gives every open contact a defined voltage. */
const INSULATION_OHM = 1e11;
/** Contact resistance that one coupler, with its two mated plugs, puts into each conductor of a used lead, ohms. */
const COUPLER_OHM = 0.04;
/** Above this length a cable is cut into several π-sections, metres. */
const SECTION_METRES = 50;

/** The least resistance of a cable's conductor, ohms: its soldered ends. */
const ENDS_OHM = 1e-3;

/**
 * Builds the network of some devices and cables of a plan.
 * @param scope device and cable ids; a cable's devices must be in it
 */
export function compileRig(plan: Plan, scope: { devices: readonly string[]; cables: readonly string[] }): Rig {
  const net = new Network();
  const grounds: GroundEdge[] = [];
  const ports = new Map<string, PortNodes>();
  const chassis = new Map<string, Node>();
  const mated = new Map<string, readonly [boolean, boolean]>();
  const builder = { plan, net, grounds, ports, chassis, mated };
  const hosts = new Set<string>();
  for (const id of scope.devices) stampDevice(builder, id, plan.devices[id], hosts);
  for (const host of hosts) {
    const { supply, feed } = plan.hosts[host];
    stampEarth(builder, net.node(`host:${host}`), feed, supply, { host });
  }
  stampSupplies(builder);
  for (const id of scope.cables) stampCable(builder, id, plan.cables[id]);
  return { net, ports, grounds, chassis, mated, meter: (cable) => `${cable}/meter` };
}

interface Builder {
  readonly plan: Plan;
  readonly net: Network;
  readonly grounds: GroundEdge[];
  readonly ports: Map<string, PortNodes>;
  readonly chassis: Map<string, Node>;
  readonly mated: Map<string, readonly [boolean, boolean]>;
}

function stampDevice(b: Builder, id: string, device: Device, hosts: Set<string>): void {
  const { net } = b;
  const model = modelOf(device.model);
  const read = new Readings(model, device.settings);
  const chassis = net.node(`${id}/chassis`);
  b.chassis.set(id, chassis);
  for (const port of model.ports) b.ports.set(`${id}.${port.id}`, portNodes(b, id, port, chassis));
  model.stamp({
    net,
    chassis,
    part: (name) => `${id}/${name}`,
    inner: (name) => net.node(`${id}/${name}`),
    port: (name) => b.ports.get(`${id}.${name}`)!,
    value: read.value,
    choice: read.choice,
    bond: (name, from, to, ohm) => {
      net.resistor(`${id}/${name}`, from, to, ohm);
      b.grounds.push({ a: from, b: to, what: { device: id } });
    }
  });
  if (device.host !== undefined) {
    hosts.add(device.host);
    net.wire(net.node(`host:${device.host}`), chassis);
  } else if (model.family !== 'joint') stampEarth(b, chassis, read.feed, device.supply, { device: id });
  else net.capacitor(`${id}/stray`, chassis, 0, STRAY_FARAD);
}

function portNodes(b: Builder, id: string, port: PortSpec, chassis: Node): PortNodes {
  const { net } = b;
  const name = (contact: string): string => `${id}.${port.id}/${contact}`;
  const hot = net.node(name('hot'));
  const shield = net.node(name('shield'));
  if (!port.ownShield) net.wire(chassis, shield);
  else net.resistor(name('insulation'), shield, chassis, INSULATION_OHM);
  net.resistor(name('insulation-hot'), hot, shield, INSULATION_OHM);
  const cold = port.carries === 'unbalanced' ? shield : net.node(name('cold'));
  if (cold !== shield) net.resistor(name('insulation-cold'), cold, shield, INSULATION_OHM);
  return { hot, cold, shield };
}

/** Ties a chassis to earth as its feed does. */
function stampEarth(
  b: Builder,
  chassis: Node,
  feed: string,
  supply: string | undefined,
  what: GroundEdge['what']
): void {
  const { net } = b;
  const name = net.name(chassis);
  const point = supply === undefined ? 0 : net.node(`supply:${supply}`);
  if (feed === 'mains-1') {
    net.resistor(`${name}/bond`, chassis, point, BOND_OHM);
    b.grounds.push({ a: chassis, b: point, what });
  } else if (feed === 'mains-2') net.capacitor(`${name}/class-2`, chassis, point, CLASS_2_FARAD);
  else net.capacitor(`${name}/stray`, chassis, 0, STRAY_FARAD);
}

/** Supplies that something in the network hangs on: an EMF and a protective conductor to the building's earth. */
function stampSupplies(b: Builder): void {
  const { net, plan } = b;
  for (const [id, supply] of Object.entries(plan.supplies)) {
    if (!net.has(`supply:${id}`)) continue;
    const point = net.node(`supply:${id}`);
    const inner = net.node(`supply:${id}/emf`);
    net.voltage(`supply:${id}/emf`, inner, 0, 0);
    net.resistor(`supply:${id}/earth`, inner, point, supply.ohm);
    b.grounds.push({ a: 0, b: point, what: { supply: id } });
  }
}

/** The π-sections of a cable and the contacts of its plugs. */
function stampCable(b: Builder, id: string, cable: Cable): void {
  const { net } = b;
  const kind = CABLES[cable.kind];
  const per = (name: 'cShield' | 'cCores' | 'rShield' | 'rCore'): number =>
    cable.settings?.[name] ?? kind.params[name].typ;
  const sections = Math.max(1, Math.ceil(cable.metres / SECTION_METRES));
  const step = cable.metres / sections;
  const contact = (ENDS_OHM + COUPLER_OHM * (cable.couplers ?? 0)) / sections;
  const at = (name: string, k: number): Node => net.node(`${id}/${name}${k}`);
  const two = kind.cores === 2;
  for (let k = 0; k < sections; k++) {
    const part = (name: string): string => `${id}/${name}-${k}`;
    net.resistor(part('core-a'), at('a', k), at('a', k + 1), step * per('rCore') + contact);
    net.resistor(part('shield'), at('s', k), at('s', k + 1), step * per('rShield') + contact);
    b.grounds.push({ a: at('s', k), b: at('s', k + 1), what: { cable: id } });
    if (two) net.resistor(part('core-b'), at('b', k), at('b', k + 1), step * per('rCore') + contact);
    for (const end of [k, k + 1]) {
      const half = (name: string): string => part(`${name}-${end}`);
      net.capacitor(half('c-a'), at('a', end), at('s', end), (step * per('cShield') * (1 + kind.mismatch / 2)) / 2);
      if (!two) continue;
      net.capacitor(half('c-b'), at('b', end), at('s', end), (step * per('cShield') * (1 - kind.mismatch / 2)) / 2);
      net.capacitor(half('c-ab'), at('a', end), at('b', end), (step * per('cCores')) / 2);
    }
  }
  const fit = ([0, 1] as const).map((side) => plugIn(b, id, cable, side, side === 0 ? 0 : sections));
  b.mated.set(id, [fit[0], fit[1]]);
}

/**
 * Joins a cable's end to its socket by contact: what touches what follows from plug and socket alone.
 * Where the plug does not go in, an adapter wired contact to contact is assumed, so that the rest can still be judged.
 */
function plugIn(b: Builder, id: string, cable: Cable, side: 0 | 1, end: number): boolean {
  const { net } = b;
  const { device, port } = side === 0 ? cable.from : cable.to;
  const plug = cable.plugs[side];
  const socket = portOf(modelOf(b.plan.devices[device].model), port)!.socket;
  const nodes = b.ports.get(`${device}.${port}`)!;
  const a = net.node(`${id}/a${end}`);
  const s = net.node(`${id}/s${end}`);
  const two = CABLES[cable.kind].cores === 2;
  const core = two ? net.node(`${id}/b${end}`) : s;
  // A plug without a second contact has the second core on its sleeve.
  const second = hasSecond(plug) ? core : s;
  if (two && second === s) net.wire(core, s);
  if (side === 0) net.voltage(`${id}/meter`, nodes.hot, a, 0);
  else net.wire(nodes.hot, a);
  net.wire(nodes.shield, s);
  if (socketHasSecond(socket)) net.wire(nodes.cold, second);
  // A third plug contact in a two-contact socket meets the sleeve.
  else if (hasSecond(plug)) net.wire(nodes.shield, second);
  return mates(plug, socket);
}

/** The two nodes between which a port's signal stands. */
export function signalNodes(model: Model, port: string, nodes: PortNodes): readonly [Node, Node] {
  return portOf(model, port)!.carries === 'balanced' ? [nodes.hot, nodes.cold] : [nodes.hot, nodes.shield];
}
