// Rig: turns a plan into one network of hot, cold and shield, and reads answers off it.
import { LINK_OHM } from '../gear/links';
import { Network, type Node } from '../solver/network';
import { portOf, type DeviceSettings } from '../gear/catalogue';
import type { Model, PortNodes, PortSpec } from '../gear/types';
import { settingsAt } from '../plan/devices';
import type { Device, Plan, Touch } from '../plan/schema';
import { type Builder, INSULATION_OHM, type Rig, type Scope } from './builder';
import { CLASS_2_FARAD, type HumPart } from './stray';
import { farShield, stampCable } from './wire';

/** Protective conductor of a class I device's own cord, ohms (IEC 61140 allows 0.1 for the bond alone). */
export const BOND_OHM = 0.15;
/** Bare metal held against bare metal by its weight or a screw, ohms: our own estimate between milliohms and an ohm. */
const TOUCH_OHM = 0.1;
/** Stray capacitance of a body or instrument to the room, farads. */
export const STRAY_FARAD = 50e-12;

/**
 * Builds the network of some devices and cables of a plan.
 * @param earths `whole`: with the protective conductors of hosts and supplies. `held`: hosts and supplies are held at 0 V by
 *   sources `bound:…`, as when the rest of the rig is computed apart; for the signal it is the same to a thousandth of a decibel
 */
export function compileRig(plan: Plan, scope: Scope, earths: 'whole' | 'held' = 'whole'): Rig {
  const b: Builder = {
    plan,
    held: earths === 'held',
    net: new Network(),
    grounds: [],
    ports: new Map(),
    chassis: new Map(),
    mated: new Map(),
    senses: new Map(),
    entries: new Map(),
    hums: [],
    bounds: new Set()
  };
  const into = new Map(scope.cables.map((id) => [plan.cables[id].to.device, id]));
  for (const id of scope.devices) stampDevice(b, id, plan.devices[id], into.get(id));
  const touches = touchesIn(plan, scope);
  for (const [, { b: other }] of touches) if (!other.startsWith('device:')) b.bounds.add(other);
  for (const bound of [...b.bounds]) if (bound.startsWith('host:')) stampHost(b, bound.slice(5));
  for (const bound of b.bounds) if (bound.startsWith('supply:')) stampSupply(b, bound.slice(7));
  for (const id of scope.cables) stampCable(b, id, plan.cables[id]);
  for (const [id, touch] of touches) stampTouch(b, id, touch);
  return { ...b, bounds: [...b.bounds] };
}

/** What touches what in a scope, both of them still there. */
function touchesIn(plan: Plan, scope: Scope): [string, Touch][] {
  if (!plan.touches) return [];
  const there = new Set([
    ...scope.devices.map((id) => `device:${id}`),
    ...scope.cables.map((id) => `cable:${id}`),
    ...Object.keys(plan.hosts).map((id) => `host:${id}`),
    ...Object.keys(plan.supplies).map((id) => `supply:${id}`)
  ]);
  return Object.entries(plan.touches).filter(([, { a, b }]) => there.has(a) && there.has(b) && a !== b);
}

/** Metal on metal, or a link between two chassis. A cable touches with its far plug, whose shell is on its shield. */
function stampTouch(b: Builder, id: string, touch: Touch): void {
  const { net } = b;
  const [kind, of] = touch.a.split(':');
  const from = kind === 'device' ? b.chassis.get(of)! : farShield(b, of);
  const to = touch.b.startsWith('device:') ? b.chassis.get(touch.b.slice(7))! : net.node(touch.b);
  net.resistor(`touch:${id}/contact`, from, to, touch.by ? LINK_OHM[touch.by] : TOUCH_OHM);
  b.grounds.push({ a: from, b: to, what: { touch: id } });
}

function stampDevice(b: Builder, id: string, device: Device, through: string | undefined): void {
  const { net } = b;
  const read = settingsAt(b.plan, id, through);
  const { model } = read;
  const chassis = net.node(`${id}/chassis`);
  b.chassis.set(id, chassis);
  for (const port of model.ports) b.ports.set(`${id}.${port.id}`, portNodes(b, id, port, chassis));
  model.stamp({
    net,
    chassis,
    part: (name) => `${id}/${name}`,
    inner: (name) => net.node(`${id}/${name}`),
    port: (name) => b.ports.get(`${id}.${name}`)!,
    value: (name) => read.value(name),
    choice: (name) => read.choice(name),
    bond: (name, from, to, ohm) => {
      net.resistor(`${id}/${name}`, from, to, ohm);
      b.grounds.push({ a: from, b: to, what: { device: id } });
    },
    hiss: (name, from, to, ohm, density) => net.current(`${id}/${name}`, from, to, 0, density / ohm),
    hissCurrent: (name, from, to, density) => net.current(`${id}/${name}`, from, to, 0, density),
    field: (from, to, ohm, m2) => {
      if (m2 > 0) b.hums.push({ kind: 'winding', of: id, m2, parts: [{ a: from, b: to, ohm }] });
    },
    stray: (at, farad) => {
      net.capacitor(`${id}/mains-${net.name(at)}`, at, 0, farad);
      b.hums.push({ kind: 'electric', of: id, m2: 0, parts: [{ a: at, b: 0, farad }] });
    },
    sense: (p, q, density) => void b.senses.set(id, { nodes: [p, q], density })
  });
  if (device.host !== undefined) {
    b.bounds.add(`host:${device.host}`);
    net.wire(net.node(`host:${device.host}`), chassis);
  } else if (model.family !== 'joint') stampEarth(b, id, chassis, read, device.supply);
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

/** Ties a device's chassis to earth as its feed does. */
function stampEarth(b: Builder, id: string, chassis: Node, read: DeviceSettings, supply: string | undefined): void {
  const { net } = b;
  const { feed } = read;
  if (feed !== 'mains-1' && feed !== 'mains-2') {
    net.capacitor(`${id}/stray`, chassis, 0, STRAY_FARAD);
    return;
  }
  if (supply !== undefined) b.bounds.add(`supply:${supply}`);
  const point = supply === undefined ? 0 : net.node(`supply:${supply}`);
  if (feed === 'mains-1' && !read.unearthed) {
    net.resistor(`${id}/bond`, chassis, point, BOND_OHM);
    b.grounds.push({ a: chassis, b: point, what: { device: id } });
  } else {
    net.capacitor(`${id}/class-2`, chassis, point, CLASS_2_FARAD);
    b.hums.push({ kind: 'leak', of: id, m2: 0, parts: [leak(b.plan, chassis, point, supply)] });
  }
}

const leak = (plan: Plan, a: Node, b: Node, supply: string | undefined): HumPart => ({
  a,
  b,
  farad: CLASS_2_FARAD,
  phase: plan.supplies[supply ?? '']?.phase
});

function stampHost(b: Builder, id: string): void {
  const { net, plan } = b;
  const { supply, feed } = plan.hosts[id];
  const node = net.node(`host:${id}`);
  const mains = feed === 'mains-1' || feed === 'mains-2';
  if (supply !== undefined && mains) b.bounds.add(`supply:${supply}`);
  const point = supply !== undefined && mains ? net.node(`supply:${supply}`) : 0;
  if (feed === 'mains-1') b.grounds.push({ a: node, b: point, what: { host: id } });
  if (b.held) net.voltage(`bound:host:${id}`, node, 0, 0);
  else if (feed === 'mains-1') net.resistor(`host:${id}/bond`, node, point, BOND_OHM);
  else if (feed === 'mains-2') {
    net.capacitor(`host:${id}/class-2`, node, point, CLASS_2_FARAD);
    b.hums.push({ kind: 'leak', of: `host:${id}`, m2: 0, parts: [leak(plan, node, point, supply)] });
  } else net.capacitor(`host:${id}/stray`, node, 0, STRAY_FARAD);
}

/** A supply's earth point: an EMF, which is no part of the network, behind a protective conductor to the building's earth. */
function stampSupply(b: Builder, id: string): void {
  const { net, plan } = b;
  const point = net.node(`supply:${id}`);
  b.grounds.push({ a: 0, b: point, what: { supply: id } });
  if (b.held) net.voltage(`bound:supply:${id}`, point, 0, 0);
  else net.resistor(`supply:${id}/earth`, point, 0, plan.supplies[id].ohm);
}

/** The two nodes between which a port's signal stands. */
export function signalNodes(model: Model, port: string, nodes: PortNodes): readonly [Node, Node] {
  return portOf(model, port)!.carries === 'balanced' ? [nodes.hot, nodes.cold] : [nodes.hot, nodes.shield];
}
