import type { ByHand, Figure, FigureName, KnobId, LessonId, Measure } from '../lessons/types';
import type { Kind } from '../units/quantity';
import { THIN } from '../units/quantity';
import { formatDb, formatDbu, formatHz, formatNumber, formatQuantity } from '../units/format';

/** Names of a lesson's knobs and figures, and its formula with the numbers in it. */

export const KNOB_NAMES: Readonly<Record<KnobId, string>> = {
  load: 'load',
  source: 'source impedance',
  lead: 'lead',
  run: 'cable run',
  level: 'average level',
  imbalance: 'leg imbalance of the input',
  turns: 'turns ratio',
  draw: 'current that the DI draws',
  supply: 'phantom voltage at the desk',
  emf: 'voltage between the earths',
  lift: 'ground',
  pad: 'pad',
  'own-noise': 'noise of the DI',
  'input-noise': 'noise of the input',
  pot: 'level turned to',
  trials: 'trials',
  right: 'right answers'
};

const FIGURE_NAMES: Readonly<Record<FigureName, string>> = {
  source: 'source',
  load: 'load',
  inductance: 'inductance',
  capacitance: 'capacitance',
  turns: 'turns',
  input: 'input',
  emf: 'between the earths',
  reference: 'hum at 1 V',
  peak: 'peaks',
  clip: 'clips at',
  volts: 'voltage',
  corner: 'corner',
  first: 'loudest',
  second: 'second',
  rest: 'all others',
  imbalance: 'imbalance',
  draw: 'draws',
  feed: 'phantom',
  out: 'source',
  pot: 'pot',
  dbu: 'in dBu',
  dbv: 'in dBV',
  dbfs: 'in dBFS, gain at minimum',
  hum: 'hum',
  below: 'hum below the signal',
  headroom: 'headroom',
  snr: 'S/N',
  gain: 'gain needed',
  arrives: 'level at the input',
  sees: 'source sees',
  quality: 'Q'
};
/** Figures that are called otherwise in one lesson. */
const OTHERWISE: Readonly<Partial<Record<LessonId, Partial<Record<FigureName, string>>>>> = {
  're-amping': { sees: 'amp sees as its source' },
  'stereo-mono': { gain: 'from source to input' }
};

/** What a lesson reads, in words. */
export const READS: Readonly<Record<LessonId, string>> = {
  bridging: 'lost by the load, at 1 kHz',
  pickups: 'resonance',
  piezo: 'bass is 3 dB down at',
  scales: 'level at the input',
  balance: 'common-mode rejection',
  transformer: 'the source sees, at 300 Hz',
  'active-passive': 'level at the input',
  phantom: 'volts left at the DI',
  'ground-loop': 'hum at the input',
  earth: 'hum below the signal',
  pads: 'headroom',
  'long-runs': '15 kHz against 1 kHz',
  noise: 'noise at the input',
  'stereo-mono': 'level at the input',
  're-amping': 'level at the amp',
  'fair-listening': 'by guessing, once in'
};
/** Where there is none. */
const NONE: Readonly<Partial<Record<LessonId, string>>> = {
  pickups: 'none left',
  piezo: 'below 20 Hz'
};

/** The formula of each lesson, in letters that its inputs explain. */
const FORMULAS: Readonly<Partial<Record<LessonId, string>>> = {
  bridging: '20 log (load ÷ (load + source))',
  pickups: '√(1 − 1 ÷ 2Q²) ÷ (2π √(inductance × capacitance))',
  piezo: '1 ÷ (2π × load × capacitance)',
  scales: '20 log (voltage ÷ 0.775 V)',
  balance: '20 log (load ÷ (source × imbalance))',
  transformer: 'turns² × (input + winding) + winding',
  phantom: 'phantom − draws × 6.81 kΩ ÷ 2',
  'ground-loop': 'hum at 1 V + 20 log (between the earths ÷ 1 V)',
  pads: 'clips at − peaks, at the tightest place',
  'long-runs': '−10 log (1 + (frequency ÷ corner)²), corner = 1 ÷ (2π × source ∥ load × capacitance)',
  noise: '10 log (sum of 10^(dBu ÷ 10))',
  're-amping': 'source + 20 log (pot)',
  'fair-listening': 'sum of n! ÷ (k! (n − k)!) ÷ 2ⁿ, from the right answers up'
};

const ratio = (value: number): string => formatNumber(value, Math.abs(value - Math.round(value)) < 1e-6 ? 0 : 1);

export function figureValue({ kind, value }: Figure): string {
  switch (kind) {
    case 'dB':
      return formatDb(value, Math.abs(value) < 20 ? 1 : 0);
    case 'dBu':
      return `${formatNumber(value, 1, true)}${THIN}dBu`;
    case 'volts':
      return formatQuantity('voltage', value, 3);
    case 'hertz':
      return formatHz(value);
    case 'ampere':
      return formatQuantity('current', value, 2);
    case 'ratio':
      return ratio(value);
    case 'level':
      return formatDbu(value, 1);
    default:
      return formatQuantity(kind, value, 3);
  }
}
export const figureName = (lesson: LessonId, name: FigureName): string =>
  OTHERWISE[lesson]?.[name] ?? FIGURE_NAMES[name];

/** What a lesson reads, with its unit. */
export function readingText(lesson: LessonId, measure: Measure, value: number): string {
  if (!Number.isFinite(value)) return NONE[lesson] ?? 'none';
  switch (measure) {
    case 'dB':
      return formatDb(value, Math.abs(value) < 20 ? 1 : 0);
    case 'dBu':
      return `${formatNumber(value, 1, true)}${THIN}dBu`;
    case 'Hz':
      return formatHz(value);
    case 'Ω':
      return formatQuantity('resistance', value, 3);
    case 'V':
      return formatQuantity('voltage', value, 3);
  }
}

/** A formula with its numbers beside it. */
export function formulaText(
  lesson: LessonId,
  measure: Measure,
  { inputs, result }: ByHand
): {
  readonly formula: string;
  readonly inputs: readonly (readonly [name: string, value: string])[];
  readonly result: string;
} {
  return {
    formula: FORMULAS[lesson] ?? '',
    inputs: inputs.map((f) => [figureName(lesson, f.name), figureValue(f)] as const),
    result: readingText(lesson, measure, result)
  };
}

/** What a knob is called; what stands behind a DI is no load of the source itself. */
export const knobName = (id: KnobId, behind: boolean): string =>
  behind ? `${KNOB_NAMES[id]} behind the DI` : KNOB_NAMES[id];

/** A knob's value as it stands. */
export function knobValue(id: KnobId, quantity: Kind | 'count' | 'none', value: number | string): string {
  if (typeof value === 'string') return SWITCHED[value] ?? (id === 'pad' ? `−${value} dB` : value);
  if (quantity === 'count') return formatNumber(value);
  if (quantity === 'level') return formatDbu(value, 1);
  if (quantity === 'ratio') return `${ratio(value)} : 1`;
  return quantity === 'none' ? String(value) : formatQuantity(quantity, value, 3);
}
const SWITCHED: Readonly<Record<string, string>> = { off: 'off', joined: 'joined', lifted: 'lifted' };
