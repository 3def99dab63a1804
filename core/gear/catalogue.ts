import { AMPLIFIERS } from './amplifiers';
import { BOXES } from './boxes';
import { CONVERTERS } from './converters';
import { INPUTS } from './inputs';
import { JOINTS } from './joints';
import { PICKUPS } from './pickups';
import { type InstrumentId, INSTRUMENTS, type Notes } from './instruments';
import { SOURCES } from './sources';
import { CABLES, type CableKindId } from './cables';
import type { Feed, Model, ParamSpec, PortSpec, Settings, Trait } from './types';

const ALL = [...PICKUPS, ...SOURCES, ...AMPLIFIERS, ...BOXES, ...CONVERTERS, ...INPUTS, ...JOINTS];
/** Ids of all models there are: what is told of each by its id has to be told of all. */
export type ModelId = (typeof ALL)[number]['id'];
export const MODELS: readonly Model<ModelId>[] = ALL;
const BY_ID: ReadonlyMap<string, Model> = new Map(MODELS.map((m) => [m.id, m]));

/** The model of that id, if there is one. */
export const findModel = (id: string): Model | undefined => BY_ID.get(id);

/** The model of that id. @throws when unknown; documents are checked before they get here */
export function modelOf(id: string): Model {
  const model = BY_ID.get(id);
  if (!model) throw new Error(`no model ${id}`);
  return model;
}

/** Whether that is true of a model; of an unknown one nothing is. */
export const hasTrait = (id: string, trait: Trait): boolean => findModel(id)?.traits?.includes(trait) ?? false;

export const portOf = (model: Model, id: string): PortSpec | undefined => model.ports.find((p) => p.id === id);

/** The socket of a device that such a cable would go to: the first of that way with one of its usual plugs, else the first. */
export function portFor(model: Model, way: 'in' | 'out', kind: CableKindId): PortSpec {
  const ports = model.ports.filter((p) => p.way === way && p.id !== 'thru');
  for (const plug of CABLES[kind].plugs) {
    const port = ports.find((p) => p.socket === plug || (p.socket === 'combo' && (plug === 'xlr' || plug === 'trs')));
    if (port) return port;
  }
  return ports[0];
}

/** The output that a line goes on by. */
export const mainOut = (model: Model): PortSpec | undefined =>
  model.ports.find((p) => p.way === 'out' && p.id !== 'thru');

/** From here on a balanced run is taken to be a pair of the multicore, metres. */
const MULTICORE_FROM = 20;

/**
 * The cable one takes without saying so.
 * @param from the model that it leaves: a source for a lead, a box for a run; null when it is not known
 */
export function defaultKind(place: 'lead' | 'run', from: string | null, metres: number): CableKindId {
  const out = from ? mainOut(modelOf(from)) : null;
  if (place === 'run' && out?.carries !== 'unbalanced' && out?.socket !== 'mini' && out?.level !== 'speaker')
    return metres >= MULTICORE_FROM ? 'multicore' : 'mic';
  return out ? kindFrom(out) : 'instrument';
}

/** The lead that one plugs into such a socket. */
export function kindFrom({ level, socket, carries }: PortSpec): CableKindId {
  if (level === 'speaker') return 'speaker';
  if (socket === 'mini' || socket === 'rca') return socket;
  return carries === 'balanced' ? 'mic' : 'instrument';
}

export type SettingFault =
  | { code: 'unknown-setting'; setting: string }
  | { code: 'out-of-bounds'; setting: string; low: number; high: number; got: number; spec: ParamSpec }
  | { code: 'not-a-choice'; setting: string; choices: readonly string[]; got: unknown };

/** Settings every device knows besides its model's own. */
const COMMON_CHOICES: Readonly<Record<string, (model: Model) => readonly string[]>> = {
  instrument: (model) => (model.signal ? Object.keys(INSTRUMENTS) : []),
  feed: (model) => (model.feeds.length > 1 ? model.feeds : []),
  // What is found at a venue can be written down; it is never offered. Of a source that has no plug it is what its player holds beside it.
  earth: (model) => (model.feeds.includes('mains-1') || model.family === 'source' ? ['kept', 'removed', 'shocks'] : []),
  // The battery of what runs on one, where its model has no figure for its volts.
  cell: (model) => (model.feeds.includes('battery') && !model.params.battery ? ['fresh', 'low'] : [])
};

/** The positions a switch of this model may take; empty when it has no such switch. */
export function choicesOf(model: Model, setting: string): readonly string[] {
  return model.options[setting]?.choices ?? COMMON_CHOICES[setting]?.(model) ?? [];
}

/** Of those, the ones that most devices of the class have: an input's pad is one of 20 dB, whatever other ones can be written down. */
export function usualChoices(model: Model, setting: string): readonly string[] {
  const all = choicesOf(model, setting);
  return model.family === 'input' && setting === 'pad' ? all.filter((c) => c === 'off' || c === '20') : all;
}

/** Checks one setting against the model's table. */
export function checkSetting(model: Model, setting: string, value: unknown): SettingFault | null {
  const spec = model.params[setting];
  if (spec) {
    if (typeof value === 'number' && value >= spec.low && value <= spec.high) return null;
    return { code: 'out-of-bounds', setting, low: spec.low, high: spec.high, got: Number(value), spec };
  }
  const choices = choicesOf(model, setting);
  if (choices.length === 0) return { code: 'unknown-setting', setting };
  return choices.includes(value as string) ? null : { code: 'not-a-choice', setting, choices, got: value };
}

/** Switch positions, and what is played, that another model of the family knows as well. */
export function keptSettings(model: Model, settings: Settings): Settings {
  return Object.fromEntries(
    Object.entries(settings).filter(
      ([name, value]) => (name in model.options || name === 'instrument') && !checkSetting(model, name, value)
    )
  );
}

/** Whether a device as it is set runs on phantom, and whether an input of that model could give it. */
export const wantsPhantom = (device: { model: string; settings: Settings }): boolean =>
  new DeviceSettings(modelOf(device.model), device.settings).feed === 'phantom';
export const givesPhantom = (model: string): boolean => modelOf(model).options.phantom !== undefined;

/** Up to here a magnetic pickup gives what is played, hertz: its own resonance is not far above, whatever the instrument has. */
const COIL_REACH = 5000;

/** Reads values and switch positions of a device, falling back to the class's typical ones. */
export class DeviceSettings {
  constructor(
    readonly model: Model,
    readonly settings: Settings,
    /** What a combo socket has been given. */
    readonly plug: 'xlr' | 'jack' = 'xlr'
  ) {}
  /** The name that a value goes by at the switch positions as they are. */
  nameOf(name: string): string {
    return this.model.alias?.((option) => this.choice(option))[name] ?? name;
  }
  value(name: string): number {
    const key = this.nameOf(name);
    const own = this.settings[key];
    if (typeof own === 'number') return own;
    const spec = this.model.params[key];
    if (!spec) throw new Error(`${this.model.id} has no value ${key}`);
    return spec.typ;
  }
  has(name: string): boolean {
    return name in this.model.params;
  }
  choice(name: string): string {
    if (name === 'plug') return this.plug;
    const own = this.settings[name];
    return typeof own === 'string' ? own : (this.model.options[name]?.default ?? '');
  }
  /** Its protective earth has been taken away. */
  get unearthed(): boolean {
    return this.settings.earth === 'removed' || this.shocks;
  }
  /** Somebody has felt it: whatever the cause, its earth is not what it should be. */
  get shocks(): boolean {
    return this.settings.earth === 'shocks';
  }
  get feed(): Feed {
    const own = this.settings.feed as Feed | undefined;
    // An active DI runs on its battery when its power switch says so.
    if (this.choice('power') === 'battery') return 'battery';
    return own ?? this.model.feeds[0];
  }
  get instrument(): InstrumentId {
    return (this.settings.instrument as InstrumentId | undefined) ?? this.model.signal?.instrument ?? 'programme';
  }
  get notes(): Notes {
    const notes = INSTRUMENTS[this.instrument];
    const coil = this.model.signal?.nature === 'coil' && this.model.ports[0].level === 'instrument';
    return coil && notes.reach > COIL_REACH ? { ...notes, reach: COIL_REACH } : notes;
  }
}
