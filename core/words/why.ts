import { formatDb, formatNumber, formatQuantity } from '../units/format';
import type { FactName } from '../judge/facts';
import type { Fact, Finding } from '../judge/types';
import { sayingOf } from './findings';
import type { CableKindId } from '../gear/cables';
import type { HumKind } from '../rig/hum-domain';
import type { Room } from '../rig/audible';
import { CABLE_NAMES, HUM_NAMES, modelName, PLUG_NAMES, ROOM_NAMES } from './names';

/** How a number came about: the formula in words, what went in, what came out. */
export interface Why {
  readonly formula: string;
  readonly inputs: readonly { name: string; value: string }[];
  readonly result: string;
  readonly reason: string;
}

export function why(f: Finding): Why {
  const { formula, reason } = sayingOf(f);
  return {
    formula,
    inputs: f.because.flatMap((b) =>
      b.name === 'names' || b.name === 'rule' ? [] : [{ name: FACT_NAMES[b.name], value: factValue(b) }]
    ),
    result: result(f),
    reason: typeof reason === 'string' ? reason : reason(f)
  };
}

function result(f: Finding): string {
  const value =
    f.unit === 'none'
      ? 'yes or no'
      : f.unit === 'dB'
        ? formatDb(f.value)
        : f.unit === 'm'
          ? formatQuantity('length', f.value)
          : f.unit === 'Ω'
            ? formatQuantity('resistance', f.value)
            : f.unit === 'V' || f.unit === 'mA' || f.unit === 'h'
              ? `${formatNumber(f.value, 1)}\u202F${f.unit}`
              : `${formatNumber(f.value, f.unit === '×' ? 1 : 0)}${f.unit === '×' ? '×' : ''}`;
  if (f.limit === null || !Number.isFinite(f.limit)) return value;
  return `${value}, against ${formatNumber(f.limit, Number.isInteger(f.limit) ? 0 : 1)}${f.unit === '×' ? '×' : ` ${f.unit}`}`;
}

const FACT_NAMES: Readonly<Record<Exclude<FactName, 'names' | 'rule'>, string>> = {
  plug: 'plug',
  socket: 'socket',
  model: 'at',
  box: 'through',
  jack: 'jack on the way',
  input: 'into',
  source: 'source',
  remains: 'what remains',
  Rout: 'output resistance',
  metres: 'length',
  limit: 'limit',
  couplers: 'couplers',
  channel: 'channel',
  peak: 'peak',
  clip: 'clips at',
  lowest: 'lowest note',
  arrives: 'level at the input',
  working: 'working level',
  pad: 'pad',
  lively: 'less for lively peaks',
  gainMin: 'minimum gain',
  gainMax: 'maximum gain',
  zin: 'load',
  zinOneK: 'load at 1 kHz',
  zout: 'source',
  least: 'lowest ratio',
  leastAt: 'found at',
  loss: 'loss',
  at: 'at',
  lead: 'lead capacitance',
  low: 'lowest note',
  reach: 'overtones to',
  hum: 'hum',
  supplies: 'supplies in the loop',
  emf: 'voltage between earths',
  mains: 'mains',
  missing: 'missing',
  part: 'part',
  fault: 'fault',
  kind: 'cable',
  rail: 'supply rails, total',
  step: 'this step',
  before: 'step before',
  noise: 'noise, flat',
  weighted: 'noise, A-weighted',
  most: 'most of it from',
  share: 'its share',
  cut: 'low cut',
  rated: 'rated load',
  cause: 'mostly',
  adapters: 'fewest adapters',
  second: 'second contact',
  left: 'volts left',
  drawn: 'current',
  capacity: 'battery holds',
  third: 'third harmonic, about',
  heard: 'below what is heard by',
  room: 'played in'
};

function factValue({ kind, value, name }: Fact): string {
  if (typeof value === 'string') {
    if (name === 'plug' || name === 'socket') return PLUG_NAMES[value as keyof typeof PLUG_NAMES];
    if (name === 'second') return value;
    if (name === 'adapters') return value.split(' ').map(modelName).join(', ');
    if (name === 'cause') return HUM_NAMES[value as HumKind];
    if (name === 'room') return ROOM_NAMES[value as Room];
    return CABLE_NAMES[value as CableKindId] ?? modelName(value);
  }
  if (kind === 'dBu') return `${formatNumber(value, 1, true)}\u202FdBu`;
  if (kind === 'count') return formatNumber(value);
  if (kind === 'level') return `${formatNumber(20 * Math.log10(value / Math.sqrt(0.6)), 1, true)}\u202FdBu`;
  // What nobody hears is not written down to its last digit.
  if (kind === 'gain') return Math.abs(value) < 0.05 ? 'none' : formatDb(value);
  if (kind === 'ratio') return value < 0.01 ? 'under 0.01' : formatQuantity(kind, value, 3);
  if (kind === 'percent') return value < 0.1 ? `under 0.1\u202F%` : formatQuantity(kind, value, 2);
  return kind === 'id' ? String(value) : formatQuantity(kind, value);
}
