import { parseQuantity } from '../../units/parse';
import { channelsOf, type Piece, type Read } from './pieces';
import {
  LENGTH,
  OHM,
  BARE_48,
  BARE_M,
  LEVEL,
  BARE_LEVEL,
  PHANTOM,
  PHANTOM_ELSEWHERE,
  PHANTOM_VOLTS,
  AMP_OFF,
  CUT,
  CUT_AT,
  CUT_OUT,
  INLINE,
  PAD,
  PAD_OUT,
  CABINET,
  CABINET_TAPPED,
  SPEAKER_DI,
  JOINED,
  LIFT,
  POLARITY,
  EARTH_GONE,
  SHOCK,
  BATTERY_LOW,
  THROUGH,
  ON_BATTERY,
  ON_MAINS,
  NO_CABINET,
  VOLTS,
  SWAPPED,
  PIN_THREE,
  CONTACT_GONE,
  ELSEWHERE,
  FARAD,
  SPL,
  WATT,
  SENSITIVITY,
  DISTANCE,
  GAIN,
  NOT,
  MISSED,
  SIDES,
  TIMES,
  RATIO,
  UP,
  UP_TO,
  UP_TO_KIND,
  DOWN,
  DB,
  FIVE,
  JACK,
  MINI,
  LETTERED,
  NEXT,
  RANGE,
  RANGE_OUT,
  RANGE_WITHIN,
  HASH,
  OUTPUT_WORD
} from './signs';
import { phraseAt } from './words';

/** What is said by figures or by a sign of its own, at a place of a text. */

/** A place in what was typed, with the pieces before it. */
export interface Place {
  /** In lower case, without accents; as long as `text`. */
  readonly lower: string;
  readonly text: string;
  readonly i: number;
  readonly pieces: readonly Piece[];
}
export function matchAt({ lower, i }: Place, pattern: RegExp): RegExpExecArray | null {
  pattern.lastIndex = i;
  return pattern.exec(lower);
}
/** A figure with a point or a comma. */
const valueOf = (figure: string): number => Number(figure.replace(',', '.'));

/** "no phono stage", "without pad": what is said not to be there. */
export function without(place: Place): { length: number; read: Read } | null {
  const not = matchAt(place, NOT);
  if (!not) return null;
  const there = { ...place, i: place.i + not[0].length };
  const whole = phraseAt(place.lower, there.i, false);
  // "no preamp DI" has a DI and no preamp.
  const first = /^[^\s,;/]+/.exec(place.lower.slice(there.i))?.[0].length ?? 0;
  const word = phraseAt(place.lower.slice(0, there.i + first), there.i, false);
  const phrase = whole?.sense.is === 'di' && word && word.sense.is !== 'di' && MISSED.has(word.sense.is) ? word : whole;
  const made = figure(there) ?? (phrase && { length: phrase.length, read: phrase.sense });
  if (!made || !MISSED.has(made.read.is)) return null;
  return { length: not[0].length + made.length, read: { is: 'without', what: made.read } };
}

/** "100 V line", "9 V block" and phantom's 48 V are no level; of an output a full scale or a peak is one. */
function voltsOf([, figure, unit, how, full]: RegExpExecArray): Read | null {
  const volts = valueOf(figure) * (/^m/.test(unit) ? 1e-3 : 1);
  if (how === undefined && full === undefined && !/^m/.test(unit)) return null;
  if (how !== undefined && /^p(?:-?p|eak.to|k.?p)/.test(how)) return { is: 'volts', volts: volts / 2, peak: true };
  if (how !== undefined && /^p/.test(how)) return { is: 'volts', volts, peak: true };
  return full === undefined
    ? { is: 'volts', volts, peak: false }
    : { is: 'volts', volts: volts * Math.SQRT2, peak: true };
}

/** "20-22": each of them, where they can be channels. */
function rangeOf([text]: RegExpExecArray): Read | null {
  const list = channelsOf(text);
  return list.length > 1 && list.length < 17 ? { is: 'channels', list, loose: true } : null;
}

/** Said of an adapter from XLR it is how that one was made. */
const isOfAdapter = (pieces: readonly Piece[]): boolean =>
  pieces.some(({ read }) => read.is === 'box' && /^xlr-to-/.test(read.model));

/** So many were said to be there. */
const isAsMany = (pieces: readonly Piece[], many: number): boolean =>
  many > 1 && pieces.some(({ read }) => (read.is === 'times' || read.is === 'count') && read.count === many);

/** "3 hat 4-5 oh": it begins right behind the number that was said last. */
function goesOn(pieces: readonly Piece[], list: readonly number[]): boolean {
  const before = pieces.findLast(({ read, named }) => !named && (read.is === 'number' || read.is === 'channels'))?.read;
  const end = before?.is === 'number' ? before.value : before?.is === 'channels' ? before.list.at(-1) : undefined;
  return end !== undefined && list[0] === end + 1;
}

/** "pads L/R", "pad stereo": said before anything that could have one, they are played. */
const PADS =
  /^(?:pads(?!\s*(?:in|on|off|out|at|both|all|[-−=:]?\s*\d))|pad(?=\s+(?:stereo|mono|l\s?\/\s?r)\b))(?![a-z])/;
const hasPad = ({ read, named }: Piece): boolean => !named && ['di', 'box', 'input'].includes(read.is);

/** Figures and what is said by a sign of its own. */
export function figure(place: Place): { length: number; read: Read } | null {
  const { lower, text, i, pieces } = place;
  const match = (pattern: RegExp): RegExpExecArray | null => matchAt(place, pattern);
  const of = (found: RegExpExecArray | null, read: (m: RegExpExecArray) => Read | null) => {
    const made = found && read(found);
    return made && found ? { length: found[0].length, read: made } : null;
  };
  const last = pieces[pieces.length - 1]?.read;
  // "10M" beside a DI or an input is ten megohms; with a space before it, or in a text all of capitals, it is metres unless "input" follows.
  const capital =
    /^\d{1,2}M/.test(text.slice(i)) ||
    /^\d{1,2}\s?meg/.test(lower.slice(i)) ||
    (/^10 M\b/.test(text.slice(i)) && !/,\s*$/.test(lower.slice(0, i)));
  const behind =
    /^\d{1,2}\s?m(?:eg)?\s+(?:input|in\b|ins\b|dis?\b|di's\b|inst\b|instrument|hi\b|high|buffer|preamp|active\b(?! bass))/.test(
      lower.slice(i)
    );
  const nearZin =
    capital &&
    (behind ||
      (text !== text.toUpperCase() &&
        (last?.is === 'di' || last?.is === 'input' || (last?.is === 'quality' && last.quality === 'active'))));
  return (
    of(match(EARTH_GONE), () => ({ is: 'unearthed' })) ??
    of(match(SHOCK), () => ({ is: 'unearthed', shocks: true })) ??
    of(match(BATTERY_LOW), (m) => {
      const volts =
        /(?:to|at|batter(?:y|ies)|with|on)\s*(?:an?\s+|its\s+|of\s+|at\s+|\()?\s*([3-8](?:[.,]\d+)?)\s*v/.exec(
          m[0]
        )?.[1];
      return { is: 'battery-low', ...(volts ? { volts: valueOf(volts) } : {}) };
    }) ??
    of(match(AMP_OFF), () => ({ is: 'filler' })) ??
    of(match(ON_BATTERY), () => ({ is: 'on-battery' })) ??
    of(match(ELSEWHERE), () => ({ is: 'elsewhere' })) ??
    of(match(ON_MAINS), (m) => ({ is: 'on-mains', earthed: m[1] !== undefined })) ??
    of(match(NO_CABINET), () => ({ is: 'cabinet-off' })) ??
    of(isOfAdapter(pieces) ? null : match(CONTACT_GONE), (m) =>
      m[1] || m[4] ? { is: 'contact-gone', contact: m[2] ? 'cold' : 'shield' } : null
    ) ??
    of(match(PIN_THREE), (m) => ({ is: 'pin-three', open: m[1] !== undefined })) ??
    of(match(SWAPPED), () => ({ is: 'swapped' })) ??
    of(pieces.some((p) => p.read.is === 'box' && p.read.model === 'load-box') ? match(THROUGH) : null, () => ({
      is: 'through'
    })) ??
    of(match(WATT), (m) => ({ is: 'watt', watt: valueOf(m[1]), ...(m[2] ? { load: valueOf(m[2]) } : {}) })) ??
    of(match(SPL), (m) => ({ is: 'spl', db: Number(m[1] ?? m[2]) })) ??
    of(match(SENSITIVITY), (m) => ({ is: 'sensitivity', volts: valueOf(m[1]) / 1000 })) ??
    of(match(DISTANCE), () => ({ is: 'filler' })) ??
    of(match(GAIN), () => ({ is: 'filler' })) ??
    of(match(FARAD), (m) => ({
      is: 'farad',
      farad: valueOf(m[1]) * (/^p/.test(m[2]) ? 1e-12 : 1e-9),
      each: m[3] !== undefined
    })) ??
    of(match(UP), () => ({ is: 'box', model: 'converter-up' })) ??
    of(match(DOWN), () => ({ is: 'box', model: 'converter-down' })) ??
    of(match(PHANTOM_ELSEWHERE), () => ({ is: 'phantom-elsewhere' })) ??
    of(match(PHANTOM_VOLTS), (m) => ({ is: 'phantom', on: true, volts: valueOf(m[1] ?? m[2]) })) ??
    of(match(PHANTOM), (m) => ({ is: 'phantom', on: m[1] === undefined && (m[2] === undefined || m[2] === 'on') })) ??
    of(pieces.some((p) => p.read.is === 'source' && p.read.model === 'condenser-mic') ? match(BARE_48) : null, () => ({
      is: 'phantom',
      on: true
    })) ??
    of(nearZin ? match(BARE_M) : null, (m) =>
      [1, 2, 3, 5, 10, 20].includes(Number(m[1])) ? { is: 'ohm', ohm: Number(m[1]) * 1e6 } : null
    ) ??
    of(match(LEVEL), (m) => ({ is: 'level', text: m[0] })) ??
    // Behind a number it is one of a row of channels.
    of(last?.is === 'number' || last?.is === 'channels' ? null : match(BARE_LEVEL), (m) => ({
      is: 'level',
      text: m[0].startsWith('+') ? '+4 dBu' : '-10 dBV'
    })) ??
    of(match(VOLTS), (m) => voltsOf(m)) ??
    of(match(PAD_OUT), () => ({ is: 'without', what: { is: 'pad', db: 20, inline: false } })) ??
    of(match(CABINET) ?? (SPEAKER_DI.test(lower) ? match(CABINET_TAPPED) : null), () => ({ is: 'cabinet-on' })) ??
    of(match(INLINE), (m) => ({ is: 'pad', db: Number(m[1] ?? m[2] ?? 20), inline: true })) ??
    of(PADS.test(lower.slice(i)) && !pieces.some(hasPad) ? null : match(PAD), (m) => ({
      is: 'pad',
      db: Number(m[1] ?? m[2] ?? 20),
      inline: false
    })) ??
    of(match(CUT_OUT), () => ({ is: 'without', what: { is: 'cut', hz: 80 } })) ??
    of(match(CUT_AT) ?? match(CUT), (m) => ({ is: 'cut', hz: Number(m[1] ?? 80) })) ??
    of(match(JOINED), () => ({ is: 'lift', lifted: false })) ??
    of(match(LIFT), (m) => ({ is: 'lift', lifted: !['off', 'closed', 'out'].includes(m[1]) })) ??
    of(match(POLARITY), () => ({ is: 'polarity' })) ??
    of(match(SIDES), () => ({ is: 'sides' })) ??
    of(match(FIVE), (m) =>
      /^(?:5|five)/.test(m[0])
        ? { is: 'instrument', instrument: 'five-string-bass', model: 'active-bass' }
        : { is: 'filler' }
    ) ??
    of(match(JACK), () => ({ is: 'cable', kind: 'instrument' })) ??
    of(
      /^3[.,]5\s*(?:mm)?[\s-]+(?:to|headphone|out|in\b|jack|stereo|ts|trs|y\b)/.test(lower.slice(i))
        ? null
        : match(MINI),
      () => ({ is: 'cable', kind: 'mini' })
    ) ??
    of(match(LENGTH), (m) => {
      const parsed = parseQuantity(
        'length',
        m[0].replace(/mtrs?|m[eè]tres?|metros?|metri|metern/, 'm').replace('′', "'")
      );
      return parsed.ok && parsed.value > 0 ? { is: 'length', metres: parsed.value } : null;
    }) ??
    of(match(OHM), (m) => {
      const n = valueOf(m[1]);
      return { is: 'ohm', ohm: n * (/^m/.test(m[2]) ? 1e6 : /^k/.test(m[2]) ? 1e3 : 1) };
    }) ??
    of(match(TIMES), (m) => ({ is: 'times', count: Number(m[1] ?? m[2]) })) ??
    of(match(RATIO), () => ({ is: 'ratio' })) ??
    of(match(DB), (m) => ({ is: 'db', db: Number(m[1]) })) ??
    of(match(NEXT), (m) =>
      Number(m[2]) === Number(m[1]) + 1 ? { is: 'channels', list: [Number(m[1]), Number(m[2])], loose: true } : null
    ) ??
    // "splitter 1 to 2" tells how many ways.
    of(match(RANGE), (m) => (last?.is === 'box' && /^1\s\p{L}/u.test(m[0]) ? { is: 'ratio' } : rangeOf(m))) ??
    of(match(RANGE_OUT), (m) => (goesOn(pieces, channelsOf(m[0])) ? rangeOf(m) : null)) ??
    of(last?.is === 'instrument' ? (match(UP_TO) ?? match(UP_TO_KIND)) : null, (m) => ({
      is: 'times',
      count: Number(m[1])
    })) ??
    // "tom 1-3" is so called.
    of(last?.is === 'instrument' && /^1\b/.test(lower.slice(i)) ? null : match(RANGE_WITHIN), rangeOf) ??
    // "4 x gooseneck 48V 1-4 HPF": as many as were said.
    of(match(RANGE_OUT), (m) => (isAsMany(pieces, channelsOf(m[0]).length) ? rangeOf(m) : null)) ??
    of(OUTPUT_WORD.test(pieces[pieces.length - 1]?.text ?? '') ? match(RANGE_OUT) : null, rangeOf) ??
    of(match(HASH), (m) => ({ is: 'channels', list: channelsOf(m[0].slice(1)) })) ??
    of(match(LETTERED), (m) => ({ is: 'channels', list: channelsOf(m[0]), loose: true }))
  );
}
