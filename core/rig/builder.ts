import type { Network, Node } from '../solver/network';
import type { PortNodes } from '../gear/types';
import type { Plan } from '../plan/schema';
import type { HumSource } from './stray';

/** A low-ohm ground conductor of the network: an edge of the graph in which loops are rings. */
export interface GroundEdge {
  readonly a: Node;
  readonly b: Node;
  readonly what: { cable: string } | { device: string } | { host: string } | { supply: string } | { touch: string };
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
  /** Where an input's own amplifier reads, by device, and what noise it adds there. */
  readonly senses: ReadonlyMap<string, Sense>;
  /** What the mains can get in by, besides the EMFs of supplies. */
  readonly hums: readonly HumSource[];
  /** Hosts and supplies that something in it hangs on; `host:…` and `supply:…` are their nodes. */
  readonly bounds: readonly string[];
  /** What the first core of each cable begins with: the parts through which its current enters it. */
  readonly entries: ReadonlyMap<string, readonly Entry[]>;
}

/** Two nodes between which an amplifier reads, and its own noise, V/√Hz. */
export interface Sense {
  readonly nodes: readonly [Node, Node];
  readonly density: number;
}
/** A resistance or a capacitance from a core's beginning to another node. */
export interface Entry {
  readonly to: Node;
  readonly ohm?: number;
  readonly farad?: number;
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
  readonly senses: Map<string, Sense>;
  readonly entries: Map<string, readonly Entry[]>;
  readonly hums: HumSource[];
  readonly bounds: Set<string>;
}
