import { formatDb, formatNumber, formatQuantity } from './format';
import { FOOT } from './lengths';
import { guessKind, parseQuantity, type UnitError } from './parse';
import { type Kind, KINDS, THIN, toDb, toDbu } from './quantity';

/** One quantity in all the units that people meet it in; and what two of them make together. */

/** What a figure is: told by key, so that every place words it alike. */
export type Figure =
  | 'dBu'
  | 'dBV'
  | 'volts'
  | 'volts-peak'
  | 'volts-peak-to-peak'
  | 'value'
  | 'metres'
  | 'feet'
  | 'voltage-ratio'
  | 'power-ratio'
  | 'decibels'
  | 'impedance-ratio'
  | 'voltage-loss'
  | 'amperes'
  | 'period'
  | 'wavelength';

export interface Converted {
  readonly kind: Kind | 'divider' | 'speaker' | 'turns';
  /** SI base units; volts RMS of a level. */
  readonly value: number;
  readonly rows: readonly { readonly figure: Figure; readonly text: string; readonly value: number }[];
}
export type Conversion = { ok: true; converted: Converted } | { ok: false; error: UnitError };

type Rows = Converted['rows'];
const row = (figure: Figure, value: number, text: string): Rows[number] => ({ figure, value, text });

/** Speed of sound at 20 °C, metres a second (ISO 9613-1). */
const SOUND = 343.2;

/**
 * Reads a quantity, or two that belong together, and tells it in other units.
 * @param text `3 V p-p`, `−10 dBV`, `a 3 V rail`, `30 m`, `20 dB`, `10:1`, `600 ohm into 10k`, `100 W into 8 ohm`
 * @param asked a kind where the unit does not tell it
 */
export function convert(text: string, asked?: Kind): Conversion {
  const clean = text
    .trim()
    .replace(/^(?:what(?:'s| is)|how much is|a|an|the)\s+/i, '')
    .replace(/\s*(?:=|\?|in other units).*$/i, '');
  const pair = /^(.+?)\s+(?:into|on|in|over)\s+(.+)$/i.exec(clean);
  if (pair && !asked) return together(pair[1], pair[2]);
  const turns = /^(\d+(?:[.,]\d+)?)\s*(?::|to)\s*(\d+(?:[.,]\d+)?)$/i.exec(clean);
  if (turns && !asked) {
    const ratio = Number(turns[1].replace(',', '.')) / Number(turns[2].replace(',', '.'));
    if (ratio > 0 && Number.isFinite(ratio)) return { ok: true, converted: ofTurns(ratio) };
  }
  const kind = asked ?? guessKind(clean);
  const parsed = parseQuantity(kind, clean);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  return { ok: true, converted: { kind, value, rows: rowsOf(kind, value) } };
}

function rowsOf(kind: Kind, value: number): Rows {
  const plain = row('value', value, formatQuantity(kind, value, 6));
  switch (kind) {
    case 'level':
    case 'voltage':
      return levels(value);
    case 'length':
      return [
        row('metres', value, `${formatNumber(value, value < 10 ? 2 : 1)}${THIN}m`),
        row('feet', value / FOOT, `${formatNumber(value / FOOT, 1)}${THIN}ft`)
      ];
    case 'gain':
      return [
        row('decibels', value, formatDb(value)),
        row('voltage-ratio', 10 ** (value / 20), `${significant(10 ** (value / 20))}${THIN}×`),
        row('power-ratio', 10 ** (value / 10), `${significant(10 ** (value / 10))}${THIN}×`)
      ];
    case 'frequency':
      return [
        plain,
        ...(value > 0
          ? [
              row('period', 1000 / value, `${significant(1000 / value)}${THIN}ms`),
              row('wavelength', SOUND / value, formatQuantity('length', SOUND / value))
            ]
          : [])
      ];
    default:
      return [plain];
  }
}

function levels(volts: number): Rows {
  const db = (x: number): string => (Number.isFinite(x) ? formatNumber(x, 2, true) : '−∞');
  // Of one volt, by its name.
  const dbv = toDb(volts);
  return [
    row('dBu', toDbu(volts), `${db(toDbu(volts))}${THIN}dBu`),
    row('dBV', dbv, `${db(dbv)}${THIN}dBV`),
    row('volts', volts, formatQuantity('voltage', volts, 4)),
    row('volts-peak', volts * Math.SQRT2, formatQuantity('voltage', volts * Math.SQRT2, 4)),
    row('volts-peak-to-peak', volts * 2 * Math.SQRT2, formatQuantity('voltage', volts * 2 * Math.SQRT2, 4))
  ];
}

const ofTurns = (ratio: number): Converted => ({
  kind: 'turns',
  value: ratio,
  rows: [
    row('decibels', toDb(1 / ratio), formatDb(toDb(1 / ratio))),
    row('impedance-ratio', ratio * ratio, `${significant(ratio * ratio)}${THIN}:${THIN}1`)
  ]
});

/** A source into a load: what of its voltage is left. Power into a load: the voltage that it takes. */
function together(first: string, second: string): Conversion {
  const load = parseQuantity('resistance', second);
  if (!load.ok) return load;
  const kind = guessKind(first);
  const parsed = parseQuantity(kind, first);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  const fail = (code: UnitError['code'], got: string, of: Kind): Conversion => ({
    ok: false,
    error: { code, got, kind: of, expected: KINDS[of].example }
  });
  if (!(load.value > 0)) return fail('not-a-number', second, 'resistance');
  if (kind === 'power') {
    if (value < 0) return fail('not-a-number', first, 'power');
    const volts = Math.sqrt(value * load.value);
    return {
      ok: true,
      converted: { kind: 'speaker', value: volts, rows: [...levels(volts), amperes(volts / load.value)] }
    };
  }
  if (kind === 'level' || kind === 'voltage')
    return { ok: true, converted: { kind: 'speaker', value, rows: [...levels(value), amperes(value / load.value)] } };
  if (kind !== 'resistance') return fail('unknown-unit', first, 'resistance');
  if (value < 0) return fail('not-a-number', first, 'resistance');
  const left = load.value / (load.value + value);
  return {
    ok: true,
    converted: {
      kind: 'divider',
      value: left,
      rows: [
        row('voltage-loss', toDb(left), formatDb(toDb(left))),
        ...(value > 0 ? [row('impedance-ratio', load.value / value, `${significant(load.value / value)}${THIN}×`)] : [])
      ]
    }
  };
}
const amperes = (value: number) => row('amperes', value, formatQuantity('current', value));

/** Three figures that count, without an exponent. */
const significant = (value: number): string =>
  value === 0 ? '0' : formatNumber(value, Math.max(0, Math.min(9, 2 - Math.floor(Math.log10(Math.abs(value))))));
