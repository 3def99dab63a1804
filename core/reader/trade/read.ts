import { checkSetting, defaultKind, givesPhantom, modelOf, wantsPhantom } from '../../gear/catalogue';
import { CABLES, type CableKindId, MAX_METRES } from '../../gear/cables';
import { mates } from '../../gear/sockets';
import type { PortSpec } from '../../gear/types';
import { type CableSpec, type LineSpec, MOST_BOXES } from '../../plan/spec';
import { cutText } from '../../text/well-formed';
import { fromDbu, fromDbv } from '../../units/quantity';
import { cut, type Piece } from './cut';
import { boxesOf, type Device, inputOf, MICS, type Source, sourceOf, usualInput } from './parts';

export type Assumed = 'source' | 'di' | 'input' | 'lead' | 'run' | 'phantom' | 'level';

export interface TradeReading {
  readonly pieces: readonly Piece[];
  /** The lines that were said, those of a pair beside each other; none where no source can be made out. */
  readonly specs: readonly LineSpec[];
  readonly assumed: readonly Assumed[];
  /** What was not understood, or said and has no place. */
  readonly ignored: readonly Piece[];
  /** What was taken for something near to it. */
  readonly guessed: readonly Piece[];
  /** Switches and values that were said, whichever device they are of. */
  readonly said: Readonly<Record<string, string | number>>;
  /** All lengths said, of each line, metres; null where none was. */
  readonly metres: number | null;
}
interface Options {
  /** A row of a list, which begins by its channel. */
  readonly row?: boolean;
  /** Name that another column has told. */
  readonly name?: string;
  readonly channel?: number;
  /** Where rows go that say nothing of it. */
  readonly input?: string;
}

const DEFAULT_LEAD = 3;
const DEFAULT_RUN = 5;
const DEFAULT_PATCH = 1;
const MOST_LINES = 32;

/** Two ways of taking one thing, said with a plus: "dyn + ribbon", "bass DI + bass mic dyn". Each is a line of its own. */
function bothOf(text: string, pieces: readonly Piece[], options: Options): TradeReading | null {
  if (options.channel !== undefined) return null;
  const plus = /\s(?:\+|and|&)\s/i.exec(text);
  if (!plus) return null;
  const takes = (from: number, to: number): { mic: boolean; di: boolean } => {
    const there = pieces.filter((p) => p.from >= from && p.to <= to);
    const mic = there.some((p) => p.read.is === 'source' && MICS.has(p.read.model));
    return { mic, di: there.some((p) => p.read.is === 'di') };
  };
  const before = takes(0, plus.index);
  const after = takes(plus.index + plus[0].length, text.length);
  if (!((before.mic && after.mic) || (before.di && after.mic && !before.mic) || (before.mic && after.di && !after.mic)))
    return null;
  const channels = channelsSaid(pieces);
  const prefix = /^[^:|]{1,60}?:\s/.exec(text)?.[0] ?? '';
  const halves = [text.slice(0, plus.index), prefix + text.slice(plus.index + plus[0].length)];
  const whole = sourceOf(pieces);
  const readings = halves.map((half, k) =>
    readTrade(half, { ...options, ...(channels.length > 0 ? { channel: channels[k] ?? channels[0] + k } : {}) })
  );
  if (!whole || readings.some((r) => r.specs.length !== 1)) return null;
  const name = readings[0].specs[0].name;
  return {
    ...readings[0],
    pieces,
    specs: readings.map((r, k) => ({ ...r.specs[0], name: cutText(k === 0 ? name : `${name} 2`, 80) })),
    assumed: [...new Set(readings.flatMap((r) => r.assumed))],
    ignored: readings.flatMap((r) => r.ignored)
  };
}

/** Reads what an engineer types: any order, the trade's short forms, left out what goes without saying. Never throws. */
export function readTrade(text: string, options: Options = {}): TradeReading {
  const pieces = cut(text, options.row);
  const both = bothOf(text, pieces, options);
  if (both) return both;
  const guessed = pieces.filter((p) => p.as !== undefined);
  const source = sourceOf(pieces);
  const unknown = pieces.filter((p) => p.read.is === 'unknown');
  if (!source) return { pieces, specs: [], assumed: [], ignored: unknown, guessed, said: {}, metres: null };
  const assumed = new Set<Assumed>(source.assumed ? ['source'] : []);
  const sides = sidesOf(pieces);
  const channels = options.channel !== undefined ? [options.channel] : channelsSaid(pieces);
  const boxes = boxesOf(pieces, source, sides > 1 || channels.length > 1);
  if (boxes.assumed) assumed.add('di');
  const list = boxes.list.slice(0, MOST_BOXES);
  const said = inputOf(pieces, source, list);
  const input: Device = said ?? { model: options.input ?? usualInput(source.model, list), settings: {}, at: null };
  if (!said) assumed.add('input');
  const left = new Set<Piece>();
  const saidSettings = applySettings(pieces, source, list, input, left);
  if (list.some(wantsPhantom) || wantsPhantom(source)) {
    if (givesPhantom(input.model) && input.settings.phantom === undefined) {
      input.settings.phantom = 'on';
      assumed.add('phantom');
    }
  }
  const lengths = pieces.filter((p) => p.read.is === 'length');
  const metres =
    lengths.length === 0 ? null : lengths.reduce((sum, p) => sum + (p.read.is === 'length' ? p.read.metres : 0), 0);
  const { cables, assumed: cablesAssumed } = cablesOf(pieces, source, list, input);
  cablesAssumed.forEach((a) => assumed.add(a));
  const name = options.name ?? nameOf(text, pieces, source, unknown);
  const count = Math.min(countOf(pieces, sides, boxes.dis, channels, options), MOST_LINES);
  const specs = Array.from({ length: count }, (_, k): LineSpec => {
    const side = sideName(sides, count, k);
    return {
      name: cutText(count > 1 ? `${name} ${side}` : name, 80),
      ...(channels[k] !== undefined
        ? { channel: channels[k] }
        : channels[0] !== undefined && count > 1
          ? { channel: channels[0] + k }
          : {}),
      ...(sides > 1 && k < 2 && count > 1 ? { pair: cutText(name, 80) } : {}),
      source: plain(source),
      lead: cables[0],
      box: list[0] ? plain(list[0]) : null,
      run: list.length > 0 ? cables[1] : null,
      ...(list.length > 1 ? { more: list.slice(1).map((box, n) => ({ box: plain(box), run: cables[n + 2] })) } : {}),
      input: plain(input)
    };
  });
  const named = new Set(namePieces(pieces, source, unknown));
  const ignored = [
    ...unknown.filter((p) => !named.has(p)),
    ...left,
    ...pieces.filter(
      (p) => p.read.is === 'number' && !named.has(p) && !counted(pieces, p) && channels[0] !== p.read.value
    )
  ];
  return { pieces, specs, assumed: [...assumed], ignored, guessed, said: saidSettings, metres };
}

const plain = ({ model, settings }: Device) => {
  const { params, options } = modelOf(model);
  const own = Object.entries(settings).filter(
    ([key, value]) => value !== params[key]?.typ && value !== options[key]?.default
  );
  return { model, settings: Object.fromEntries(own) };
};

/** How many sides of one thing were said: two of a pair, three with a click beside them. */
function sidesOf(pieces: readonly Piece[]): number {
  const mono = pieces.some((p) => p.read.is === 'mono');
  const both = pieces.some((p) => p.read.is === 'sides' || /stereo/i.test(p.text));
  const click = pieces.some(
    (p, k) => p.read.is === 'click' || (p.read.is === 'instrument' && /^cl(?:ic)?k$/i.test(p.text) && k > 0 && both)
  );
  return both && !mono ? (click ? 3 : 2) : 1;
}
function channelsSaid(pieces: readonly Piece[]): number[] {
  const lists = pieces.flatMap((p) => (p.read.is === 'channels' ? [p.read] : []));
  const sure = lists.filter((l) => !l.loose);
  const [best] = (sure.length > 0 ? sure : lists).sort((a, b) => b.list.length - a.list.length);
  if (best) return [...best.list];
  // "bass, DI, 5": a number at the very end, of which nothing else was said.
  const last = pieces[pieces.length - 1];
  return last?.read.is === 'number' && pieces.length > 1 && last.read.value > 0 && last.read.value < 100
    ? [last.read.value]
    : [];
}
const counted = (pieces: readonly Piece[], piece: Piece): boolean => {
  const next = pieces[pieces.indexOf(piece) + 1];
  return next !== undefined && ['di', 'quality', 'source', 'instrument', 'amp', 'box'].includes(next.read.is);
};

function countOf(
  pieces: readonly Piece[],
  sides: number,
  dis: number | null,
  channels: readonly number[],
  options: Options
): number {
  if (options.channel !== undefined) return 1;
  if (channels.length > 1) return channels.length;
  const times = pieces.flatMap((p, k) => {
    if (p.read.is === 'times' || p.read.is === 'count') return [p.read.count];
    if (
      p.read.is === 'number' &&
      p.read.value > 1 &&
      p.read.value <= 16 &&
      counted(pieces, p) &&
      (pieces[k - 1]?.read.is !== 'instrument' || /s$/i.test(pieces[k + 1].text))
    )
      return [p.read.value];
    return [];
  });
  const mono = pieces.some((p) => p.read.is === 'mono');
  const most = Math.max(sides, mono ? 1 : (dis ?? 1), ...times);
  return mono && times.length === 0 ? 1 : most;
}

const sideName = (sides: number, count: number, k: number): string =>
  sides > 1 && count <= 3 ? ['L', 'R', 'click'][k] : String(k + 1);

/** Words that make the name: those before a colon, or what is played with what nobody knows beside it. */
function namePieces(pieces: readonly Piece[], source: Source, unknown: readonly Piece[]): Piece[] {
  const before = pieces.filter((p) => p.named);
  if (before.some((p) => ['unknown', 'instrument', 'source', 'note', 'number'].includes(p.read.is)))
    return before.filter((p) => !['input', 'channel', 'sides'].includes(p.read.is));
  const first =
    pieces.find((p) => p.read.is === 'instrument') ?? unknown[0] ?? pieces.find((p) => p.from === source.at);
  if (!first) return [];
  return pieces.filter(
    (p) =>
      p.part === first.part &&
      ['unknown', 'instrument', 'number', 'note'].includes(p.read.is) &&
      !(p.read.is === 'number' && counted(pieces, p) && pieces[pieces.indexOf(p) + 1].read.is !== 'instrument')
  );
}
function nameOf(text: string, pieces: readonly Piece[], source: Source, unknown: readonly Piece[]): string {
  const words = namePieces(pieces, source, unknown).map((p) => text.slice(p.from, p.to).trim());
  const name = words.join(' ') || pieces.find((p) => p.from === source.at)?.text || 'Line';
  return name[0].toUpperCase() + name.slice(1);
}

/** Pads, lifts, phantom and the like to the device that has them; what none has is left. */
function applySettings(
  pieces: readonly Piece[],
  source: Source,
  boxes: readonly Device[],
  input: Device,
  left: Set<Piece>
): Record<string, string | number> {
  const done: Record<string, string | number> = {};
  const chain: Device[] = [...boxes, input, source];
  const put = (piece: Piece, device: Device | undefined, key: string, value: string | number): void => {
    if (device && !checkSetting(modelOf(device.model), key, value)) device.settings[key] = done[key] = value;
    else left.add(piece);
  };
  const has = (key: string, value: string | number): Device | undefined =>
    chain.find((d) => !checkSetting(modelOf(d.model), key, value));
  pieces.forEach((piece, k) => {
    const { read } = piece;
    if (read.is === 'pad') put(piece, has('pad', String(read.db)), 'pad', String(read.db));
    else if (read.is === 'lift') put(piece, has('lift', 'lifted'), 'lift', read.lifted ? 'lifted' : 'joined');
    else if (read.is === 'polarity') put(piece, has('polarity', 'inverted'), 'polarity', 'inverted');
    else if (read.is === 'cut') put(piece, input, 'lowCut', read.hz);
    else if (read.is === 'phantom') {
      if (givesPhantom(input.model)) put(piece, input, 'phantom', read.on ? 'on' : 'off');
      else if (read.on) left.add(piece);
    } else if (read.is === 'level') {
      const n = Number(read.text.replace(/db[uv]/i, '').replace(/\s/g, ''));
      put(piece, source, 'nominal', /dbv/i.test(read.text) ? fromDbv(n) : fromDbu(n));
    } else if (read.is === 'ohm' && read.ohm !== 10e6) {
      // Said of an output or an input: of whichever stands nearest before it.
      const before = pieces
        .slice(0, k)
        .reverse()
        .find((p) => ['input', 'source', 'instrument'].includes(p.read.is) || /^out/.test(p.text.toLowerCase()));
      const near = before?.read.is === 'input' || pieces[k + 1]?.read.is === 'input' ? input : source;
      put(piece, near, near === input ? 'zin' : 'R', read.ohm);
    }
  });
  return done;
}

/** Cables by what was said of each: its plugs tell lead from run, and so does its place among the boxes. */
function cablesOf(
  pieces: readonly Piece[],
  source: Source,
  boxes: readonly Device[],
  input: Device
): { cables: CableSpec[]; assumed: Assumed[] } {
  const slots = boxes.length + 1;
  const metres: (number | undefined)[] = Array.from({ length: slots });
  const kinds: (CableKindId | undefined)[] = Array.from({ length: slots });
  pieces.forEach((p, k) => {
    if (p.read.is !== 'length') return;
    const kind = kindNear(pieces, k);
    const order = boxes.findIndex((b) => (b.at ?? Infinity) > p.from);
    let slot = order < 0 ? slots - 1 : order;
    if (slots > 1 && (kind === 'mic' || kind === 'multicore' || kind === 'star-quad') && slot === 0) slot = slots - 1;
    if (slots > 1 && kind === 'instrument' && slot === slots - 1) slot = 0;
    if (metres[slot] !== undefined && slots > 1) {
      const free = metres.findIndex((m) => m === undefined);
      if (free >= 0) slot = free;
    }
    metres[slot] = Math.min((metres[slot] ?? 0) + p.read.metres, MAX_METRES);
    if (kind && kind !== 'multicore') kinds[slot] = kind;
  });
  const assumed: Assumed[] = [];
  const models = [source.model, ...boxes.map((b) => b.model)];
  const cables = models.map((from, k): CableSpec => {
    const last = k === models.length - 1;
    const usual =
      k === 0
        ? boxes.length === 0 && last && modelOf(source.model).ports[0].carries === 'balanced'
          ? DEFAULT_RUN
          : DEFAULT_LEAD
        : last
          ? DEFAULT_RUN
          : DEFAULT_PATCH;
    if (metres[k] === undefined) assumed.push(k === 0 ? 'lead' : 'run');
    const length = metres[k] ?? usual;
    const to = models[k + 1] ?? input.model;
    return { kind: fits(kinds[k], from, to) ?? defaultKind(k === 0 ? 'lead' : 'run', from, length), metres: length };
  });
  return { cables, assumed };
}

/** A kind of cable that was said stands only where it goes in at both ends. */
function fits(kind: CableKindId | undefined, from: string, to: string): CableKindId | undefined {
  if (!kind) return undefined;
  const out = modelOf(from).ports.filter((p) => p.way === 'out');
  const into = modelOf(to).ports.filter((p) => p.way === 'in');
  const goes = (ports: readonly PortSpec[]): boolean =>
    ports.some((p) => CABLES[kind].plugs.some((plug) => mates(plug, p.socket)));
  return goes(out) && goes(into) ? kind : undefined;
}

/** What kind of cable a length is of: said right behind or right before it, in its own part. */
function kindNear(pieces: readonly Piece[], k: number): CableKindId | undefined {
  for (const step of [1, -1] as const)
    for (let n = k + step; n >= 0 && n < pieces.length && pieces[n].part === pieces[k].part; n += step) {
      const { read } = pieces[n];
      if (read.is === 'cable') return read.kind;
      if (read.is === 'input' && /^(?:snake|multi|mc)/i.test(pieces[n].text)) return 'multicore';
      if (read.is !== 'filler') break;
    }
  return undefined;
}
