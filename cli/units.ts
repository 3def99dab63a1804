import { formatNumber, formatQuantity } from '../core/units/format';
import { guessKind, parseQuantity } from '../core/units/parse';
import { DBU_VOLTS, type Kind, KINDS, toDbu } from '../core/units/quantity';
import { unitFaultText } from '../core/words/faults';
import { Wrong } from './inputs';

/** Reads a quantity and tells it in SI base units; a level in all the units that people find it in. */
export function unit(text: string, asked?: string): { data: unknown; text: string } {
  if (asked !== undefined && !(asked in KINDS))
    throw new Wrong(`${asked} is not a kind of quantity: ${Object.keys(KINDS).join(', ')}`);
  const kind = (asked as Kind | undefined) ?? guessKind(text);
  const parsed = parseQuantity(kind, text);
  if (!parsed.ok) throw new Wrong(unitFaultText(parsed.error));
  const { value } = parsed;
  const plain = formatQuantity(kind, value, 6);
  if (kind !== 'level') return { data: { kind, value, unit: KINDS[kind].unit }, text: plain };
  const levels = {
    dBu: toDbu(value),
    dBV: toDbu(value) + 20 * Math.log10(DBU_VOLTS),
    volt: value,
    peak: value * Math.SQRT2,
    peakToPeak: value * 2 * Math.SQRT2
  };
  const db = (x: number): string => (Number.isFinite(x) ? formatNumber(x, 2, true) : '−∞');
  return {
    data: { kind, value, unit: 'V', ...levels },
    text: `${db(levels.dBu)} dBu = ${db(levels.dBV)} dBV = ${formatQuantity('voltage', value, 4)} RMS = ${formatQuantity('voltage', levels.peakToPeak, 4)} peak to peak`
  };
}
