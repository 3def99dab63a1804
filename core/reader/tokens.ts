import { distance } from 'fastest-levenshtein';
import { asPattern } from '../text/names';
import { parseQuantity } from '../units/parse';
import { type Meaning, type Phrase, VOCABULARY } from './vocabulary';

/** A stretch of the typed text and what it was read as. */
export interface Piece {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** Number of the comma-separated part it stands in. */
  readonly part: number;
  readonly read:
    | Meaning
    | { role: 'length'; metres: number }
    | { role: 'capacitance'; farad: number }
    | { role: 'value'; text: string }
    | { role: 'couplers'; count: number }
    | { role: 'channel'; channel: number }
    | { role: 'supply'; id: string }
    | { role: 'branch'; id: string }
    | { role: 'no-branch'; name: string; known: readonly string[] }
    | { role: 'brackets'; inner: string }
    | { role: 'unknown'; suggestions: readonly string[] };
}

interface SupplyName {
  readonly id: string;
  readonly name: string;
}

const NUMBER = String.raw`[+\-−]?\d+(?:[.,]\d+)?`;
const LENGTH = new RegExp(String.raw`^${NUMBER}\s*(?:m|metres?|meters?|cm|ft|feet|foot|')(?![A-Za-zΩµ])`);
const FARAD = new RegExp(String.raw`^${NUMBER}\s*(?:p|n|u|µ|P|N)F?(?![A-Za-z])`);
const COUPLERS = /^(\d+|a|one|two|three)?\s*couplers?(?![a-z])/i;
const CHANNEL = /^(?:ch|channel|input)\s*(\d{1,3})(?!\d)/i;
const OHMS = new RegExp(String.raw`^${NUMBER}\s*(?:[kKMG](?:\d+)?(?:ohms?|Ω)?|[Mm]eg(?:ohms?)?|ohms?|Ω)(?![A-Za-z])`);
/** A number that belongs to the word before it: no unit and no count of something follows. */
const PLAIN_NUMBER =
  /^\s+(\d{1,3})(?!\d|[.,]\d|\s*(?:m|cm|ft|feet|foot|metres?|meters?|'|[pnuµkKMG]F?|ohms?|Ω|couplers?)(?![A-Za-z]))/;
const COUNTS: Readonly<Record<string, number>> = { a: 1, one: 1, two: 2, three: 3 };

/** A line that another one may leave, with the class of its source. */
export interface LineName {
  readonly id: string;
  readonly name: string;
  readonly model: string;
}

/** What a show has that a line may speak of. */
export interface Known {
  readonly supplies?: readonly SupplyName[];
  readonly lines?: readonly LineName[];
}

/** Cuts a spoken line into pieces. Commas separate but are not needed. */
export function cut(text: string, { supplies = [], lines = [] }: Known = {}): Piece[] {
  // The longest first: "Bass" must not take the beginning of "Bass left".
  const byLength = [...lines].sort((a, b) => b.name.length - a.name.length);
  const pieces: Piece[] = [];
  let part = 0;
  let at = 0;
  const push = (length: number, read: Piece['read']): void => {
    pieces.push({ from: at, to: at + length, text: text.slice(at, at + length), part, read });
    at += length;
  };
  while (at < text.length) {
    const rest = text.slice(at);
    const gap = /^[\s;]+/.exec(rest);
    if (gap) {
      at += gap[0].length;
      continue;
    }
    if (rest[0] === ',') {
      part++;
      at++;
      continue;
    }
    const brackets = /^\(([^)]*)\)?/.exec(rest);
    if (brackets) {
      push(brackets[0].length, { role: 'brackets', inner: brackets[1] });
      continue;
    }
    const length = LENGTH.exec(rest);
    const metres = length && !/^3[.,]5\s*mm/.test(rest) ? parseQuantity('length', length[0]) : null;
    if (length && metres?.ok && metres.value >= 0) {
      push(length[0].length, { role: 'length', metres: metres.value });
      continue;
    }
    const farad = FARAD.exec(rest);
    const value = farad ? parseQuantity('capacitance', farad[0]) : null;
    if (farad && value?.ok && value.value > 0) {
      push(farad[0].length, { role: 'capacitance', farad: value.value });
      continue;
    }
    const couplers = COUPLERS.exec(rest);
    if (couplers) {
      const said = couplers[1]?.toLowerCase() ?? '1';
      push(couplers[0].length, { role: 'couplers', count: COUNTS[said] ?? Number(said) });
      continue;
    }
    const channel = CHANNEL.exec(rest);
    if (channel) {
      push(channel[0].length, { role: 'channel', channel: Number(channel[1]) });
      continue;
    }
    const parent = byLength.find((l) => new RegExp(`^from ${asPattern(l.name)}(?![a-z0-9])`, 'i').test(rest));
    if (parent) {
      push(5 + parent.name.length, { role: 'branch', id: parent.id });
      continue;
    }
    const nobody = /^from\s+(?!battery)([^,()]+)/i.exec(rest);
    if (nobody) {
      push(nobody[0].trimEnd().length, {
        role: 'no-branch',
        name: nobody[1].trim(),
        known: lines.map((l) => l.name)
      });
      continue;
    }
    const supply = supplies.find((s) => new RegExp(`^on ${asPattern(s.name)}(?![a-z])`, 'i').test(rest));
    if (supply) {
      push(3 + supply.name.length, { role: 'supply', id: supply.id });
      continue;
    }
    const phrase = phraseAt(rest);
    if (phrase) {
      push(phrase.length, phrase.meaning);
      const last = pieces[pieces.length - 1];
      // "mic 3" is the third channel, "pair 3" the third of the multicore.
      const number = PLAIN_NUMBER.exec(text.slice(at));
      if (number && last.read.role === 'input') {
        at += number[0].length - number[1].length;
        push(number[1].length, { role: 'channel', channel: Number(number[1]) });
      } else if (number && last.read.role === 'cable') at += number[0].length;
      continue;
    }
    const ohms = OHMS.exec(rest);
    if (ohms) {
      push(ohms[0].length, { role: 'value', text: ohms[0] });
      continue;
    }
    const word = /^[^\s,()]+/.exec(rest)?.[0] ?? rest[0];
    push(word.length, { role: 'unknown', suggestions: nearest(word) });
  }
  return pieces;
}

function phraseAt(rest: string): { length: number; meaning: Meaning } | null {
  const lower = rest.toLowerCase();
  for (const phrase of VOCABULARY) {
    const pattern = PATTERNS.get(phrase)!;
    const match = pattern.exec(lower);
    if (match) return { length: match[0].length, meaning: phrase.meaning };
  }
  return null;
}
const PATTERNS: ReadonlyMap<Phrase, RegExp> = new Map(
  VOCABULARY.map((p) => [p, new RegExp(`^${p.words.map(escape).join(String.raw`\s+`)}(?![a-z0-9-])`)])
);

/** Words that look like the one typed: same beginning, or few letters off. */
function nearest(word: string, most = 3): string[] {
  const lower = word.toLowerCase();
  return VOCABULARY.filter((p) => p.main && p.meaning.role !== 'filler')
    .map((p) => ({
      text: p.text,
      off: Math.min(
        ...p.words.map((w) =>
          w.startsWith(lower) && lower.length > 1 ? 0.2 : distance(lower, w) / Math.max(w.length, 4)
        )
      )
    }))
    .filter((c) => c.off <= 0.5)
    .sort((a, b) => a.off - b.off || a.text.length - b.text.length)
    .slice(0, most)
    .map((c) => c.text);
}
