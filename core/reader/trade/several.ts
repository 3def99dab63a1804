import { cutText } from '../../text/well-formed';
import type { Piece } from './pieces';
import type { Options } from './read';
import type { LineSpec } from '../../plan/spec';
import { byCommas } from './by-commas';
import { groupsOf } from './groups';
import { inFull } from './kit-letters';
import { ownChannels } from './own-channels';
import { MICS } from './evidence';
import { inBrackets, OF_ALL, partsOf, SECTION, sharedFrom, tells, textOf } from './parts-of-text';
import { together, type TradeReading } from './reading';
import { channelsSaid, counted } from './sides';
import { takesOf } from './takes';

/** Several lines typed as one: each with its own channel, "kick ch 1, snare ch 2", or with channels behind them all, "kick, snare, hat, 1-3". */

/** One of them: what was typed of it, and its channels in order; none where they are told in the text. */
export interface One {
  readonly text: string;
  readonly channels: readonly number[];
}

/** "gtr 2" and no more. */
const isNumbered = (part: readonly Piece[]): boolean =>
  part.length === 2 && part[0].read.is === 'instrument' && part[1].read.is === 'number';
const isSame = (a: Piece, b: Piece): boolean => a.text.toLowerCase() === b.text.toLowerCase();
/** What is said of all in the last of them, as a part of its own. */
function sharedBehind(part: readonly Piece[]): (readonly Piece[])[] {
  const all = sharedFrom(part);
  return all > 0 && part.slice(0, all).some(tells) ? [part.slice(0, all), part.slice(all)] : [part];
}

/** "4 cond", "3 clips": a number of what stands before them. */
const tellsMany = (pieces: readonly Piece[], p: Piece): boolean => {
  const next = pieces[pieces.indexOf(p) + 1];
  const clips = next?.part === p.part && next.read.is === 'note' && /^clips$/i.test(next.text);
  return p.read.is === 'number' && (counted(pieces, p) || clips);
};
/** "choir soprano/alto": the second is of the choir, too. */
const ofChoir = (all: readonly Piece[], part: readonly Piece[]): string =>
  /^choir\b/i.test(all[0].text) && part[0] !== all[0] && part[0].read === all[0].read ? 'choir ' : '';

/** As many instruments as channels, one after the other, and what is said behind them of each: "alto sax, tenor sax, clips, 9 10". */
function asManyAs(text: string, pieces: readonly Piece[]): One[] | null {
  const channels = channelsSaid(pieces);
  // "violin/viola/cello 3 clips": no channels, and so many of what stands behind them.
  const told = channels.length === 0 ? pieces.find((p) => tellsMany(pieces, p)) : undefined;
  const asMany = told?.read.is === 'number' && told.read.value > 2 ? told.read.value : channels.length;
  if (asMany < 2) return null;
  const isChannel = ({ read }: Piece): boolean =>
    read.is === 'channels' || read.is === 'channel' || (read.is === 'number' && channels.includes(read.value));
  // "violin, viola, cello all clip condensers": said in the last of them, of all.
  const parts = partsOf(pieces).flatMap((part, k, all) => {
    // "gtr 1 & gtr 2 cab dyn": what is said behind the second is of both.
    if (
      part.length > 2 &&
      k > 0 &&
      isNumbered(all[k - 1]) &&
      isNumbered(part.slice(0, 2)) &&
      isSame(all[k - 1][0], part[0])
    )
      return [part.slice(0, 2), part.slice(2)];
    const at = part.findIndex((p) => p === told);
    return at > 0 ? [part.slice(0, at), part.slice(at + 1)] : sharedBehind(part);
  });
  const plays = (part: readonly Piece[]): boolean =>
    part.filter((p) => p.read.is === 'instrument').length === 1 &&
    !part.some((p) =>
      ['sides', 'channels', 'count', 'times', 'di', 'box', 'length', 'input', 'amp'].includes(p.read.is)
    );
  let many = 0;
  while (many < parts.length && plays(parts[many])) many++;
  if (many !== asMany) return null;
  const first = parts.slice(0, many);
  // "hihat, ride: condensers, 5/6": what stands before the colon is all of their names.
  const named = (part: readonly Piece[]): boolean => part.some((p) => p.named);
  if (parts.some(named) && !(first.every(named) && !parts.slice(many).some(named))) return null;
  // Drums and voices, or things of one kind: "guitar, single coil, 5/6" is one guitar.
  const names = first.map((part) =>
    part
      .filter((p) => p.read.is === 'instrument' || p.read.is === 'number')
      .map((p) => p.text.toLowerCase())
      .join(' ')
  );
  if (new Set(names).size !== many) return null;
  const rest = parts
    .slice(many)
    .flat()
    .filter((p) => p !== told && !OF_ALL.test(p.text));
  // "vox dyn, bass, keys passive DIs": a microphone goes by none.
  const ownKind = first.some((part) => part.some(({ read }) => read.is === 'source'));
  if (ownKind && rest.some(({ read }) => read.is === 'di')) return null;
  // "snare top, snare bottom (phase)" is said of the last.
  if (rest.some((p) => inBrackets(text, p))) return null;
  // "horn section" is all of them.
  if (rest.some((p) => p.read.is === 'instrument' && !SECTION.test(p.text))) return null;
  const behind = textOf(text, rest, new Set(rest.filter((p) => isChannel(p) || SECTION.test(p.text))));
  return first.map((part, k) => ({
    text: `${ofChoir(pieces, part)}${textOf(text, part).trim()}${behind.trim() ? `, ${behind}` : ''}`,
    channels: channels.slice(k, k + 1)
  }));
}

type Reader = (one: string, options: Options) => TradeReading;
type Split = (text: string, pieces: readonly Piece[], options: Options, read: Reader) => TradeReading | null;

/** "2 vocals, one of them also plays accordion (XLR out)": what else somebody plays is a line of its own. */
const DOUBLES =
  /\s*[,;(]?\s*(?:(?:(?:one|two|some) of (?:them|whom)|who|and|he|she)\s+)?(?:also\s+(?:plays?|on)|(?<=\bwho\s)plays?|doubles?\s+on|doubling(?:\s+on)?)\s+/i;
function doubling(text: string): One[] | null {
  const also = DOUBLES.exec(text);
  if (!also || also.index === 0) return null;
  const halves = [text.slice(0, also.index), text.slice(also.index + also[0].length)];
  return halves.map((half) => ({ text: half, channels: [] }));
}
/** "drums 4 mics (k, sn, 2 oh)": as many as are told in brackets behind it. */
const TOLD_BEHIND = /^[^()]*?\b(\d{1,2})\s*x?\s*(?:mics?|microphones|channels?|ch|inputs?|lines?)\s*\(([^()]+)\)\s*$/i;
function toldBehind(text: string, read: (one: string) => number): One[] | null {
  const [, many, list] = TOLD_BEHIND.exec(text) ?? [];
  if (list === undefined) return null;
  const ones = list.split(/\s*[,+/]\s*/).map((one) => inFull(one) ?? one);
  const count = ones.reduce((sum, one) => sum + read(one), 0);
  return ones.length > 1 && count === Number(many) ? ones.map((one) => ({ text: one, channels: [] })) : null;
}
/** "laptop → stereo media DI; presenter headset radio": what stands between semicolons and can be read by itself. */
function bySemicolons(text: string, pieces: readonly Piece[], read: (one: string) => number): One[] | null {
  const parts = text.split(/\s*;\s*/).filter(Boolean);
  if (parts.length < 2 || pieces.some((p) => p.read.is === 'channels' || p.read.is === 'number')) return null;
  let at = 0;
  const each = parts.map((part) => {
    const from = text.indexOf(part, at);
    at = from + part.length;
    return pieces.filter((p) => p.from >= from && p.to <= at);
  });
  const plays = each.slice(1).every((some) => some.some((p) => p.read.is === 'instrument'));
  return plays && each.every((some) => some.some(tells)) && parts.every((part) => read(part) > 0)
    ? parts.map((one) => ({ text: one, channels: [] }))
    : null;
}
/** "bass -> DI (thru to amp), amp mic'd too": its amplifier's microphone is a line of its own. */
const MICD_TOO =
  /\s*[,;+&]\s*(?:and\s+)?((?:(?:the|his|her)\s+)?(?:amp|cab|cabinet|combo)\s+(?:is\s+)?mi(?:c'?d|ked|ke'?d))(?:\s+(?:too|as well|also))?\s*$/i;
function micdToo(text: string, pieces: readonly Piece[]): One[] | null {
  const too = MICD_TOO.exec(text);
  const player = pieces.find(({ read }) => read.is === 'instrument');
  const before = pieces.some(({ read, to }) => read.is === 'di' && too !== null && to <= too.index);
  return too && player && before && channelsSaid(pieces).length === 0
    ? [text.slice(0, too.index), `${player.text} ${too[1]}, dynamic mic`].map((one) => ({ text: one, channels: [] }))
    : null;
}
/** What somebody plays and what they play as well, and what is told one by one in brackets. @param read reads one of them */
export const doubled: Split = (text, pieces, options, read) => {
  const count = (one: string): number => lines(read(one, options));
  const ones = doubling(text) ?? micdToo(text, pieces) ?? bySemicolons(text, pieces, count) ?? toldBehind(text, count);
  return joined(ones, pieces, options, read);
};
/** Lines that each have a channel of their own. @param read reads one of them */
export const eachOf: Split = (text, pieces, options, read) => joined(ownChannels(text, pieces), pieces, options, read);
/** Three ways and more of taking one thing, a channel for each. @param read reads one of them */
export const takesEach: Split = (text, pieces, options, read) => joined(takesOf(text, pieces), pieces, options, read);
/** Things between commas, of which one at least is several lines: "bass DI + mic, vox". @param read reads one of them */
export const unlikeOf: Split = (text, pieces, options, read) =>
  joined(byCommas(text, pieces, counter(options, read), true), pieces, options, read);
/** An instrument for every channel, or groups of them that are as many together. @param read reads one of them */
export const manyOf: Split = (text, pieces, options, read) => {
  const count = counter(options, read);
  return (
    joined(asManyAs(text, pieces), pieces, options, read) ??
    joined(groupsOf(text, pieces, count) ?? byCommas(text, pieces, count, false), pieces, options, read)
  );
};

/** How many lines a text by itself makes, with a channel where it needs one. */
const counter =
  (options: Options, read: Reader) =>
  (one: string): number =>
    lines(read(one, options)) || lines(read(one, { ...options, channel: 1 }));

/** How many lines there are in it; what goes on by a thru is one more, and no line of its own. */
const lines = (reading: TradeReading): number => reading.specs.filter((s) => !s.thru).length;

/** Several as one reading; null where they are none, or one of them cannot be read. */
function joined(
  ones: readonly One[] | null,
  pieces: readonly Piece[],
  options: Options,
  read: Reader
): TradeReading | null {
  if (!ones || options.channel !== undefined) return null;
  // "DI: bass (1), keys (2)": what stands before the colon tells how each is taken.
  const how = pieces.filter((p) => p.named);
  const by = how.length > 0 && how.every(({ read }) => read.is === 'di' || read.is === 'quality') ? how : [];
  const taken = by.map((p) => p.text).join(' ');
  const none = channelsSaid(pieces).length === 0;
  const readings = ones.map(({ text: said, channels }) => {
    const one = taken === '' || /\bdi\b/i.test(said) ? said : `${said}, ${taken}`;
    if (channels.length === 1) return read(one.trim(), { ...options, channel: channels[0] });
    const reading = read(one.trim(), options);
    let at = 0;
    // Where no channel was said, "tom 1" is the first of them.
    const bare = channels.length === 0 && none;
    const specs = reading.specs.map((s) =>
      bare ? withoutChannel(s) : s.thru || channels.length === 0 ? s : { ...s, channel: channels[at++] }
    );
    return { ...reading, specs };
  });
  if (readings.some((r, k) => lines(r) !== (ones[k].channels.length || lines(r)) || lines(r) === 0)) return null;
  const specs = readings.flatMap((r) => r.specs);
  const called = byTheirTake(specs);
  const twice = (name: string, k: number): number => called.slice(0, k).filter((other) => other === name).length;
  const here = (some: readonly Piece[]): Piece[] =>
    some.flatMap((one) => pieces.find((p) => p.text.toLowerCase() === one.text.toLowerCase()) ?? []);
  const named = specs.map((s, k) => ({
    ...s,
    name: cutText(twice(called[k], k) ? `${called[k]} ${twice(called[k], k) + 1}` : called[k], 80)
  }));
  return {
    ...together(readings, pieces, sidesPaired(named)),
    ignored: here(readings.flatMap((r) => r.ignored)),
    guessed: here(readings.flatMap((r) => r.guessed))
  };
}

const withoutChannel = (spec: LineSpec): LineSpec => {
  const { channel: _, ...rest } = spec;
  return rest;
};

/** Names, where one thing is taken by a microphone and by a DI: "Bass DI", "Bass mic". */
function byTheirTake(specs: readonly LineSpec[]): string[] {
  const isMic = (s: LineSpec): boolean => MICS.has(s.source.model);
  return specs.map((s) => {
    const same = specs.filter((o) => o.name === s.name);
    const both = same.some(isMic) && same.some((o) => !isMic(o));
    if (!both) return s.name;
    return isMic(s) ? `${s.name} mic` : s.box ? `${s.name} DI` : s.name;
  });
}

/** "OH L, OH R" one after the other are the two sides of a pair. */
function sidesPaired(specs: readonly LineSpec[]): LineSpec[] {
  const base = ({ name, pair }: LineSpec, side: string): string | null =>
    pair === undefined && name.endsWith(` ${side}`) ? name.slice(0, -2) : null;
  return specs.map((s, k) => {
    const [left, right] = [base(s, 'L'), base(s, 'R')];
    const [before, next] = [specs[k - 1], specs[k + 1]];
    const paired =
      (left !== null && next && base(next, 'R') === left) || (right !== null && before && base(before, 'L') === right);
    return paired ? { ...s, pair: cutText((left ?? right)!, 80) } : s;
  });
}
