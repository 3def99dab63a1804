// Units: what people type for a quantity, and how it is shown back. Knows no circuit, no gear, no wording of findings.

/** Every kind of number a person may type. The core holds them all in SI base units, RMS for levels. */
export type Kind =
  | 'resistance'
  | 'capacitance'
  | 'inductance'
  | 'frequency'
  | 'length'
  | 'level'
  | 'voltage'
  | 'gain'
  | 'current'
  | 'power'
  | 'percent'
  | 'ratio'
  | 'area'
  | 'charge';

/** 0 dBu in volts RMS: 1 mW in 600 Ω, √0.6 V (IEC 60268-2). */
export const DBU_VOLTS = Math.sqrt(0.6);

/** Thin, unbreakable space put between a number and its unit. */
export const THIN = '\u202F';
/** The true minus sign. */
export const MINUS = '\u2212';

interface KindSpec {
  /** Unit sign as shown. */
  readonly unit: string;
  /** Other ways of writing the unit, lower case. */
  readonly aka: readonly string[];
  /** Prefixes chosen when showing a value, as powers of ten. */
  readonly shown: readonly number[];
  /** What a person is told to type. */
  readonly example: string;
}

export const KINDS: Readonly<Record<Kind, KindSpec>> = {
  resistance: {
    unit: 'Ω',
    aka: ['ohm', 'ohms', 'r', 'ω'],
    shown: [-3, 0, 3, 6, 9],
    example: '4k7, 600 Ω or 1 MΩ'
  },
  capacitance: { unit: 'F', aka: ['f', 'farad'], shown: [-12, -9, -6], example: '600 pF or 22 nF' },
  inductance: { unit: 'H', aka: ['h', 'henry'], shown: [-6, -3, 0], example: '2.5 H or 300 mH' },
  frequency: { unit: 'Hz', aka: ['hz', 'hertz'], shown: [0, 3], example: '80 Hz or 4 kHz' },
  length: { unit: 'm', aka: ['metre', 'metres', 'meter', 'meters'], shown: [0], example: '3 m or 20 ft' },
  level: { unit: 'V', aka: [], shown: [-6, -3, 0], example: '+4 dBu, −10 dBV, 1.2 V or 3 Vpp' },
  voltage: { unit: 'V', aka: ['v', 'volt', 'volts'], shown: [-6, -3, 0], example: '100 mV or 48 V' },
  gain: { unit: 'dB', aka: ['db'], shown: [0], example: '−20 dB' },
  current: { unit: 'A', aka: ['a', 'amp', 'amps'], shown: [-6, -3, 0], example: '4 mA' },
  power: { unit: 'W', aka: ['w', 'watt', 'watts'], shown: [-3, 0, 3], example: '100 W' },
  percent: { unit: '%', aka: ['percent'], shown: [0], example: '2 %' },
  ratio: { unit: '', aka: [], shown: [0], example: '10' },
  area: { unit: 'm²', aka: ['m2'], shown: [0], example: '0.01 m²' },
  charge: { unit: 'Ah', aka: ['ah'], shown: [-3, 0], example: '500 mAh' }
};

/** Volts RMS to dBu. Zero or less gives −∞. */
export const toDbu = (volts: number): number => (volts > 0 ? 20 * Math.log10(volts / DBU_VOLTS) : -Infinity);
/** dBu to volts RMS. */
export const fromDbu = (dbu: number): number => DBU_VOLTS * 10 ** (dbu / 20);
/** dBV to volts RMS. */
export const fromDbv = (dbv: number): number => 10 ** (dbv / 20);
/** Magnitude ratio to decibels. */
export const toDb = (ratio: number): number => (ratio > 0 ? 20 * Math.log10(ratio) : -Infinity);
