import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatDb, formatDbu, formatNumber, formatQuantity } from './format';
import { parseQuantity } from './parse';
import { fromDbu, fromDbv, type Kind, KINDS, MINUS, THIN, toDbu } from './quantity';

const value = (kind: Kind, text: string): number => {
  const parsed = parseQuantity(kind, text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.error.code}`);
  return parsed.value;
};
const fault = (kind: Kind, text: string) => {
  const parsed = parseQuantity(kind, text);
  return parsed.ok ? `read as ${parsed.value}` : parsed.error;
};

describe('what people type', () => {
  it.each<[Kind, string, number]>([
    ['resistance', '4k7', 4700],
    ['resistance', '4R7', 4.7],
    ['resistance', '1M', 1e6],
    ['resistance', '10 Mohm', 10e6],
    ['resistance', '2.2 meg', 2.2e6],
    ['resistance', '600 Ω', 600],
    ['resistance', '30 mΩ', 0.03],
    ['resistance', '6,81 kΩ', 6810],
    ['capacitance', '600 pF', 600e-12],
    ['capacitance', '0.047uF', 47e-9],
    ['capacitance', '0,047 µF', 47e-9],
    ['capacitance', '4n7', 4.7e-9],
    ['capacitance', '120p', 120e-12],
    ['inductance', '2.5H', 2.5],
    ['inductance', '300 mH', 0.3],
    ['frequency', '4 kHz', 4000],
    ['length', '1.5 m', 1.5],
    ['length', '20 ft', 6.096],
    ['length', '60 cm', 0.6],
    ['gain', '−20 dB', -20],
    ['current', '4 mA', 0.004],
    ['percent', '2 %', 2]
  ])('%s %s', (kind, text, want) => expect(value(kind, text)).toBeCloseTo(want, 14));

  it('levels in every form meet at the same volts', () => {
    expect(value('level', '+4 dBu')).toBeCloseTo(1.2277, 4);
    expect(value('level', '-10dBV')).toBeCloseTo(0.31623, 5);
    expect(toDbu(value('level', '−10 dBV'))).toBeCloseTo(-7.78, 2);
    expect(value('level', '1.2 V')).toBe(1.2);
    expect(value('level', '775 mV')).toBe(0.775);
    expect(value('level', '3 Vpp')).toBeCloseTo(3 / 2 / Math.SQRT2, 12);
    expect(value('level', '1 Vp')).toBeCloseTo(Math.SQRT1_2, 12);
    expect(toDbu(fromDbv(0))).toBeCloseTo(2.218, 3);
  });

  it('says what was expected', () => {
    expect(fault('resistance', '')).toMatchObject({ code: 'empty', expected: KINDS.resistance.example });
    expect(fault('resistance', 'lots')).toMatchObject({ code: 'not-a-number' });
    expect(fault('resistance', '600 pF')).toMatchObject({ code: 'unknown-unit' });
    expect(fault('length', '3 kg')).toMatchObject({ code: 'unknown-unit' });
    expect(fault('resistance', '1,000')).toMatchObject({ code: 'ambiguous' });
    expect(fault('level', '-3 V')).toMatchObject({ code: 'not-a-number' });
  });
});

describe('how it is shown', () => {
  it('true minus, thin space, prefixes', () => {
    expect(formatQuantity('resistance', 4700)).toBe(`4.7${THIN}kΩ`);
    expect(formatQuantity('capacitance', 600e-12)).toBe(`600${THIN}pF`);
    expect(formatQuantity('gain', -20)).toBe(`${MINUS}20${THIN}dB`);
    expect(formatQuantity('resistance', 999999, 3)).toBe(`1${THIN}MΩ`);
    expect(formatQuantity('length', 6.096)).toBe(`6.1${THIN}m`);
    expect(formatDb(-0.04)).toBe(`0.0${THIN}dB`);
    expect(formatDbu(fromDbu(4))).toBe(`+4${THIN}dBu`);
    expect(formatNumber(-Infinity)).toBe(`${MINUS}∞`);
  });
});

const exactKinds = (Object.keys(KINDS) as Kind[]).filter((k) => k !== 'level');
const finite = fc.double({ min: 1e-13, max: 1e12, noNaN: true });

describe('parse and format belong together', () => {
  it('what is shown exactly reads back as the very same number', () =>
    fc.assert(
      fc.property(fc.constantFrom(...exactKinds), finite, fc.boolean(), (kind, x, negative) => {
        const v = negative ? -x : x;
        expect(value(kind, formatQuantity(kind, v, 'exact'))).toBe(v);
      }),
      { numRuns: 2000 }
    ));
  it('what is shown rounded reads back to that many digits', () =>
    fc.assert(
      fc.property(fc.constantFrom(...exactKinds), finite, fc.integer({ min: 1, max: 8 }), (kind, v, digits) => {
        expect(Math.abs(value(kind, formatQuantity(kind, v, digits)) / v - 1)).toBeLessThanOrEqual(
          0.5000001 * 10 ** (1 - digits)
        );
      })
    ));
  it('levels survive the way through dBu', () =>
    fc.assert(
      fc.property(fc.double({ min: -120, max: 40, noNaN: true }), (dbu) => {
        expect(toDbu(value('level', `${formatNumber(dbu, 6)} dBu`))).toBeCloseTo(dbu, 5);
      })
    ));
  it('any text gives a number or a reason, never an exception', () =>
    fc.assert(
      fc.property(fc.constantFrom(...(Object.keys(KINDS) as Kind[])), fc.string(), (kind, text) => {
        const parsed = parseQuantity(kind, text);
        expect(parsed.ok ? Number.isFinite(parsed.value) : parsed.error.expected.length > 0).toBe(true);
      })
    ));
});
