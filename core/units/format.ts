import { FOOT, lengthsIn } from './lengths';
import { type Kind, KINDS, MINUS, THIN, toDbu } from './quantity';

const PREFIX_SIGN: Readonly<Record<number, string>> = {
  [-12]: 'p',
  [-9]: 'n',
  [-6]: 'µ',
  [-3]: 'm',
  0: '',
  3: 'k',
  6: 'M',
  9: 'G'
};

/**
 * Shows a quantity with prefix, thin space and true minus.
 * @param kind decides unit and prefixes
 * @param value SI base units (volts RMS, dB, metres …)
 * @param digits significant digits, or 'exact' for the shortest text that reads back as the same number
 */
export function formatQuantity(kind: Kind, value: number, digits: number | 'exact' = 3): string {
  const { unit, shown } = KINDS[kind];
  if (!Number.isFinite(value)) return infinite(value, unit);
  if (kind === 'length' && lengthsIn() === 'ft') {
    const feet = inFeet(value, digits);
    if (feet !== null) return feet;
  }
  const exponential = digits === 'exact' ? value.toExponential() : value.toExponential(digits - 1);
  const [mantissa, exponentText] = exponential.split('e');
  const exponent = Number(exponentText);
  const prefix = value === 0 ? 0 : pickPrefix(exponent, shown);
  const sign = mantissa.startsWith('-') ? MINUS : '';
  const body = shift(mantissa.replace('-', ''), exponent - prefix);
  const suffix = `${PREFIX_SIGN[prefix]}${unit}`;
  return `${sign}${body}${suffix === '' ? '' : THIN + suffix}`;
}

/** A length in feet, to a tenth below ten; null where it has to read back exactly and feet would not. */
function inFeet(metres: number, digits: number | 'exact'): string | null {
  const feet = metres / FOOT;
  if (digits !== 'exact') return `${Number(feet.toFixed(Math.abs(feet) < 10 ? 1 : 0))}${THIN}ft`.replace('-', MINUS);
  const text = String(Number(feet.toPrecision(6)));
  return Number(text) * FOOT === metres ? `${text}${THIN}ft` : null;
}

function infinite(value: number, unit: string): string {
  if (Number.isNaN(value)) return '–';
  return `${value < 0 ? MINUS : ''}∞${unit === '' ? '' : THIN + unit}`;
}

function pickPrefix(exponent: number, shown: readonly number[]): number {
  const fitting = shown.filter((p) => p <= exponent);
  return fitting.length > 0 ? fitting[fitting.length - 1] : shown[0];
}

/** Moves the decimal point of a plain digit string; drops trailing zeros behind the point. */
function shift(mantissa: string, by: number): string {
  const [whole, fraction = ''] = mantissa.split('.');
  const all = whole + fraction;
  const point = whole.length + by;
  const padded = point <= 0 ? '0'.repeat(1 - point) + all : all.padEnd(point, '0');
  const at = Math.max(point, 1);
  const head = padded.slice(0, at);
  const tail = padded.slice(at).replace(/0+$/, '');
  return tail === '' ? head : `${head}.${tail}`;
}

/** A number with a fixed count of decimals, true minus, no −0. */
export function formatNumber(value: number, decimals = 0, plus = false): string {
  if (!Number.isFinite(value)) return infinite(value, '');
  const text = Math.abs(value).toFixed(decimals);
  const zero = Number(text) === 0;
  const sign = zero ? '' : value < 0 ? MINUS : plus ? '+' : '';
  return sign + text;
}

/** Decibels, e.g. `−19.4 dB`. */
export const formatDb = (value: number, decimals = 1, plus = false): string =>
  `${formatNumber(value, decimals, plus)}${THIN}dB`;

/** A level in dBu from volts RMS, e.g. `+4 dBu`. */
export const formatDbu = (volts: number, decimals = 0): string =>
  `${formatNumber(toDbu(volts), decimals, true)}${THIN}dBu`;

/** A frequency as people say it: `82 Hz`, `1.2 kHz`. */
export const formatHz = (hz: number): string => formatQuantity('frequency', hz, hz < 1000 ? 3 : 2);
