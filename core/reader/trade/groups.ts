import { isEachTaken } from './each-taken';
import { inFull, shortKit } from './kit-letters';
import {
  ARROW,
  inBrackets,
  isRig,
  MANY_OF,
  OF_ALL,
  partsOf,
  plays,
  sharedFrom,
  tells,
  TELLS_WHICH,
  textOf,
  WAYS,
  withoutSection
} from './parts-of-text';
import type { Piece } from './pieces';
import type { One } from './several';
import { channelRun, channelsSaid, howMany, isMany } from './sides';

/** Several things with their channels behind them all: "tpt 1-3 dyn, tbn 1-2 ribbon, 20-24", "vox, bass DI, keys L/R, ch 1-4". */

/** It says how it is taken. */
const kind = ({ read }: Piece): boolean => ['source', 'di', 'box', 'quality', 'magnetic'].includes(read.is);

/**
 * What was typed, by the things that are said in it; null where it is one thing, or they are not as many as the channels.
 * @param count how many lines a text by itself makes
 */
export function groupsOf(text: string, pieces: readonly Piece[], count: (text: string) => number): One[] | null {
  const channels = channelsSaid(pieces);
  if (channels.length === 1) return null;
  const byDis = asManyDis(text, pieces, channels, count);
  if (byDis) return byDis;
  // "acoustic duo: 2 gtr DI, 2 vox": which guitars they are stands before the colon.
  const acoustic = pieces.some((p) => p.named && p.read.is === 'instrument' && p.read.instrument === 'acoustic-guitar');
  for (const parted of headsOf(text, pieces)) {
    if (parted.length < 2) continue;
    const said = acoustic ? parted.map((one) => one.replace(BARE_GUITAR, 'acoustic $&')) : parted;
    // "K, Sn, 2 toms": a letter that is nothing by itself is of the kit that the others are of.
    const alike = said.length === channels.length ? countsUp(said) : null;
    const heads = (alike ?? said).map((one) => (isOfKit(one) && count(one) === 0 ? inFull(one)! : one));
    // "2 violins, 3 violas" and no channels: each says how many.
    if (channels.length === 0) {
      // "piano + vocal: 2 conds, dyn": which of them is whose nobody said.
      if (pieces.filter((p) => p.named && p.read.is === 'instrument').length > 1) return null;
      // "drums: K SN HH T1 T2": each letter is one.
      const kit = alike === null && parted.length > 2 && heads.every((one) => count(one) === 1) && shortKit(text);
      const each = countsUp(heads) ?? (kit || heads.every((one) => SO_MANY.test(one)) ? heads : null);
      if (each) return each.map((one) => ({ text: one, channels: [] }));
      if ((isBand(text, pieces) || isEachTaken(text, pieces)) && heads.every((one) => count(one) > 0))
        return heads.map((one) => ({ text: one, channels: [] }));
      continue;
    }
    if (heads.length > channels.length) continue;
    const allNumbered = heads.every((one) => NUMBERED.test(one)) && heads.length === channels.length;
    // "gtr 2 DI" among others of its kind is the second, and not two of them.
    const sizes = sizesOf(
      heads,
      heads.map((one) => (allNumbered ? 1 : count(one))),
      channels.length
    );
    if (!sizes) continue;
    let at = 0;
    return heads.map((one, k) => {
      const own = channels.slice(at, (at += sizes.all[k]));
      return sizes.all[k] > sizes.own[k]
        ? { text: `${one}, ch ${own.join('/')}`, channels: [] }
        : { text: one, channels: own };
    });
  }
  return null;
}

/** "keys L/R + click, 3 DIs": a DI for each line that the things before make. */
function asManyDis(
  text: string,
  pieces: readonly Piece[],
  channels: readonly number[],
  count: (text: string) => number
): One[] | null {
  const k = pieces.findIndex(
    (p, n) => p.read.is === 'di' && !p.read.dual && !p.named && n > 0 && isMany(pieces[n - 1])
  );
  const many = k > 0 ? howMany(pieces[k - 1]) : 0;
  if (many < 2 || (channels.length > 0 && channels.length !== many) || pieces.slice(k).some(plays)) return null;
  const each = parted(pieces.filter((_, n) => n !== k - 1));
  for (const heads of headsOf(text, each)) {
    const sizes = heads.map(count);
    if (heads.length < 2 || sizes.includes(0) || sum(sizes) !== many) continue;
    let at = 0;
    return heads.map((one, n) => ({ text: one, channels: channels.slice(at, (at += sizes[n])) }));
  }
  return null;
}

/** "keys and synth": between two that play "and" parts them as a comma does. */
const parted = (pieces: readonly Piece[]): Piece[] => {
  let more = 0;
  return pieces.flatMap((p, k) => {
    const joins = /^(?:and|und|et|y|e|och|og|en)$/i.test(p.text) && pieces.slice(0, k).some(tells);
    if (joins && pieces.slice(k + 1).some((o) => o.part === p.part && tells(o))) {
      more++;
      return [];
    }
    return [{ ...p, part: p.part + more }];
  });
};

/** "bass DI, 2 gtr, keys stereo, 4 vox": three that are played, each unlike the others, and no word of a way that they go. */
function isBand(text: string, pieces: readonly Piece[]): boolean {
  const played = new Set(
    pieces.flatMap((p) =>
      !p.named && p.read.is === 'instrument' && !TELLS_WHICH.test(p.text)
        ? [MANY_OF.has(p.read.instrument) ? p.text.toLowerCase() : p.read.instrument]
        : []
    )
  );
  return played.size > 2 && !played.has('programme') && !ARROW.test(text) && !pieces.some((p) => WAYS.has(p.read.is));
}
const BARE_GUITAR = /(?<!(?:acoustic|electric|el|elec|bass)\.?\s)\b(?:gtrs?|guitars?)\b/i;

const sum = (some: readonly number[]): number => some.reduce((a, b) => a + b, 0);
const isOfKit = (one: string): boolean => inFull(one) !== undefined;

/** "kick, snare, OH, 1-4": how many there are of each, what may be several taking what is left; null where it does not come out. */
function sizesOf(
  heads: readonly string[],
  own: readonly number[],
  channels: number
): { readonly own: readonly number[]; readonly all: readonly number[] } | null {
  if (own.some((n) => n === 0)) return null;
  if (sum(own) === channels) return { own, all: own };
  const may = heads.flatMap((one, k) => (SEVERAL.test(one) && own[k] === 1 ? [k] : []));
  // Beside others overheads are two.
  const two = may.length > 1 ? may.filter((k) => OVERHEADS.test(heads[k])) : [];
  const open = may.filter((k) => !two.includes(k));
  const least = own.map((n, k) => (two.includes(k) ? 2 : n));
  const more = channels - sum(least);
  if (open.length > 1 || more < 0 || more > MOST_MORE || (more > 0 && open.length === 0)) return null;
  return { own, all: least.map((n, k) => n + (k === open[0] ? more : 0)) };
}
const OVERHEADS = /^\s*(?:oh|ohs|overheads?)\b/i;
const SEVERAL = /^\s*(?:oh|ohs|overheads?|toms|bvs?|bgvs?|choir|horns|congas|keys|tracks|playback)\b/i;
const MOST_MORE = 3;

const NUMBERED = /^\s*[\p{L}][\p{L}\s]*\d{1,2}(?![\p{L}\d]|\s*(?:m|ft)\b)/u;

/** "bv 1 bv 2 bv 3 dyn", "key L + key R active DI": one name, and each the next of it; what stands behind the last of them is of all. */
function countsUp(heads: readonly string[]): string[] | null {
  const said = heads.map((one) => /^\s*(\p{L}[\p{L}\s]*?)\s+(\d{1,2}|[LR])(?![\p{L}\d])(.*)$/u.exec(one));
  const name = said[0]?.[1].toLowerCase();
  const which = (k: number): string[] => [String(k + 1), ...(heads.length === 2 ? ['LR'[k]] : [])];
  if (!said.every((m, k) => m !== null && m[1].toLowerCase() === name && which(k).includes(m[2]))) return null;
  const behind = said[said.length - 1]![3].trim();
  return behind === '' ? null : said.map((m) => `${m![1]} ${m![2]}${m![3].trim() ? m![3] : ` ${behind}`}`);
}
const SO_MANY =
  /^\s*\d{1,2}\s*x?\s+(?!(?:m|ft|feet|met(?:re|er)s?)\b)\p{L}|^\s*\p{L}+\s+x\s?\d|\bl\s?\/\s?r\b|\bpair\b|\b\d{1,2}\s*x?\s*(?:ohs?|overheads?|conds?|condensers?|dyns?|mics|ribbons?|clips|lavs|spots)\b/iu;

/** Ways to part it, the likeliest first. */
function headsOf(text: string, pieces: readonly Piece[]): string[][] {
  const ways: string[][] = [];
  const kit = shortKit(text);
  const run = channelRun(pieces);
  const isChannel = (p: Piece): boolean =>
    ['channels', 'channel'].includes(p.read.is) ||
    run.includes(p) ||
    (p.read.is === 'number' && p === pieces[pieces.length - 1]);
  if (kit) {
    const rest = pieces.filter((p) => p.from >= kit.to && !isChannel(p));
    ways.push(kit.names.map((name) => withTail(name, textOf(text, rest))));
  }
  const before = pieces.filter((p) => p.named);
  const behind = withoutSection(pieces).filter((p) => !p.named);
  // "2 vln, vla, vlc: piezo, active DIs, 5-8": all of it before the colon, what it is taken by behind.
  const listed = before.filter(({ read }) => read.is === 'instrument').length > 1 && !behind.some(plays);
  const from = listed ? before.map((p) => ({ ...p, named: false })) : behind;
  for (const each of [false, true]) {
    const groups = groupsIn(text, from, isChannel, each);
    const tail = textOf(text, listed ? behind.filter((p) => !isChannel(p)) : groups.tail);
    // An amplifier that is one of them has a microphone before it.
    const own = groups.heads.map((head) => textOf(text, head) + (head.every(isRig) ? ' mic' : ''));
    const way = own.map((one, k) => (groups.heads[k].some(kind) && k < own.length - 1 ? one : withTail(one, tail)));
    // Mostly the two are the same, and reading them twice would tell nothing.
    if (way.join('\n') !== ways.at(-1)?.join('\n')) ways.push(way);
  }
  return ways;
}

const withTail = (head: string, tail: string): string => (tail.trim() ? `${head}, ${tail.trim()}` : head);

/** Pieces by what plays; `tail`: what is said behind the last in parts of its own, of all that say not themselves how they are taken. @param each so many of something that gives a signal are more */
function groupsIn(
  text: string,
  pieces: readonly Piece[],
  isChannel: (p: Piece) => boolean,
  each: boolean
): { heads: Piece[][]; tail: Piece[] } {
  const heads: Piece[][] = [];
  let tail: Piece[] = [];
  for (const part of partsOf(pieces).flatMap(byPlayer)) {
    // "snare bottom (phase)", "organ (clonewheel)": in brackets it is said of the one before.
    if (heads.length > 0 && inBrackets(text, part[0])) {
      (tail.length > 0 ? tail : heads[heads.length - 1]).push(...part.filter((p) => !isChannel(p)));
      continue;
    }
    const left = part.filter((p) => !isChannel(p));
    if (left.length === 0) continue;
    const last = heads[heads.length - 1];
    if (last?.some(isComputer) && left.some(isInterface) && !left.some(plays)) {
      last.push(...left);
      continue;
    }
    if (
      !last ||
      left.some(plays) ||
      (left.some(tells) && ((each && isMany(left[0])) || last.some(kind) || tail.some(kind)))
    ) {
      // What stood between two things was of the one before.
      last?.push(...tail);
      tail = [];
      const shared = left.some(plays) ? sharedFrom(left) : -1;
      heads.push(shared > 0 ? left.slice(0, shared) : left);
      if (shared > 0) tail = left.slice(shared);
    } else tail.push(...left);
  }
  return { heads, tail: tail.filter((p) => !OF_ALL.test(p.text)) };
}

/** "laptop, USB interface": the interface is the laptop's. */
const isComputer = ({ read, text }: Piece): boolean =>
  read.is === 'source' && read.model === 'headphone' && /laptop|computer|\bpc\b|tablet|phone/i.test(text);
const isInterface = ({ read }: Piece): boolean => read.is === 'source' && read.model === 'interface-out';

/** Three or more that play, or two that are numbered, with nothing between them: each is one. */
function byPlayer(part: readonly Piece[]): (readonly Piece[])[] {
  const at = part.flatMap((p, k) => (plays(p) ? [k] : []));
  const numbered = at.length === 2 && at.every((k) => part[k + 1]?.read.is === 'number');
  if (at.length < 3 && !numbered) return [part];
  return at.map((from, k) => part.slice(k === 0 ? 0 : from, at[k + 1] ?? part.length));
}
