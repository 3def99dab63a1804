// Gear: models of sources, boxes, inputs, joints and cables as typed tables. Values are generic classes, never a product.
import type { Network, Node } from '../solver/network';
import type { Kind } from '../units/quantity';
import type { InstrumentId } from './instruments';
import type { Socket } from './sockets';

export type Family = 'source' | 'box' | 'input' | 'joint';

/** One editable value. `min`–`typ`–`max` is the spread of the class; `low`–`high` is what may be typed. SI base units. */
export interface ParamSpec {
  readonly quantity: Kind;
  readonly min: number;
  readonly typ: number;
  readonly max: number;
  readonly low: number;
  readonly high: number;
}

/** A switch: one of several named positions. */
export interface OptionSpec {
  readonly choices: readonly string[];
  readonly default: string;
}

export type Setting = number | string;
export type Settings = Readonly<Record<string, Setting>>;

/** How a port carries its signal. `stereo`: left and right against a common sleeve. */
export type Carries = 'unbalanced' | 'balanced' | 'stereo';

/** Level class of a port, by what it was made for (physics of levels: IEC 60268-15). */
export type LevelClass = 'microphone' | 'phono' | 'instrument' | 'consumer' | 'line' | 'speaker';

export interface PortSpec {
  readonly id: string;
  readonly way: 'in' | 'out';
  readonly socket: Socket;
  readonly carries: Carries;
  readonly level: LevelClass;
  /** Its shield contact is not tied to the device's chassis: a lift switch, or nothing, stands between. */
  readonly ownShield?: true;
}

/**
 * How a device is fed; decides its tie to earth. `mains-1`: earthed chassis; `mains-2`: two-pin or wall-wart, floating;
 * `plug-in`: a few volts up the signal wire from a recorder's or camera's microphone input; `supply`: phantom that comes from elsewhere, a supply of its own or the other leg of a splitter.
 */
export type Feed = 'mains-1' | 'mains-2' | 'battery' | 'phantom' | 'supply' | 'plug-in' | 'none';

/** The three nodes of a port: hot and cold (or left and right), and the shield contact. */
export interface PortNodes {
  readonly hot: Node;
  readonly cold: Node;
  readonly shield: Node;
}

/** What a model's `stamp` may use to put itself into a network. */
export interface StampContext {
  readonly net: Network;
  readonly chassis: Node;
  /** Full, unique name of an inner part. */
  part(name: string): string;
  /** An inner node. */
  inner(name: string): Node;
  port(id: string): PortNodes;
  value(param: string): number;
  choice(option: string): string;
  /** A low-ohm ground connection inside the device: counts as an edge when loops are looked for. */
  bond(name: string, a: Node, b: Node, ohm: number): void;
  /** Noise of an amplifier, V/√Hz, in series with the resistor `ohm` that stands between two nodes. */
  hiss(name: string, a: Node, b: Node, ohm: number, density: number): void;
  /** Noise current of an amplifier's input, A/√Hz. */
  hissCurrent(name: string, a: Node, b: Node, density: number): void;
  /** A winding in series with the resistor `ohm` from a to b, of so many turns times square metres, picks up stray fields. */
  field(a: Node, b: Node, ohm: number, m2: number): void;
  /** Capacitance from the mains wiring around to a node, farads. */
  stray(a: Node, farad: number): void;
  /** Where an input's own amplifier reads, and the noise that it adds there, V/√Hz: it is no part of the network. */
  sense(a: Node, b: Node, density: number): void;
}

/** Signal data of a source. */
interface SignalSpec {
  /** Default instrument: the band of notes it plays. */
  readonly instrument: InstrumentId;
  /** A coil or a capacitor is judged by what loading does to its response; a resistive output by the impedance ratio. */
  readonly nature: 'coil' | 'capacitor' | 'resistive';
  /** Load that it was made for, where that is not next to none: ohms and farads. */
  readonly load?: { readonly ohm: number; readonly farad: number };
}

/** What is true of some models and not of their table of values. */
export type Trait =
  /** Plays what was recorded: its full scale is the programme's. */
  | 'plays-programme'
  /** An output of a desk or an interface: whoever sits at it sets its level, up or down. */
  | 'desk-output'
  /** Has a volume of its own, which may be higher as long as its peaks stay under full scale. */
  | 'volume-knob'
  /** An input that is plugged into the wall or nowhere, not built into a desk. */
  | 'stands-alone'
  /** An input that shows no level in figures: a loudspeaker, an amplifier, a pack; it is set by ear. */
  | 'no-meter'
  /** A microphone that phantom can harm. */
  | 'harmed-by-phantom'
  /** Its XLR output is made for microphone inputs: most of the class keep phantom out, and a data sheet tells which. */
  | 'meets-phantom'
  /** Ties the two outputs of a stereo source together. */
  | 'joins-outputs'
  /** Raises the bass that a record was cut without. */
  | 'phono-stage';

export interface Model<Id extends string = string> {
  readonly id: Id;
  readonly family: Family;
  readonly params: Readonly<Record<string, ParamSpec>>;
  readonly options: Readonly<Record<string, OptionSpec>>;
  readonly ports: readonly PortSpec[];
  readonly feeds: readonly Feed[];
  readonly signal?: SignalSpec;
  /** What direct current finds at its signal contacts: a path to its chassis, between its legs only, or a capacitor. */
  readonly dc?: 'grounded' | 'floating' | 'blocked';
  /** Galvanic separation between its input and its output when lifted. */
  readonly isolated?: boolean;
  /** A stage of its own between input and output: what follows no longer loads what comes before. */
  readonly buffers?: boolean;
  readonly traits?: readonly Trait[];
  /** Values that stand for others at a position of a switch, or with a plug: `zin` is read from `zinLine`, say. */
  alias?(choice: (name: string) => string): Readonly<Record<string, string>>;
  /** Response that its stage adds after its terminals (or, of a source, ahead of its EMF), dB at a frequency in hertz. */
  shape?(read: Pick<StampContext, 'value' | 'choice'>, hz: number): number;
  stamp(s: StampContext): void;
  /**
   * Largest undistorted level in volts RMS at its ports.
   * @param read values and switch positions of the device
   * @param lowestHz lowest note, where a transformer saturates first
   */
  clip?(read: Pick<StampContext, 'value' | 'choice'>, lowestHz: number): { in?: number; out?: number };
}

/** min–typ–max with the typing bounds 10 times wider unless given. */
export function param(
  quantity: Kind,
  min: number,
  typ: number,
  max: number,
  low = Math.min(min, typ) / 10,
  high = Math.max(max, typ) * 10
): ParamSpec {
  return { quantity, min, typ, max, low, high };
}

/** A model with its own id as its type, so that the ids of all of them make one. */
export const defineModel = <const Id extends string>(model: Model<Id>): Model<Id> => model;
