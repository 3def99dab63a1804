import { FOOT, lengthsIn } from './lengths';
import { type Kind, DBU_VOLTS, KINDS } from './quantity';

export interface UnitError {
  readonly code: 'empty' | 'not-a-number' | 'unknown-unit' | 'ambiguous';
  /** The text as typed. */
  readonly got: string;
  readonly kind: Kind;
  /** What may be typed instead. */
  readonly expected: string;
}
export type Parsed = { ok: true; value: number } | { ok: false; error: UnitError };

/** Powers of ten by prefix letter. Lower-case m is milli, upper-case M is mega: a resistor of 1 m and one of 1 M both exist. */
const PREFIX: Readonly<Record<string, number>> = {
  p: -12,
  P: -12,
  n: -9,
  N: -9,
  u: -6,
  U: -6,
  µ: -6,
  μ: -6,
  m: -3,
  '': 0,
  k: 3,
  K: 3,
  M: 6,
  meg: 6,
  Meg: 6,
  G: 9
};

/** Lengths by unit name, in metres (international foot and inch, ISO 80000-3). */
const LENGTHS: Readonly<Record<string, number>> = {
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  cm: 0.01,
  mm: 0.001,
  km: 1000,
  ft: FOOT,
  foot: FOOT,
  feet: FOOT,
  "'": FOOT,
  in: 0.0254,
  inch: 0.0254,
  '"': 0.0254
};

/** Volts RMS for one of the unit; peak and peak-to-peak as of a sine. */
const VOLTS: Readonly<Record<string, number>> = {
  v: 1,
  vrms: 1,
  vp: Math.SQRT1_2,
  vpk: Math.SQRT1_2,
  vpeak: Math.SQRT1_2,
  vpp: Math.SQRT1_2 / 2,
  // What fits between rails so far apart.
  vrail: Math.SQRT1_2 / 2
};

/**
 * Reads a quantity as a person types it.
 * @param kind what is expected; decides the unit and the prefixes
 * @param text e.g. `4k7`, `0,047uF`, `−10 dBV`, `20 ft`
 * @returns the value in SI base units (volts RMS for levels, dB for gains), or what was expected
 */
export function parseQuantity(kind: Kind, text: string): Parsed {
  const fail = (code: UnitError['code']): Parsed => ({
    ok: false,
    error: { code, got: text, kind, expected: KINDS[kind].example }
  });
  const clean = text
    .replace(/[\u2009\u202F\u00A0]/g, ' ')
    .replace(/\u2212/g, '-')
    .trim();
  if (clean === '') return fail('empty');

  const infix = /^([+-]?\d+)(R|p|n|u|µ|μ|m|k|K|M|G)(\d+)\s*(.*)$/.exec(clean);
  if (infix && kind !== 'level' && kind !== 'length' && kind !== 'gain') {
    const [, whole, letter, rest, unit] = infix;
    if (!isUnit(kind, unit)) return fail('unknown-unit');
    return finite(`${whole}.${rest}e${letter === 'R' ? 0 : PREFIX[letter]}`, fail);
  }

  const plain = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?)\s*(.*)$/i.exec(clean);
  if (!plain) return fail('not-a-number');
  const [, digits, tail] = plain;
  // 1,000 could be one or a thousand; 0,047 and 1,5 could not.
  if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(digits)) return fail('ambiguous');
  const number = digits.replace(',', '.');
  const unit = tail.trim();

  switch (kind) {
    case 'length': {
      const metres = LENGTHS[unit.toLowerCase() || lengthsIn()];
      if (metres === undefined) return fail('unknown-unit');
      return metres === 1 ? finite(number, fail) : scaled(Number(number), metres, fail);
    }
    case 'level':
      return level(number, unit, fail);
    case 'gain':
      return unit === '' || unit.toLowerCase() === 'db' ? finite(number, fail) : fail('unknown-unit');
    case 'percent':
      return unit === '' || unit === '%' || unit.toLowerCase() === 'percent'
        ? finite(number, fail)
        : fail('unknown-unit');
    case 'ratio':
      return unit === '' || unit === '×' || unit === 'x' || unit === ':1' ? finite(number, fail) : fail('unknown-unit');
    default: {
      const exponent = prefixed(kind, unit);
      return exponent === undefined ? fail('unknown-unit') : finite(withExponent(number, exponent), fail);
    }
  }
}

type Fail = (code: UnitError['code']) => Parsed;

function finite(text: string, fail: Fail): Parsed {
  const value = Number(text);
  return Number.isFinite(value) ? { ok: true, value } : fail('not-a-number');
}

function scaled(a: number, b: number, fail: Fail): Parsed {
  return Number.isFinite(a * b) ? { ok: true, value: a * b } : fail('not-a-number');
}

/** Shifts the decimal exponent in the text, so that 4.7k is exactly 4700 and not a rounded product. */
function withExponent(number: string, exponent: number): string {
  const [mantissa, own = '0'] = number.toLowerCase().split('e');
  return `${mantissa}e${Number(own) + exponent}`;
}

function isUnit(kind: Kind, unit: string): boolean {
  return unit === '' || unit === KINDS[kind].unit || KINDS[kind].aka.includes(unit.toLowerCase());
}

function prefixed(kind: Kind, unit: string): number | undefined {
  const { unit: sign, aka } = KINDS[kind];
  const lower = unit.toLowerCase();
  const ending = [sign, ...aka].sort((a, b) => b.length - a.length).find((name) => lower.endsWith(name.toLowerCase()));
  const head = ending === undefined ? unit : unit.slice(0, unit.length - ending.length).trim();
  return head in PREFIX ? PREFIX[head] : undefined;
}

/** How people write out what a voltage is of. */
const asLevelUnit = (unit: string): string =>
  unit
    .toLowerCase()
    .replace(/peak[\s-]*to[\s-]*peak|pk[\s-]*pk|p\s*-\s*p/, 'pp')
    .replace(/\bvolts?\b/, 'v')
    .replace(/\b(?:of )?rails?(?: to rail)?\b|\bsupply\b/, 'rail')
    .replace(/\s+/g, ' ')
    .trim();

function level(number: string, unit: string, fail: Fail): Parsed {
  const lower = asLevelUnit(unit);
  const value = Number(number);
  if (lower === 'dbu' || lower === '') return scaled(DBU_VOLTS, 10 ** (value / 20), fail);
  if (lower === 'dbv') return scaled(1, 10 ** (value / 20), fail);
  const match = /^(u|µ|μ|m|)(v|vrms|vp|vpk|vpeak|vpp|v rms|v pp|v p|v pk|v peak|v rail)$/.exec(lower);
  if (!match || value < 0) return fail(match ? 'not-a-number' : 'unknown-unit');
  const volts = VOLTS[match[2].replace(' ', '')];
  const text = withExponent(number, PREFIX[match[1]]);
  return volts === 1 ? finite(text, fail) : scaled(Number(text), volts, fail);
}

/** What a text is most likely meant as, by its unit; a bare number or prefix is a resistance, as on a part. */
export function guessKind(text: string): Kind {
  const clean = text.trim();
  return GUESSES.find(([pattern]) => pattern.test(clean) || pattern.test(asLevelUnit(clean)))?.[1] ?? 'resistance';
}
const GUESSES: readonly (readonly [RegExp, Kind])[] = [
  [/(dbu|dbv|v ?(rms|pp|pk?|peak|rail)?)$/i, 'level'],
  [/db$/i, 'gain'],
  [/hz$|hertz$/i, 'frequency'],
  [/mAh$|Ah$/i, 'charge'],
  [/(m²|m2)$/i, 'area'],
  [/F$|farad$|\d\s*[pnuµμ]\d*$/i, 'capacitance'],
  [/H$|henry$/i, 'inductance'],
  [/W$|watts?$/i, 'power'],
  [/A$|amps?$/, 'current'],
  [/%$|percent$/i, 'percent'],
  [/\d\s*(m|metres?|meters?|cm|mm|km|ft|foot|feet|in|inch|'|")$/, 'length']
];
