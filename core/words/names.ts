// Words: every name and sentence a person reads. Computes nothing.
import type { CableKindId } from '../gear/cables';
import type { InstrumentId } from '../gear/instruments';
import type { Plug, Socket } from '../gear/sockets';
import type { Feed } from '../gear/types';
import type { Check, Severity } from '../judge/types';

/** Full name of a model in running text, and the short one on a strip. */
const MODEL_NAMES: Readonly<Record<string, readonly [string, string]>> = {
  'single-coil': ['single-coil pickup', 'Single coil'],
  humbucker: ['humbucker', 'Humbucker'],
  'passive-bass': ['passive bass pickup', 'Passive bass'],
  piezo: ['piezo with no preamp', 'Piezo, no preamp'],
  'active-bass': ['active bass', 'Active bass'],
  keyboard: ['unbalanced line output', 'Line, unbalanced'],
  modular: ['hot line output', 'Line, hot'],
  'consumer-player': ['consumer line output', 'Player, RCA'],
  headphone: ['headphone jack', 'Headphone jack'],
  'pro-line': ['professional line output', 'Line, balanced'],
  'dynamic-mic': ['dynamic microphone', 'Dynamic mic'],
  'passive-box': ['passive box', 'Passive box'],
  'passive-economy': ['economy passive box', 'Passive, economy'],
  'active-box': ['active box, 1 MΩ', 'Active box 1 MΩ'],
  'active-box-10m': ['active box, 10 MΩ', 'Active box 10 MΩ'],
  'media-box': ['passive media box, stereo to mono', 'Media box'],
  'mic-in': ['microphone input', 'Mic'],
  'line-in': ['line input', 'Line'],
  'instrument-in': ['instrument input', 'Instrument'],
  'consumer-in': ['consumer line input', 'Line, RCA'],
  resistor: ['plain resistor', 'Resistor'],
  'jack-to-xlr': ['jack-to-XLR adapter', 'Jack to XLR'],
  coupler: ['jack coupler', 'Coupler']
};
export const modelName = (id: string): string => MODEL_NAMES[id]?.[0] ?? id;
export const modelShort = (id: string): string => MODEL_NAMES[id]?.[1] ?? id;

export const INSTRUMENT_NAMES: Readonly<Record<InstrumentId, string>> = {
  'upright-bass': 'upright bass',
  'bass-guitar': 'bass guitar',
  'five-string-bass': 'five-string bass',
  guitar: 'guitar',
  bouzouki: 'bouzouki',
  cello: 'cello',
  violin: 'violin',
  mandolin: 'mandolin',
  banjo: 'banjo',
  dulcimer: 'dulcimer',
  harp: 'harp',
  keys: 'keys',
  organ: 'organ',
  theremin: 'theremin',
  speech: 'speech',
  programme: 'programme'
};

export const CABLE_NAMES: Readonly<Record<CableKindId, string>> = {
  instrument: 'jack lead',
  rca: 'RCA lead',
  mini: '3.5 mm stereo lead',
  mic: 'microphone cable',
  multicore: 'multicore pair'
};

export const PLUG_NAMES: Readonly<Record<Plug | Socket, string>> = {
  ts: 'mono jack',
  trs: 'balanced jack',
  mini: '3.5 mm stereo',
  xlr: 'XLR',
  rca: 'RCA',
  terminal: 'terminal'
};

const FEED_NAMES: Readonly<Record<Feed, string>> = {
  'mains-1': 'mains, earthed',
  'mains-2': 'two-pin or wall-wart',
  battery: 'battery',
  phantom: 'phantom',
  none: 'none'
};

export const SEVERITY_NAMES: Readonly<Record<Severity, string>> = {
  clean: 'clean',
  note: 'note',
  care: 'care',
  stop: 'stop',
  danger: 'danger'
};

export const CHECK_NAMES: Readonly<Record<Check, string>> = {
  connector: 'Connector',
  balance: 'Balance',
  level: 'Level',
  impedance: 'Impedance',
  ground: 'Ground'
};

/** A setting's name as a label, and what its positions are called where the position is not its own name. */
const SETTING_NAMES: Readonly<Record<string, string>> = {
  nominal: 'Average level',
  crest: 'Crest factor',
  R: 'Resistance',
  L: 'Inductance',
  C: 'Capacitance',
  loss: 'Eddy loss',
  eddy: 'Eddy loss counted',
  volume: 'Volume pot',
  tone: 'Tone pot',
  toneCap: 'Tone capacitor',
  turn: 'Volume turned to',
  bright: 'Tone turned to',
  clip: 'Clips at',
  ratio: 'Turns ratio',
  Lp: 'Primary inductance',
  leakage: 'Leakage inductance',
  Rp: 'Primary winding',
  Rs: 'Secondary winding',
  Cp: 'Primary capacitance',
  Ciw: 'Between windings',
  saturation: 'Saturates at 20 Hz',
  padOhm: 'Pad resistance',
  merge: 'Merge resistors',
  zin: 'Input impedance',
  Cin: 'Input capacitance',
  gain: 'Gain',
  zout: 'Output impedance',
  draw: 'Phantom current',
  regulator: 'Rail regulator',
  gainMin: 'Least gain',
  gainMax: 'Most gain',
  working: 'Working level',
  mismatch: 'Leg mismatch',
  contact: 'Contact resistance',
  pad: 'Pad',
  lift: 'Ground',
  power: 'Power',
  phantom: 'Phantom',
  instrument: 'Plays',
  feed: 'Fed by',
  cShield: 'Core to shield, per metre',
  cCores: 'Core to core, per metre',
  rShield: 'Shield, per metre',
  rCore: 'Core, per metre'
};
export const settingName = (id: string): string => SETTING_NAMES[id] ?? id;

/** How a switch position reads in a list or on a button. */
export function choiceName(setting: string, choice: string): string {
  if (setting === 'pad') return choice === 'off' ? 'off' : `−${choice}\u202FdB`;
  if (setting === 'instrument') return INSTRUMENT_NAMES[choice as InstrumentId] ?? choice;
  if (setting === 'feed') return FEED_NAMES[choice as Feed] ?? choice;
  return choice;
}
