import { checkSetting, givesPhantom, hasTrait, mainOut, modelOf, wantsPhantom } from '../../gear/catalogue';
import { type LineSpec, MOST_BOXES } from '../../plan/spec';
import { cutText } from '../../text/well-formed';
import { cut } from './cut';
import { playersAndDis } from './player-di';
import type { Piece } from './pieces';
import { boxesOf, kindAlone } from './boxes';
import { MICS } from './evidence';
import { type Device, sourceOf } from './parts';
import { inputOf, usualInput } from './where';
import { cablesOf, metresOf } from './cables';
import { fromAux } from './aux';
import { announced, led, strung } from './announced';
import { bracketed, leadingNumber, ofAnother } from './leading-number';
import { asItsOwn } from './its-own';
import { bareMetres } from './bare-metres';
import { bothOf } from './both';
import { isPlace, nameOf, namePieces, placeNames, plain, saysPlaces, sideName } from './names';
import { turned, turnedRound } from './turned';
import { saidOfOne } from './one-of-two';
import { applySettings } from './settings';
import type { Assumed, TradeReading } from './reading';
import { doubled, eachOf, manyOf, takesEach, unlikeOf } from './several';
import { thruOf, thruSpec } from './thru';
import { channelsSaid, counted, countOf, isOutput, sidesOf } from './sides';

export interface Options {
  /** A row of a list, which begins by its channel. */
  readonly row?: boolean;
  /** Name that another column has told. */
  readonly name?: string;
  readonly channel?: number;
  /** Where rows go that say nothing of it. */
  readonly input?: string;
}

const MOST_LINES = 32;

/** Reads what an engineer types: any order, the trade's short forms, left out what goes without saying. Never throws. */
export function readTrade(text: string, options: Options = {}): TradeReading {
  const round = turnedRound(text, options, readTrade);
  if (round) return round;
  const cutUp = led(announced(strung(ofAnother(text, bracketed(text, cut(text, options.row))))));
  const pieces = kindAlone(text, leadingNumber(bareMetres(asItsOwn(fromAux(text, playersAndDis(text, cutUp))))));
  const other = turned(text, pieces, options, readTrade);
  if (other) return other;
  const each = doubled(text, pieces, options, readTrade) ?? eachOf(text, pieces, options, readTrade);
  if (each) return each;
  const thru = thruOf(text, pieces);
  if (thru) {
    const main = readTrade(thru.rest, options);
    if (main.specs.length > 0)
      return {
        ...main,
        pieces: [...main.pieces, ...thru.pieces].sort((a, b) => a.from - b.from),
        specs: main.specs.flatMap((line) => [line, thruSpec(line, thru)])
      };
  }
  const more =
    takesEach(text, pieces, options, readTrade) ??
    unlikeOf(text, pieces, options, readTrade) ??
    bothOf(text, pieces, options, readTrade) ??
    manyOf(text, pieces, options, readTrade);
  if (more) return more;
  const guessed = pieces.filter((p) => p.as !== undefined);
  const channels = options.channel !== undefined ? [options.channel] : channelsSaid(pieces);
  const source = sourceOf(pieces, channels.length > 0);
  const unknown = pieces.filter((p) => p.read.is === 'unknown');
  if (!source) return { pieces, specs: [], assumed: [], ignored: unknown, guessed, said: {}, metres: null };
  const assumed = new Set<Assumed>(source.assumed ? ['source'] : []);
  const sides = sidesOf(pieces);
  const boxes = boxesOf(pieces, source, sides > 1 || channels.length > 1);
  if (boxes.assumed) assumed.add('di');
  const list = boxes.list.slice(0, MOST_BOXES);
  // Of an adapter it may be said what has become of the third contact.
  const three = pieces.find((p) => p.read.is === 'pin-three')?.read;
  if (three?.is === 'pin-three')
    for (const box of list)
      if (/^xlr-to-(?:jack|rca)/.test(box.model))
        box.model = `${box.model.replace(/-(?:grounded|open)$/, '')}-${three.open ? 'open' : 'grounded'}`;
  const said = inputOf(pieces, source, list);
  const into = said && modelOf(said.model).ports[0].socket;
  const out = mainOut(modelOf(list[list.length - 1]?.model ?? source.model))?.socket;
  // A lead from XLR to a 3.5 mm plug is what its two ends are.
  const ends = pieces.some((p) => p.read.is === 'cable' && /xlr to (?:mini|3)/i.test(p.text));
  if (ends && into === 'mini' && (out === 'xlr' || out === 'trs') && list.length + 2 <= MOST_BOXES) {
    if (out === 'xlr') list.push({ model: 'xlr-to-jack', settings: {}, at: null });
    list.push({ model: 'jack-to-mini', settings: {}, at: null });
  }
  const input: Device = said ?? { model: options.input ?? usualInput(source.model, list), settings: {}, at: null };
  // Phantom that is on comes out of a microphone input, whatever is plugged there.
  if (
    (!said || said.model === 'recorder-in') &&
    !givesPhantom(input.model) &&
    pieces.some((p) => p.read.is === 'phantom' && p.read.on)
  )
    input.model = 'mic-in';
  if (!said) assumed.add('input');
  // Of a power amplifier only; a guitar has a bridge, too.
  if (
    /\bbridged?\b(?!\s*(?:piezo|pickup|saddle))/i.test(text) &&
    !checkSetting(modelOf(source.model), 'bridged', 'yes')
  )
    source.settings.bridged = 'yes';
  // A clip-on electret with an XLR has its own module before it, which lives on phantom.
  if (byItsModule(pieces, source, list, input)) source.settings.feed = 'phantom';
  const left = new Set<Piece>();
  const saidSettings = applySettings(pieces, source, list, input, left);
  if (list.some(wantsPhantom) || wantsPhantom(source)) {
    if (givesPhantom(input.model) && input.settings.phantom === undefined) {
      input.settings.phantom = 'on';
      assumed.add('phantom');
    }
  }
  const one = sides === 1 && channels.length < 2 && (boxes.dis ?? 1) < 2;
  const lengths = pieces.filter((p) => p.read.is === 'length');
  const metres = lengths.length === 0 ? null : lengths.reduce((sum, p) => sum + metresOf(pieces, p, one), 0);
  const { cables, assumed: cablesAssumed } = cablesOf(pieces, source, list, input, one);
  cablesAssumed.forEach((a) => assumed.add(a));
  const called = options.name ?? nameOf(text, pieces, source, unknown);
  const elsewhere = pieces.some((p) => p.read.is === 'elsewhere');
  // What stands on another circuit and gives its picture by HDMI is a display or a computer with an earth.
  if (elsewhere && source.model === 'hdmi-extractor' && source.settings.feed === undefined)
    source.settings.feed = 'mains-1';
  // Two things that are not the desk's are on two circuits: the one that it goes to is on the other.
  const standsAlone = hasTrait(input.model, 'stands-alone');
  const many = countOf(pieces, sides, boxes.dis, channels, options);
  // "kick in/out": a microphone at either place.
  const twoPlaces =
    many === 1 && channels.length === 0 && options.channel === undefined && MICS.has(source.model) && saysPlaces(text);
  const count = twoPlaces ? 2 : Math.min(many, MOST_LINES);
  // "2 overheads" are two of them, each by its own number.
  const [, so, rest] = /^(\d+)(?:\s*x)?\s+(.+)$/i.exec(called) ?? [];
  // "1 vocal mic" is one of them.
  const single = count === 1 && options.name === undefined && channels[0] !== 1;
  const bare = (count > 1 || single) && Number(so) === count ? rest[0].toUpperCase() + rest.slice(1) : called;
  // "Toms 1-3" are numbered one by one.
  const name =
    count > 1 ? bare.replace(new RegExp(`\\s+1(?:\\s*[-–]\\s*${String(count)}(?!\\d)|(?:\\s+\\d+)+$)`), '') : bare;
  const places = count === 2 && sides === 1 ? placeNames(text, name) : null;
  const ofOne = count === 2 ? saidOfOne(pieces, places !== null) : new Map<string, number>();
  const own = (device: Device, k: number): Device => without(device, (key) => (ofOne.get(key) ?? k) !== k);
  const plainInput = (device: Device): LineSpec['input'] =>
    standsAlone && elsewhere ? { ...plain(device), elsewhere: true } : plain(device);
  const specs = Array.from({ length: count }, (_, k): LineSpec => {
    const side = sideName(sides, count, k);
    return {
      name: cutText(places?.[k] ?? (count > 1 ? `${name} ${side}` : name), 80),
      ...(channels[k] !== undefined
        ? { channel: channels[k] }
        : channels[0] !== undefined && count > 1
          ? { channel: channels[0] + k }
          : {}),
      ...(sides > 1 && k < 2 && count > 1 ? { pair: cutText(name, 80) } : {}),
      source: elsewhere && !standsAlone ? { ...plain(source), elsewhere: true } : plain(source),
      lead: cables[0],
      box: list[0] ? plain(own(list[0], k)) : null,
      run: list.length > 0 ? cables[1] : null,
      ...(list.length > 1
        ? { more: list.slice(1).map((box, n) => ({ box: plain(own(box, k)), run: cables[n + 2] })) }
        : {}),
      input: plainInput(own(input, k))
    };
  });
  const named = new Set(namePieces(pieces, source, unknown));
  const ignored = [
    ...unknown.filter((p) => !named.has(p) && !(places && isPlace(text, p.text))),
    ...left,
    ...others(pieces, source, named),
    ...pieces.filter(
      ({ read, text }) => read.is === 'box' && JOINING.test(text) && !list.some((b) => b.model === read.model)
    ),
    ...pieces.filter((p) => isSummingY(text, p) && !list.some((b) => SUMS.test(b.model))),
    ...pieces.filter((p) => isNoChannel(pieces, p, channels)),
    ...pieces.filter(
      (p) =>
        p.read.is === 'number' &&
        !named.has(p) &&
        !counted(pieces, p) &&
        !isOutput(pieces, p) &&
        !channels.includes(p.read.value) &&
        // "8 outs" of eight.
        p.read.value !== specs.length &&
        !specs.some((s) => p.read.is === 'number' && s.channel === p.read.value)
    )
  ];
  const saidOf = (k: number): TradeReading['said'] =>
    Object.fromEntries(Object.entries(saidSettings).filter(([key]) => (ofOne.get(key) ?? k) === k));
  const saidOfEach = ofOne.size === 0 ? {} : { each: specs.map((_, k) => ({ said: saidOf(k), metres })) };
  return { pieces, specs, assumed: [...assumed], ignored, guessed, said: saidSettings, metres, ...saidOfEach };
}

/** Whether a clip-on electret goes by an XLR: into a microphone input with nothing between, and by no 3.5 mm plug. */
const byItsModule = (pieces: readonly Piece[], source: Device, boxes: readonly Device[], input: Device): boolean =>
  source.model === 'lavalier' &&
  boxes.length === 0 &&
  givesPhantom(input.model) &&
  (!pieces.some(({ read }) => read.is === 'cable' && read.kind === 'mini') ||
    pieces.some((p) => MODULE.test(p.text))) &&
  !pieces.some(({ text }) => /plug[\s-]?in/i.test(text));

const MODULE = /^(?:(?:xlr )?phantom (?:power )?(?:adapt[eo]r|module)|(?:xlr )?power module)$/i;

/** Joins that only two sides of one plug have: two outputs of two things on one lead are no line. */
const JOINING = /^(?:joined|y[ -]lead)/i;

/** "both outputs summed by a Y lead": two outputs on one lead, where the line became the output of one. */
const isSummingY = (text: string, { text: word }: Piece): boolean =>
  /^y$/i.test(word) && /\b(?:summed|joined|combined|merged|mixed)\b[^,;]*\by\b/i.test(text);
const SUMS = /^(?:plain-y|merge-box|y-)/;

/** A channel that was said and that no line has: of two lists of them the other one. */
const isNoChannel = (pieces: readonly Piece[], piece: Piece, channels: readonly number[]): boolean =>
  piece.read.is === 'channels' &&
  !piece.named &&
  !isOutput(pieces, piece) &&
  !piece.read.list.some((n) => channels.includes(n)) &&
  // "snake 2 ch 4" is the fourth of the second snake.
  pieces[pieces.indexOf(piece) + 1]?.read.is !== 'channel';

const without = (device: Device, gone: (key: string) => boolean): Device => ({
  ...device,
  settings: Object.fromEntries(Object.entries(device.settings).filter(([key]) => !gone(key)))
});

/** "kick in, snare top": drums and voices that stand in parts of their own and are not what the line became; they want lines of their own. */
function others(pieces: readonly Piece[], source: Pick<Device, 'at' | 'model'>, named: ReadonlySet<Piece>): Piece[] {
  const at = pieces.find((p) => p.from === source.at);
  return pieces.filter(
    ({ read, part, named: name }, k) =>
      read.is === 'instrument' &&
      read.mic !== undefined &&
      !name &&
      at !== undefined &&
      (at.read.is === 'instrument' || MICS.has(source.model)) &&
      part > at.part &&
      !named.has(pieces[k])
  );
}
