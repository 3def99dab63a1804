import { convert, type Figure } from '../core/units/convert';
import { type Kind, KINDS } from '../core/units/quantity';
import { convertedText } from '../core/words/converted';
import { unitFaultText } from '../core/words/faults';
import { Wrong } from './inputs';

/** Figures of a level, by what scripts call them. */
const LEVEL: Readonly<Partial<Record<Figure, string>>> = {
  dBu: 'dBu',
  dBV: 'dBV',
  volts: 'volt',
  'volts-peak': 'peak',
  'volts-peak-to-peak': 'peakToPeak'
};

/** Reads a quantity and tells it in the other units that people meet it in. */
export function unit(text: string, asked?: string): { data: unknown; text: string } {
  if (asked !== undefined && !(asked in KINDS))
    throw new Wrong(`${asked} is not a kind of quantity: ${Object.keys(KINDS).join(', ')}`);
  const made = convert(text, asked as Kind | undefined);
  if (!made.ok) throw new Wrong(unitFaultText(made.error));
  const { kind, value, rows } = made.converted;
  const level = rows.flatMap((r) => (kind === 'level' && LEVEL[r.figure] ? [[LEVEL[r.figure], r.value]] : []));
  return {
    data: {
      kind,
      value,
      unit: kind in KINDS ? KINDS[kind as Kind].unit : '',
      ...Object.fromEntries(level),
      rows
    },
    text: rows.map(convertedText).join(' = ')
  };
}
