import type { Network, Node } from '../circuit/network';
import type { PortNodes } from '../gear/types';
import type { Plan } from '../plan/schema';
import type { HumSource } from './stray';

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
  /** Where an input's own amplifier reads, by device: noise and hum count there. */
  readonly senses: ReadonlyMap<string, readonly [Node, Node]>;
  /** What the mains can get in by, besides the EMFs of supplies. */
  readonly hums: readonly HumSource[];
  /** Hosts and supplies that something in it hangs on; `host:…` and `supply:…` are their nodes. */
  readonly bounds: readonly string[];
  /** Name of the 0 V source that reads the current into a cable's first core. */
  readonly meter: (cable: string) => string;
}

/** Device and cable ids; a cable's devices must be in it. */
export interface Scope {
  readonly devices: readonly string[];
  readonly cables: readonly string[];
}

/** Insulation of a socket, ohms. It also gives every open contact a defined voltage. */
export const INSULATION_OHM = 1e11;

/** A rig under construction. */
export interface Builder {
  readonly plan: Plan;
  readonly held: boolean;
  readonly net: Network;
  readonly grounds: GroundEdge[];
  readonly ports: Map<string, PortNodes>;
  readonly chassis: Map<string, Node>;
  readonly mated: Map<string, readonly [boolean, boolean]>;
  readonly senses: Map<string, readonly [Node, Node]>;
  readonly hums: HumSource[];
  readonly bounds: Set<string>;
}
