import { plugFor, type CableKindId } from '../gear/cables';
import { findModel, MODELS } from '../gear/catalogue';
import { PLUGS, type Plug } from '../gear/sockets';
import { KIT_LIMITS, type KitItem, type OWNED_CABLES, PLAIN } from '../kit/schema';
import { parseQuantity } from '../units/parse';
import { VOCABULARY } from './vocabulary';

/** A list of what there is, as one says it: `4 active DIs, 10 × 3 m TS, 2 RCA to TS`. */

export type KitFault =
  | { code: 'not-understood'; text: string; at: number }
  | { code: 'too-many'; text: string; at: number; most: number }
  | { code: 'no-length'; text: string; at: number };

export interface KitReading {
  readonly items: readonly KitItem[];
  readonly faults: readonly KitFault[];
}

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  twelve: 12
};
const COUNT =
  /^\s*(?:(\d{1,4})\s*(?:[x×*](?![a-z])\s*)?(?![\d.,]*\s*(?:m|metres?|meters?|ft|feet|foot)\b)|(\d{1,4})\s*[x×*](?![a-z])\s*|([a-z]+)\s+)/i;
const LENGTH = /(\d+(?:[.,]\d+)?)\s*(m|metres?|meters?|ft|feet|foot)\b/i;

/** How plugs are called in a list of leads. */
const PLUG_WORDS: Readonly<Record<string, Plug>> = {
  ts: 'ts',
  jack: 'ts',
  mono: 'ts',
  trs: 'trs',
  'balanced jack': 'trs',
  mini: 'mini',
  '3.5 mm': 'mini',
  '3.5mm': 'mini',
  xlr: 'xlr',
  rca: 'rca',
  speaker: 'speaker'
};
/** The kind of cable that a plug usually sits on. */
const KIND_OF_PLUG: Readonly<Record<Plug, CableKindId>> = {
  ts: 'instrument',
  trs: 'mic',
  mini: 'mini',
  xlr: 'mic',
  rca: 'rca',
  speaker: 'speaker'
};

/** "active DI, 10 MΩ" as it is labelled: its ohms are of its name, and no part of their own. */
const TEN_MEGOHM = /\bactive (?:DIs?|box(?:es)?),?\s+10\s?M(?:Ω|eg(?:ohms?)?|\s?ohms?)(?![a-z])/giu;
const named = (text: string): string => text.replace(TEN_MEGOHM, (said) => 'active DI 10m'.padEnd(said.length));

/** Reads a list; parts that are not understood are named with their place, the others are read all the same. */
export function readKit(typed: string): KitReading {
  // As long as what was typed: places stay.
  const text = named(typed);
  const items: KitItem[] = [];
  const faults: KitFault[] = [];
  let at = 0;
  // A comma between digits is a decimal sign.
  for (const raw of text.split(/,(?!\d)|;|\n|(?<=\s)and(?=\s)/)) {
    const from = at;
    at = text.indexOf(raw, at) + raw.length;
    const part = raw.trim();
    if (part === '') continue;
    const number = NUMBERED.exec(part);
    const item = readItem(number ? part.slice(0, number.index) : part);
    if (typeof item === 'string') faults.push({ code: item, text: part, at: text.indexOf(part, from) } as KitFault);
    else if (item.count > KIT_LIMITS.count)
      faults.push({ code: 'too-many', text: part, at: text.indexOf(part, from), most: KIT_LIMITS.count });
    else if (number) items.push(...unitsOf(item, Number(number[1]), Number(number[2] ?? number[1])));
    else items.push(item);
  }
  return { items, faults };
}

/** Numbers that are written on them: `#12`, `no. 3`, `units 1-4`. */
const NUMBERED = /\s(?:#|(?:units?|numbers?|nos?|nr)\b\.?)\s*(\d{1,4})(?:\s*(?:-|–|to)\s*#?(\d{1,4}))?\s*$/iu;

/** As many numbered things as were said or counted, from the first number on; batteries have none. */
function unitsOf(item: KitItem, first: number, last: number): KitItem[] {
  if (item.kind === 'battery') return [item];
  const count = Math.min(Math.max(item.count, last - first + 1), KIT_LIMITS.items);
  return Array.from({ length: count }, (_, k) => ({
    ...item,
    count: 1,
    unit: { label: String(first + k), serial: '', failed: 0, battery: null }
  }));
}

function readItem(part: string): KitItem | 'not-understood' | 'no-length' {
  let rest = part;
  let count = 1;
  const counted = COUNT.exec(rest);
  if (counted) {
    const word = counted[3]?.toLowerCase();
    const n = word === undefined ? Number(counted[1] ?? counted[2]) : NUMBER_WORDS[word];
    if (n !== undefined && n > 0) {
      count = n;
      rest = rest.slice(counted[0].length);
    }
  }
  const lower = rest.toLowerCase().replace(/\s+/g, ' ').trim();
  if (/^(9 ?v )?batter(y|ies)$/.test(lower)) return { kind: 'battery', ...PLAIN, count };
  // "10m" may be part of a name: the whole text is looked at as a box first.
  const named = modelIn(lower);
  if (named) return { kind: 'device', model: named, ...PLAIN, count };
  const length = LENGTH.exec(lower);
  const words = lower.replace(LENGTH, ' ').replace(/\s+/g, ' ').trim();
  const model = modelIn(words) ?? (length ? null : adapterIn(words));
  if (model) return { kind: 'device', model, ...PLAIN, count };
  const lead = leadIn(words);
  if (!lead) return 'not-understood';
  if (!length) return 'no-length';
  const metres = parseQuantity('length', length[0]);
  if (!metres.ok || !(metres.value >= 0.1)) return 'no-length';
  return { kind: 'lead', ...lead, metres: metres.value, ...PLAIN, count };
}

const singular = (words: string): string =>
  words
    .replace(/boxes\b/g, 'box')
    .replace(/\bdis\b/g, 'di')
    .replace(/([a-z]{3,})s\b/g, (w, stem) => (w === 'ts' || w === 'trs' ? w : stem));

/** A box by any of the words it is said by, one of several too. */
function modelIn(words: string): string | null {
  for (const text of [words, singular(words), `${singular(words)} box`]) {
    const phrase = VOCABULARY.find((p) => p.text.toLowerCase() === text && p.meaning.role === 'box');
    if (phrase?.meaning.role === 'box') return phrase.meaning.model;
    if (findModel(text.replaceAll(' ', '-'))?.family === 'box') return text.replaceAll(' ', '-');
  }
  return null;
}

/** Y leads by the plug they are for. */
const Y_MODELS: Readonly<Record<string, string>> = {
  jack: 'y-jack',
  ts: 'y-jack',
  xlr: 'y-xlr',
  rca: 'y-rca',
  mini: 'y-mini',
  '3.5mm': 'y-mini',
  speaker: 'y-speaker'
};

/** `RCA to jack adapter`, `2 couplers`, `3 XLR Y leads`: the adapter of those plugs. */
function adapterIn(words: string): string | null {
  const text = singular(words);
  if (/^(jack )?coupler$/.test(text)) return 'coupler';
  if (/^plain ys?$/.test(text)) return 'plain-y';
  const y = /^(?:(jack|ts|xlr|rca|mini|3\.5 ?mm|speaker) )?ys?(?: (?:lead|cable|split))?$/.exec(text);
  if (y) return Y_MODELS[y[1]?.replace(' ', '') ?? 'jack'];
  const ends = endsIn(text.replace(/adapt[eo]r/, '').trim());
  if (!ends || ends[0] === ends[1]) return null;
  const pin3 = /open|float/.test(text) ? 'open' : /ground/.test(text) ? 'grounded' : '';
  const called = (plug: Plug): string => (plug === 'ts' || plug === 'trs' ? 'jack' : plug);
  const id = [called(ends[0]), 'to', called(ends[1]), ...(pin3 ? [pin3] : [])].join('-');
  const match =
    MODELS.filter((m) => m.family === 'joint').find((m) => m.id === id) ??
    MODELS.find((m) => m.id === `${id}-grounded`);
  return match?.id ?? null;
}

function endsIn(words: string): [Plug, Plug] | null {
  const sides = words
    .replace(/\b(leads?|cables?|plugs?|wires?|male|female|pin \d|open|grounded|floating)\b/g, ' ')
    .split(/\s*(?:\bto\b|->|→|–|-(?=[a-z]))\s*/)
    .map((s) => s.replace(/\s+/g, ' ').trim())
    .filter(Boolean);
  const plug = (s: string): Plug | undefined =>
    PLUG_WORDS[s] ?? PLUG_WORDS[s.replace(/s$/, '')] ?? PLUGS.find((p) => p === s);
  if (sides.length === 0 || sides.length > 2) return null;
  if (sides.length === 1) {
    const one = plug(sides[0]);
    return one ? [one, one] : null;
  }
  const [a, b] = [plug(sides[0]), plug(sides[1])];
  return a && b ? [a, b] : null;
}

/** A lead by its kind (`jack lead`, `mic cable`) or by its plugs (`TS`, `RCA to TS`). */
function leadIn(words: string): { cable: (typeof OWNED_CABLES)[number]; plugs: [Plug, Plug] } | null {
  for (const text of [words, singular(words)]) {
    const phrase = VOCABULARY.find((p) => p.text.toLowerCase() === text && p.meaning.role === 'cable');
    if (phrase?.meaning.role === 'cable' && phrase.meaning.kind !== 'multicore') {
      const { kind } = phrase.meaning;
      const usual = plugFor(kind, kind === 'mic' || kind === 'star-quad' ? 'xlr' : kind === 'instrument' ? 'ts' : kind);
      return { cable: kind, plugs: [usual, usual] };
    }
  }
  const ends = endsIn(words);
  if (!ends) return null;
  // Unlike plugs: the cable of the one that carries less, as a mono plug on a stereo cable is nobody's stock.
  const kinds = ends.map((p) => KIND_OF_PLUG[p]);
  const kind = kinds.includes('rca') && kinds.includes('instrument') ? 'rca' : kinds[0];
  return { cable: kind as (typeof OWNED_CABLES)[number], plugs: ends };
}
