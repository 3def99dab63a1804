import { asPattern } from '../text/names';
import { cutText } from '../text/well-formed';
import { type EntryFacts, LOG_LIMITS, type Mark } from './entry';

/** What somebody types into the log in a second, between two songs: read without asking, and nothing of it is lost, for the text stays as it is. */

export interface TypedRead {
  readonly kind: 'note' | 'take';
  readonly tags: readonly string[];
  readonly facts: EntryFacts;
}
/** A line as it can be meant. */
export interface Nameable {
  readonly id: string;
  readonly name: string;
  readonly channel?: number;
}

const MARK_WORDS: readonly (readonly [RegExp, Mark])[] = [
  [/\bfalse[ -]?starts?\b|\bf\/?s\b/i, 'false start'],
  [/\bbreak[ -]?downs?\b|\bstopped halfway\b|\bfell apart\b|\bincomplete\b/i, 'breakdown'],
  [/\bbest\b|\bthe one\b|\bmaster\b|\bkeeper\b/i, 'best'],
  [/(?<!\b(?:not|no|isn[’']t|wasn[’']t|less|too) (?:so |very |that |really )?)\bgood\b|\bgd\b|\bkeep\b/i, 'good'],
  [/(?<!\bno |\bwithout )\bhum(?:s|med|ming)?\b/i, 'hum'],
  [/(?<!\bno |\bwithout )\b(?:nois[ey]\w*|crackl\w+|click(?:s|ed|ing)?|pops?|buzz\w*|hiss\w*)\b/i, 'noise'],
  [/(?<!\bno |\bwithout |\bnot )\bclip(?:s|ped|ping)?\b(?! mic)/i, 'clipped'],
  [/\b(?:came in|entry|entered) late\b|\blate entry\b/i, 'late']
];

/** `take 4`, `tk 4`, `t4`, `4th take`, `take #4`; in a row of takes the last one is meant. */
const TAKE = /\b(?:takes?|tk)\.?\s*#?\s*(\d{1,4})\b|\bt(\d{1,3})\b|\b(\d{1,4})(?:st|nd|rd|th) take\b/i;
/** Hours, minutes, seconds, frames; or minutes and seconds. */
const TIMECODE = /(?<![\d:.])(\d{1,2}:\d{2}:\d{2}(?:[:;.]\d{1,3})?|\d{1,3}:[0-5]\d)(?![\d:])/;
const SONG =
  /\b(?:song|piece|number|tune|cue)\s*[:=]?\s*(?:[“"']([^”"']{1,80})[”"']|(\S[^,;.:]{0,79}?))(?=\s*(?:[,;.:]|$|\btake\b|\btk\b))/i;
const QUOTED = /[“"]([^”"]{1,80})[”"]/;
const TAG = /(?<![\p{L}\d])#(\p{L}[\p{L}\d-]{0,29})/gu;
const CHANNEL =
  /(?:\bch(?:an(?:nel)?)?s?\.?\s*#?\s*|(?<![\p{L}\d])#)(\d{1,3})(?:\s*(?:[-–]|to)\s*(\d{1,3}))?(?![\d:])/giu;

/**
 * Reads an entry as it was typed.
 * @param lines of the show, by which it may name them
 * @param open the line that was open, which it is about where it names none
 */
export function readTypedEntry(text: string, lines: readonly Nameable[], open: string | null = null): TypedRead {
  const tags = [...new Set([...text.matchAll(TAG)].map((m) => m[1].toLowerCase()))].slice(0, LOG_LIMITS.tags);
  const plain = text.replace(TAG, ' $1');
  const take = TAKE.exec(plain);
  const number = take ? Number(take[1] ?? take[2] ?? take[3]) : undefined;
  const song = songOf(plain, take?.index);
  const marks = MARK_WORDS.filter(([words]) => words.test(plain)).map(([, mark]) => mark);
  const timecode = TIMECODE.exec(plain)?.[1];
  // The number of a take is no channel.
  const about = linesOf(take ? plain.replace(take[0], ' ') : plain, lines);
  const meant = about.length > 0 ? about : open && number === undefined ? [open] : [];
  const facts: EntryFacts = {
    ...(meant.length > 0 ? { lines: meant } : {}),
    ...(song ? { song } : {}),
    ...(number ? { take: number } : {}),
    // A mark is of a take; beside it, it is a word like others.
    ...(number && marks.length > 0 ? { marks: marks.slice(0, 8) } : {}),
    ...(timecode ? { timecode } : {})
  };
  return { kind: number ? 'take' : 'note', tags, facts };
}

/** What was played: named as a song, in quotes, or what stands before the take's number: `Harbour take 4`. */
function songOf(text: string, takeAt: number | undefined): string | undefined {
  const named = SONG.exec(text);
  if (named) return cutText((named[1] ?? named[2]).trim(), 80);
  const quoted = QUOTED.exec(text);
  if (quoted && takeAt !== undefined) return cutText(quoted[1].trim(), 80);
  if (takeAt === undefined) return undefined;
  const before = text
    .slice(0, takeAt)
    .replace(TIMECODE, ' ')
    .split(/[,;.:–—]/)
    .at(-1)!
    .replace(/[\s–—-]+$/, '')
    .trim();
  // `of take 4`, `for take 4`, `hum in take 4`: those words lead to the take and are no song.
  return before === '' ||
    /(?:^|\s)(?:in|on|at|of|for|the|from|since|after|before|during|until|best|good|is|was|and|to|same as)$/i.test(
      before
    )
    ? undefined
    : cutText(before, 80);
}

/** Words of names that are no name by themselves: sides, sizes, kinds of things. */
const COMMON =
  /^(?:left|right|high|low|main|lead|solo|front|back|stage|side|direct|amp|line|clean|dirty|wet|with|from|take|song|good|best|late|noise|click|electric|acoustic)$/i;
/** Shorter words are met everywhere. */
const LEAST = 4;
function ownWords(lines: readonly Nameable[]): ReadonlyMap<string, string> {
  const words = lines.flatMap(({ id, name }) =>
    [...new Set(name.toLowerCase().match(/\p{L}+/gu) ?? [])].map((word) => [word, id] as const)
  );
  const count = new Map<string, number>();
  for (const [word] of words) count.set(word, (count.get(word) ?? 0) + 1);
  return new Map(words.filter(([word]) => word.length >= LEAST && count.get(word) === 1 && !COMMON.test(word)));
}

/** Lines that it names, by their names or channels; the longest names first, so that `bass amp` is not `bass`. */
function linesOf(text: string, lines: readonly Nameable[]): string[] {
  let left = text;
  const found: { id: string; at: number }[] = [];
  for (const { id, name } of [...lines].sort((a, b) => b.name.length - a.name.length)) {
    const words = new RegExp(`(?<![\\p{L}\\d])${asPattern(name.trim()).replace(/\s+/g, '\\s+')}(?![\\p{L}\\d])`, 'iu');
    const m = name.trim() === '' ? null : words.exec(left);
    if (!m) continue;
    found.push({ id, at: m.index });
    // What was read is not read again; the places of the others stay.
    left = left.slice(0, m.index) + '\u0000'.repeat(m[0].length) + left.slice(m.index + m[0].length);
  }
  // A word that only one line has in its name means that line: `dulcimer`.
  for (const [word, id] of ownWords(lines)) {
    const m = new RegExp(`(?<![\\p{L}\\d])${asPattern(word)}(?![\\p{L}\\d])`, 'iu').exec(left);
    if (m) found.push({ id, at: m.index });
  }
  for (const m of left.matchAll(CHANNEL)) {
    const [from, to] = [Number(m[1]), Number(m[2] ?? m[1])];
    for (const line of lines)
      if (line.channel !== undefined && line.channel >= from && line.channel <= to)
        found.push({ id: line.id, at: m.index });
  }
  return [...new Map(found.sort((a, b) => a.at - b.at).map((f) => [f.id, f])).keys()];
}
