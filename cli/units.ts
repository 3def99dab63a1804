import { convert } from '../core/units/convert';
import { type Kind, KINDS } from '../core/units/quantity';
import { convertedText } from '../core/words/converted';
import { unitFaultText } from '../core/words/faults';
import { Wrong } from './inputs';

/** Reads a quantity and tells it in the other units that people meet it in. */
export function unit(text: string, asked?: string): { data: unknown; text: string } {
  if (asked !== undefined && !(asked in KINDS))
    throw new Wrong(`${asked} is not a kind of quantity: ${Object.keys(KINDS).join(', ')}`);
  const made = convert(text, asked as Kind | undefined);
  if (!made.ok) throw new Wrong(unitFaultText(made.error));
  const { kind, value, rows } = made.converted;
  const level = kind === 'level' ? { dBu: 0, dBV: 0, volt: value, peak: 0, peakToPeak: 0 } : undefined;
  const figure = (name: string): number => rows.find((r) => r.figure === name)?.value ?? NaN;
  return {
    data: {
      kind,
      value,
      unit: kind in KINDS ? KINDS[kind as Kind].unit : '',
      ...(level && {
        ...level,
        dBu: figure('dBu'),
        dBV: figure('dBV'),
        peak: figure('volts-peak'),
        peakToPeak: figure('volts-peak-to-peak')
      }),
      rows: rows.map(({ figure, value, text }) => ({ figure, value, text }))
    },
    text: rows.map(convertedText).join(' = ')
  };
}
