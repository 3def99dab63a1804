import { checkSetting, givesPhantom, modelOf, wantsPhantom } from '../../gear/catalogue';
import { type LineSpec, MOST_BOXES } from '../../plan/spec';
import { cutText } from '../../text/well-formed';
import { fromDbu, fromDbv } from '../../units/quantity';
import { cut, type Piece } from './cut';
import { boxesOf, type Device, inputOf, MICS, type Source, sourceOf, usualInput } from './parts';
import { cablesOf } from './cables';
import { nameOf, namePieces, plain, sideName } from './names';
import type { Assumed, TradeReading } from './reading';
import { channelsSaid, counted, countOf, sidesOf } from './sides';

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

/** "camera input from mixer output": where it goes was said first, and where it comes from behind a word. */
const FROM = /,?\s(?:(?:is|being|are)\s)?(?:(?:fed|driven|supplied|connected)\s)?(?:from|by)\s/i;

/** What was said the other way round, read the usual way; its pieces stand where they were typed. */
function turned(text: string, pieces: readonly Piece[], options: Options): TradeReading | null {
  const from = FROM.exec(text);
  if (!from) return null;
  const behind = from.index + from[0].length;
  const before = pieces.filter((p) => p.to <= from.index);
  const after = pieces.filter((p) => p.from >= behind);
  const comes = (some: readonly Piece[]): boolean =>
    some.some((p) => p.read.is === 'source' || p.read.is === 'instrument');
  const goes = before.some((p) => p.read.is === 'input' || p.read.is === 'amp');
  if (!goes || comes(before) || !comes(after)) return null;
  const rest = text.slice(behind);
  const reading = readTrade(`${rest}, ${text.slice(0, from.index)}`, options);
  const back = (p: Piece): Piece => {
    const shift = p.from < rest.length ? behind : -(rest.length + 2);
    return { ...p, from: p.from + shift, to: p.to + shift };
  };
  const all = (some: readonly Piece[]): Piece[] => some.map(back).sort((a, b) => a.from - b.from);
  return { ...reading, pieces: all(reading.pieces), ignored: all(reading.ignored), guessed: all(reading.guessed) };
}

/** Reads what an engineer types: any order, the trade's short forms, left out what goes without saying. Never throws. */
export function readTrade(text: string, options: Options = {}): TradeReading {
  const pieces = cut(text, options.row);
  const other = turned(text, pieces, options);
  if (other) return other;
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
  // Of an adapter it may be said what has become of the third contact.
  if (/pin ?3 (?:is |left )?(?:open|floating|lifted|unconnected|not connected)/i.test(text))
    for (const box of list) box.model = box.model.replace(/-grounded$/, '-open');
  const said = inputOf(pieces, source, list);
  const into = said && modelOf(said.model).ports[0].socket;
  const out = modelOf(list[list.length - 1]?.model ?? source.model).ports.find((p) => p.way === 'out')?.socket;
  // A lead from XLR to a 3.5 mm plug is what its two ends are.
  const ends = pieces.some((p) => p.read.is === 'cable' && /xlr to (?:mini|3)/i.test(p.text));
  if (ends && into === 'mini' && (out === 'xlr' || out === 'trs') && list.length + 2 <= MOST_BOXES) {
    if (out === 'xlr') list.push({ model: 'xlr-to-jack', settings: {}, at: null });
    list.push({ model: 'jack-to-mini', settings: {}, at: null });
  }
  const input: Device = said ?? { model: options.input ?? usualInput(source.model, list), settings: {}, at: null };
  if (!said) assumed.add('input');
  // Of a power amplifier only; a guitar has a bridge, too.
  if (
    /\bbridged?\b(?!\s*(?:piezo|pickup|saddle))/i.test(text) &&
    !checkSetting(modelOf(source.model), 'bridged', 'yes')
  )
    source.settings.bridged = 'yes';
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
  const elsewhere = pieces.some((p) => p.read.is === 'elsewhere');
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
      source: elsewhere ? { ...plain(source), elsewhere: true } : plain(source),
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

/** Volts for a pascal of a microphone of which nobody said so: the middle of what data sheets give. */
const USUAL_SENSITIVITY: Readonly<Record<string, number>> = {
  'dynamic-mic': 1.8e-3,
  'condenser-mic': 12e-3,
  ribbon: 1.4e-3,
  lavalier: 8e-3
};

/** What a line output gives that is switched to microphone level: forty decibels less, as far as its class goes that low. */
function atMicLevel(source: Device): void {
  const { nominal } = modelOf(source.model).params;
  if (nominal && modelOf(source.model).ports[0].level === 'line')
    source.settings.nominal = Math.max(nominal.low, nominal.typ / 100);
}

/** Watts of an amplifier into its load: what it gives at most, and its average as far below that as its class has it. Of all else they say nothing. */
function amplifier(source: Device, { watt, load }: { watt: number; load?: number }): void {
  const { params } = modelOf(source.model);
  if (!params.watt || !params.load || !params.nominal) return;
  const ohm = load ?? params.load.typ;
  const set = {
    watt,
    load: ohm,
    nominal: params.nominal.typ * Math.sqrt((watt * ohm) / (params.watt.typ * params.load.typ))
  };
  for (const [key, value] of Object.entries(set))
    if (!checkSetting(modelOf(source.model), key, value)) source.settings[key] = value;
}

/** A 9 V battery that is nearly done, volts. */
const LOW_VOLTS = 6.5;

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
  const has = (key: string, value: string | number, among: readonly Device[] = chain): Device | undefined =>
    among.find((d) => !checkSetting(modelOf(d.model), key, value));
  pieces.forEach((piece, k) => {
    const { read } = piece;
    if (read.is === 'pad') {
      // What a DI for loudspeakers takes off, it always takes off.
      if (!boxes.some((b) => b.model.startsWith('speaker-di')) || read.db < 40)
        put(piece, has('pad', String(read.db)), 'pad', String(read.db));
    } else if (read.is === 'lift') put(piece, has('lift', 'lifted'), 'lift', read.lifted ? 'lifted' : 'joined');
    else if (read.is === 'polarity') put(piece, has('polarity', 'inverted'), 'polarity', 'inverted');
    else if (read.is === 'cut') put(piece, input, 'lowCut', read.hz);
    else if (read.is === 'phantom') {
      if (givesPhantom(input.model)) put(piece, input, 'phantom', read.on ? 'on' : 'off');
      else if (read.on) left.add(piece);
    } else if (read.is === 'level') {
      const n = Number(read.text.replace(/db[uv]/i, '').replace(/\s/g, ''));
      put(piece, source, 'nominal', /dbv/i.test(read.text) ? fromDbv(n) : fromDbu(n));
    } else if (read.is === 'unearthed') {
      const earth = read.shocks ? 'shocks' : 'removed';
      put(piece, has('earth', earth, [source, ...chain]), 'earth', earth);
    } else if (read.is === 'battery-low') {
      // A figure where the model has one: what is told of a 9 V battery that is going is some 6.5 V.
      const volts = read.volts ?? LOW_VOLTS;
      const cell = has('cell', 'low', [source, ...boxes]);
      const on = cell ?? has('battery', volts, [source, ...boxes]);
      put(piece, on, cell ? 'cell' : 'battery', cell ? 'low' : volts);
      if (on && !checkSetting(modelOf(on.model), 'power', 'battery')) on.settings.power = 'battery';
    } else if (read.is === 'cabinet-on') {
      // Of a transistor amplifier it changes nothing.
      const on = has('cabinet', 'connected', [source]);
      if (on) put(piece, on, 'cabinet', 'connected');
    } else if (read.is === 'through') put(piece, has('mode', 'through'), 'mode', 'through');
    else if (read.is === 'filler' && /^(?:at )?mic(?:rophone)? level$/i.test(piece.text)) atMicLevel(source);
    else if (read.is === 'without' && read.what.is === 'pad') put(piece, has('pad', 'off'), 'pad', 'off');
    else if (read.is === 'watt') amplifier(source, read);
    else if (read.is === 'spl') {
      const said = pieces.flatMap((p) => (p.read.is === 'sensitivity' ? [p.read.volts] : []));
      const volts = (said[0] ?? USUAL_SENSITIVITY[source.model]) * 10 ** ((read.db - 94) / 20);
      put(piece, source, 'nominal', volts);
    } else if (read.is === 'ohm' && read.ohm !== 10e6) {
      // Said of an output or an input: of whichever stands nearest before it.
      const before = pieces
        .slice(0, k)
        .reverse()
        .find((p) => ['input', 'source', 'instrument'].includes(p.read.is) || /^out/.test(p.text.toLowerCase()));
      const named = pieces[k - 1]?.read.is === 'channel';
      const near = named || before?.read.is === 'input' || pieces[k + 1]?.read.is === 'input' ? input : source;
      put(piece, near, near === input ? 'zin' : 'R', read.ohm);
    }
  });
  return done;
}
