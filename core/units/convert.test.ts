import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { convertedText } from '../words/converted';
import { convert } from './convert';
import { formatQuantity } from './format';
import { showLengthsIn } from './lengths';
import { parseQuantity } from './parse';

const figures = (text: string): Record<string, number> => {
  const made = convert(text);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return Object.fromEntries(made.converted.rows.map((r) => [r.figure, r.value]));
};
afterEach(() => showLengthsIn('m'));

describe('the converter', () => {
  it.each([
    ['3 V p-p', 'dBu', 2.73],
    ['3 V peak to peak', 'dBu', 2.73],
    ['3 volts peak-to-peak', 'volts', 1.0607],
    ['a 3 V rail', 'volts', 1.0607],
    ['3 V of rails', 'volts', 1.0607],
    ['2 V peak', 'volts', Math.SQRT2],
    ['−10 dBV', 'dBu', -7.782],
    ['+4 dBu', 'volts-peak-to-peak', 3.472],
    ['what is 0 dBu', 'volts', 0.7746],
    ['20 dB', 'voltage-ratio', 10],
    ['20 dB', 'power-ratio', 100],
    ['12:1', 'decibels', -21.58],
    ['12 to 1', 'impedance-ratio', 144],
    ['600 ohm into 10k', 'voltage-loss', 20 * Math.log10(10000 / 10600)],
    ['100 W into 8 ohm', 'volts', Math.sqrt(800)],
    ['50 ft', 'metres', 15.24],
    ['30 m', 'feet', 98.425],
    ['1 kHz', 'period', 1],
    ['100 Hz', 'wavelength', 3.432]
  ])('%s: %s', (text, figure, value) => expect(figures(text)[figure]).toBeCloseTo(value, 2));

  it('reads back what it writes of a level, in each of its units', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-4, max: 200, noNaN: true }), (volts) => {
        const made = convert(`${volts} V`);
        if (!made.ok) throw new Error('not read');
        for (const row of made.converted.rows) {
          const again = convert(convertedText(row));
          expect(again.ok && Math.abs(20 * Math.log10(again.converted.value / volts))).toBeLessThan(0.01);
        }
      })
    );
  });
  it('what is no quantity is refused with what would be one', () => {
    for (const text of ['', 'loud', '3 parrots', '600 ohm into', '5 W into 0 ohm', '-3 V p-p'])
      expect(convert(text).ok).toBe(false);
  });
});

describe('lengths in feet', () => {
  it('are shown and read in feet; what has to read back is exact in whichever unit', () => {
    showLengthsIn('ft');
    expect(formatQuantity('length', 30 * 0.3048)).toBe('30\u202Fft');
    expect(formatQuantity('length', 1)).toBe('3.3\u202Fft');
    expect(parseQuantity('length', '20')).toEqual({ ok: true, value: 20 * 0.3048 });
    expect(parseQuantity('length', '20 m')).toEqual({ ok: true, value: 20 });
    for (const metres of [20 * 0.3048, 3, 7.25]) {
      const read = parseQuantity('length', formatQuantity('length', metres, 'exact'));
      expect(read).toEqual({ ok: true, value: metres });
    }
    showLengthsIn('m');
    expect(parseQuantity('length', '20')).toEqual({ ok: true, value: 20 });
  });
});
