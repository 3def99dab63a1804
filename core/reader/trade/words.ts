import { distance } from 'fastest-levenshtein';
import { LEXICON } from './lexicon';
import { LABELS } from './lexicon/labels';
import type { Sense } from './lexicon/sense';

/** The lexicon as a tree by words, and what a word that is not in it comes nearest to. */

interface Node {
  readonly next: Map<string, Node>;
  sense?: Sense;
}
/** Letters without their accents, as many as there were: places in the text stay. */
export const bare = (text: string): string =>
  Array.from(text, (c) => (c.length === 1 ? c.normalize('NFD')[0] : c)).join('');

/** Words that are said in a short and in a long way, whatever stands beside them: read as the short one. */
const SHORT: ReadonlyMap<string, string> = new Map([
  ['amplifier', 'amp'],
  ['amplifiers', 'amps'],
  ['loudspeaker', 'speaker'],
  ['loudspeakers', 'speakers'],
  ['output', 'out'],
  ['outputs', 'outs'],
  ['input', 'in'],
  ['inputs', 'ins'],
  ['adaptor', 'adapter'],
  ['adaptors', 'adapters'],
  ['earphone', 'headphone'],
  ['earphones', 'headphones'],
  ['lvl', 'level'],
  ['iface', 'interface'],
  ['wless', 'wireless'],
  ['wlss', 'wireless'],
  ['wrlss', 'wireless'],
  ['wrls', 'wireless'],
  ['tranche', 'channel'],
  ['microphone', 'mic'],
  ['microphones', 'mics'],
  ['unbal', 'unbalanced'],
  ['bal', 'balanced']
]);
const short = (word: string): string => SHORT.get(word) ?? word;

/** Numbers that are words, for nobody's slip of the finger makes several lines out of one; and what is a letter from a word of every day. */
const NO_SLIP: ReadonlySet<string> = new Set([
  'two',
  'three',
  'four',
  'five',
  'six',
  'zwei',
  'drei',
  'vier',
  'twee',
  'drie',
  'deux',
  'trois',
  'quatre',
  'quattro',
  'fyra',
  'both',
  'twin',
  'trio',
  'quartet',
  'due',
  'dois',
  'duas',
  'tre',
  'tres',
  'reed',
  'reeds'
]);

const root: Node = { next: new Map() };
const known = new Set<string>();
/** Labels with a comma in them, the longest first. */
const whole: { text: string; sense: Sense }[] = [];
for (const [sense, rows] of [...LABELS, ...LEXICON])
  for (const row of rows.split('|')) {
    if (/[,–ω]/.test(row)) {
      whole.push({ text: bare(row), sense });
      continue;
    }
    let at = root;
    for (const typed of bare(row)
      .replaceAll("'", '')
      .split(/[\s-]+/)
      .filter(Boolean)) {
      const word = short(typed);
      known.add(typed).add(word);
      let next = at.next.get(word);
      if (!next) at.next.set(word, (next = { next: new Map() }));
      at = next;
    }
    at.sense ??= sense;
  }

whole.sort((a, b) => b.text.length - a.text.length);

const WORD = /[\p{L}\p{N}ß'&]+(?:\.\p{N}+|\.(?=\p{L}\b)\p{L})*/uy;
const GAP = /[ \u00a0]*(?:[-/][ \u00a0]*)?/y;

/** A word as it is written, without the apostrophe of "mic'd". */
const plain = (word: string): string => word.replaceAll("'", '');

/** The word itself, or the singular of a plural. */
function* formsOf(word: string): Generator<string> {
  yield word;
  if (word.length > 2 && word.endsWith('s')) yield word.slice(0, -1);
  if (word.length > 4 && word.endsWith('es')) yield word.slice(0, -2);
}

export interface Found {
  readonly length: number;
  readonly sense: Sense;
  /** What was read for what was typed, where that was not the same. */
  readonly as?: string;
}

/** A label with a comma in it, which begins at a place of a text. */
export function labelAt(text: string, at: number): Found | null {
  const label = whole.find(
    (l) => text.startsWith(l.text, at) && !/[\p{L}\p{N}]/u.test(text[at + l.text.length] ?? ' ')
  );
  return label ? { length: label.text.length, sense: label.sense } : null;
}

/** The longest phrase of the lexicon that begins at a place of a text in lower case. */
export function phraseAt(text: string, at: number, guess: boolean): Found | null {
  let best: Found | null = null;
  const walk = (node: Node, from: number, as: readonly string[], near: boolean): void => {
    if (node.sense && from > at && (!best || from - at > best.length))
      best = { length: from - at, sense: node.sense, ...(near ? { as: as.join(' ') } : {}) };
    let start = from;
    if (from > at) {
      GAP.lastIndex = from;
      start = from + GAP.exec(text)![0].length;
    }
    WORD.lastIndex = start;
    const match = WORD.exec(text);
    if (!match) return;
    // A number stuck to a word is its channel: "sb4".
    const stuck = /^([a-z]{2,7})\.?\d{1,3}$/.exec(match[0]);
    const typed = short(plain(match[0]));
    let found = false;
    for (const form of formsOf(typed)) {
      const next = node.next.get(form);
      if (!next) continue;
      found = true;
      walk(next, start + match[0].length, [...as, form], near);
    }
    if (!found && stuck) {
      const next = node.next.get(stuck[1]);
      if (next) walk(next, start + stuck[1].length, [...as, stuck[1]], near);
    } else if (!found && guess && !isKnown(typed)) {
      const nearest = nearestOf(typed, node.next);
      if (nearest) walk(node.next.get(nearest)!, start + match[0].length, [...as, nearest], true);
    }
  };
  walk(root, at, [], false);
  return best;
}

const isKnown = (word: string): boolean => [...formsOf(word)].some((form) => known.has(form));

/** Letters off that count as a slip of the finger: one in a word of four to six, two in a longer one or where two letters changed places. */
function nearestOf(word: string, among: ReadonlyMap<string, unknown>): string | null {
  if (word.length < 3 || /\d/.test(word)) return null;
  let best: string | null = null;
  let least = Infinity;
  for (const candidate of [...among.keys(), ...SHORT.keys()]) {
    if (!among.has(short(candidate)) || NO_SLIP.has(candidate)) continue;
    if (candidate.length < 4 || candidate[0] !== word[0] || Math.abs(candidate.length - word.length) > 2) continue;
    const off = distance(word, candidate);
    const swapped = candidate.length === word.length && sorted(candidate) === sorted(word);
    const may = word.length === 3 ? (candidate.length === 4 ? 1 : 0) : swapped || word.length >= 7 ? 2 : 1;
    if (off <= may && off < least) [best, least] = [short(candidate), off];
  }
  return best;
}
const sorted = (word: string): string => [...word].sort().join('');

/** Words of the lexicon that may have been meant by one that is not in it, nearest first. */
export function suggestionsFor(word: string, most = 3): string[] {
  const lower = word.toLowerCase();
  return [...known]
    .filter((w) => w.length > 2)
    .map((w) => ({
      w,
      off: w.startsWith(lower) && lower.length > 1 ? 0.2 : distance(lower, w) / Math.max(w.length, 4)
    }))
    .filter((c) => c.off <= 0.45)
    .sort((a, b) => a.off - b.off || a.w.length - b.w.length)
    .slice(0, most)
    .map((c) => c.w);
}
