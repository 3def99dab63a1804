// Words: every name and sentence a person reads. Computes nothing.
import type { CableKindId } from '../gear/cables';
import type { InstrumentId } from '../gear/instruments';
import type { Plug, Socket } from '../gear/sockets';
import type { Feed } from '../gear/types';
import type { Room } from '../rig/audible';
import type { HumKind } from '../rig/hum-domain';
import type { Wiring } from '../plan/schema';
import type { Check, Severity } from '../judge/types';

export { modelName, modelShort } from './models';

export const INSTRUMENT_NAMES: Readonly<Record<InstrumentId, string>> = {
  'upright-bass': 'upright bass',
  'bass-guitar': 'bass guitar',
  'five-string-bass': 'five-string bass',
  guitar: 'guitar',
  'acoustic-guitar': 'acoustic guitar',
  bouzouki: 'bouzouki',
  cello: 'cello',
  viola: 'viola',
  violin: 'violin',
  mandolin: 'mandolin',
  banjo: 'banjo',
  dulcimer: 'dulcimer',
  harp: 'harp',
  keys: 'keys',
  organ: 'organ',
  theremin: 'theremin',
  harmonica: 'harmonica',
  saxophone: 'saxophone',
  brass: 'brass',
  flute: 'flute',
  drums: 'drums',
  percussion: 'percussion',
  vocals: 'vocals',
  speech: 'speech',
  programme: 'programme'
};

export const CABLE_NAMES: Readonly<Record<CableKindId, string>> = {
  instrument: 'jack lead',
  rca: 'RCA lead',
  mini: '3.5 mm stereo lead',
  mic: 'microphone cable',
  'star-quad': 'star-quad cable',
  multicore: 'multicore pair',
  speaker: 'speaker cable'
};

export const PLUG_NAMES: Readonly<Record<Plug | Socket, string>> = {
  ts: 'mono jack',
  trs: 'balanced jack',
  mini: '3.5 mm stereo',
  xlr: 'XLR',
  rca: 'RCA',
  speaker: 'speaker connector',
  combo: 'combo',
  terminal: 'terminal'
};

const FEED_NAMES: Readonly<Record<Feed, string>> = {
  'mains-1': 'mains, earthed',
  'mains-2': 'two-pin mains or wall wart',
  battery: 'battery',
  phantom: 'phantom',
  supply: 'phantom from elsewhere',
  'plug-in': 'plug-in power',
  none: 'none'
};

/** Ways the mains gets in. */
export const HUM_NAMES: Readonly<Record<HumKind, string>> = {
  earths: 'voltage between mains earths',
  leak: 'two-pin leakage',
  electric: 'mains wiring nearby',
  winding: 'fields into coils',
  cable: 'fields along cables'
};

/** What is soldered at an end of a lead. */
const WIRING_NAMES: Readonly<Record<Wiring, string>> = {
  plain: 'as usual',
  'cold-open': 'pin 3 (ring) open',
  'cold-grounded': 'pin 3 (ring) grounded',
  'shield-open': 'shield open',
  swapped: 'hot and cold swapped'
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
  gainMin: 'Minimum gain',
  gainMax: 'Maximum gain',
  working: 'Working level',
  lowCut: 'Low cut set to',
  below: 'Line out below the speaker',
  mismatch: 'Leg imbalance',
  contact: 'Contact resistance',
  pad: 'Pad',
  lift: 'Ground',
  power: 'Power',
  phantom: 'Phantom',
  instrument: 'Plays',
  feed: 'Powered by',
  cShield: 'Core to shield, per metre',
  cCores: 'Core to core, per metre',
  rShield: 'Shield, per metre',
  rCore: 'Core, per metre',
  area: 'Pick-up area for fields',
  bare: 'Unshielded parts',
  rail: 'Supply rails, total',
  topology: 'Output stage',
  hiss: 'Own noise',
  watt: 'Power into its load',
  load: 'Rated load',
  bridged: 'Bridged',
  cabinet: 'Loudspeaker beside it',
  polarity: 'Polarity',
  liftC: 'Lift capacitor',
  battery: 'Battery voltage',
  capacity: 'Battery holds',
  cut: 'Low cut',
  thru: 'Thru',
  low: 'Bass control',
  high: 'Treble control',
  rated: 'Rated for',
  tap: 'Attenuation',
  voicing: 'Voicing',
  level: 'Level turned to',
  pot: 'Level pot',
  emulate: 'Pickup emulation',
  trim: 'Trim',
  ein: 'Input noise',
  phantomVolts: 'Phantom voltage',
  phantomMost: 'Phantom current limit',
  zinOther: 'Input impedance, other setting',
  clipOther: 'Clips at, other setting',
  gainMinOther: 'Minimum gain, other setting',
  gainMaxOther: 'Maximum gain, other setting',
  einOther: 'Input noise, other setting',
  mode: 'Input set to',
  plugIn: 'Plug-in power',
  earth: 'Protective earth',
  wiring: 'Wiring',
  own: 'Own model'
};
export const settingName = (id: string): string => SETTING_NAMES[id] ?? id;

/** Parts inside a device's network, as one would call them. */
const PART_NAMES: Readonly<Record<string, string>> = {
  element: 'capacitance of the element',
  coil: 'resistance of the coil',
  winding: 'inductance of the coil',
  self: 'capacitance of the coil',
  eddy: 'eddy loss',
  volume: 'volume pot',
  tone: 'tone pot',
  'tone-cap': 'tone capacitor',
  out: 'output resistance',
  'in-r': 'input resistance',
  'in-c': 'input capacitance',
  windings: 'turns ratio',
  primary: 'primary inductance',
  leakage: 'leakage inductance',
  'primary-r': 'primary winding',
  'secondary-r': 'secondary winding',
  'primary-c': 'primary capacitance',
  'pad-top': 'pad, series arm',
  'pad-foot': 'pad, foot',
  load: 'load',
  emf: 'gain'
};
export const partName = (part: string): string => PART_NAMES[part] ?? part.replaceAll('-', ' ');

/** How a switch position reads in a list or on a button. */
export function choiceName(setting: string, choice: string): string {
  if (setting === 'pad') return choice === 'off' ? 'off' : `−${choice}\u202FdB`;
  if (setting === 'tap') return `−${choice}\u202FdB`;
  if (setting === 'cut') return choice === 'off' ? 'off' : `${choice}\u202FHz`;
  if (setting === 'wiring') return WIRING_NAMES[choice as Wiring] ?? choice;
  if (setting === 'instrument') return INSTRUMENT_NAMES[choice as InstrumentId] ?? choice;
  if (setting === 'feed') return FEED_NAMES[choice as Feed] ?? choice;
  return choice;
}

/** Where a show is played. */
export const ROOM_NAMES: Readonly<Record<Room, string>> = {
  studio: 'a studio',
  theatre: 'a theatre',
  club: 'a club',
  outdoors: 'the open'
};

/** How exposed a line is in the mix. */
export const EXPOSURE_NAMES = { lead: 'exposed', normal: 'in the mix', buried: 'buried' } as const;

/** What is wanted of a source. */
export const WANT_NAMES = {
  direct: 'DI only',
  amp: 'the amp only',
  both: 'DI and amp',
  dry: 'a dry track for later'
} as const;

export const CONDITION_NAMES = { works: 'works', suspect: 'suspect', repair: 'in repair' } as const;

/** The output by which a branch leaves another line, short. */
export const branchShort = (model: string, port: string): string =>
  model.startsWith('y-') ? 'Y lead' : port === 'iso' ? 'Split' : model === 'speaker-in' ? 'Link' : 'Thru';
