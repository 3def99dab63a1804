import { checkSetting, givesPhantom, modelOf } from '../../gear/catalogue';
import { fromDbu, fromDbv } from '../../units/quantity';
import type { Piece } from './pieces';
import { isOfInput } from './outputs';
import type { Device, Source } from './parts';

/** Switches, levels and what feeds a thing: each said value to the device that has it. */

/** Impedance of the heaviest load that a loudspeaker is, and a tap for it is called by, ohms. */
const MOST_SPEAKER_OHM = 32;
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

/** How much more a receiver gives that is switched to line level than one of which nobody said so, dB: half of the way to the most of its class. */
const LINE_MORE_DB = 7;
function atLineLevel(source: Device): void {
  const { nominal } = modelOf(source.model).params;
  if (nominal && source.model === 'wireless-receiver')
    source.settings.nominal ??= nominal.typ * 10 ** (LINE_MORE_DB / 20);
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

/** "contact pickup 600 pF": of a piezo what is said without a cable beside it is its own. */
export const isOfPickup = (pieces: readonly Piece[], piece: Piece, source: Device): boolean =>
  piece.read.is === 'farad' &&
  !piece.read.each &&
  modelOf(source.model).signal?.nature === 'capacitor' &&
  !pieces.some(({ part, read }) => part === piece.part && (read.is === 'length' || read.is === 'cable'));

const MAXIMUM = /^(?:max(?:imum)?|peak|full[\s-]scale|fs)$/i;
/** What the core of a splitter for lines takes at 20 Hz, dBu: our middle of what data sheets of line transformers give, +14 to +22. */
const LINE_SPLIT_DBU = 18;
/** A 9 V battery that is nearly done, volts. */
const LOW_VOLTS = 6.5;

/** Pads, lifts, phantom and the like to the device that has them; what none has is left. */
export function applySettings(
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
  // Whoever splits lines has cores that take them.
  const splitter = boxes.find((b) => b.model === 'splitter');
  if (splitter && boxes[0] === splitter && ['line', 'consumer'].includes(modelOf(source.model).ports[0].level))
    splitter.settings.saturation = fromDbu(LINE_SPLIT_DBU);
  const has = (key: string, value: string | number, among: readonly Device[] = chain): Device | undefined =>
    among.find((d) => !checkSetting(modelOf(d.model), key, value));
  /** What was said last before it: "active DI on battery" is the DI's, "laptop on its charger" the laptop's. */
  const nearest = (piece: Piece): Device =>
    [source, ...boxes]
      .filter(({ at }) => at !== null && at < piece.from)
      .sort((a, b) => (b.at ?? 0) - (a.at ?? 0))[0] ?? source;
  /** Highest peak of a source, volts: its average is lower by the crest. */
  const peakOf = (piece: Piece, volts: number): void => {
    const crest = modelOf(source.model).params.crest?.typ;
    const room = typeof source.settings.crest === 'number' ? source.settings.crest : crest;
    if (room !== undefined) put(piece, source, 'nominal', volts / 10 ** (room / 20));
    else left.add(piece);
  };
  const fed = (piece: Piece): void => {
    const { read } = piece;
    const device = nearest(piece);
    const battery = read.is === 'on-battery';
    if (battery && !checkSetting(modelOf(device.model), 'power', 'battery'))
      return put(piece, device, 'power', 'battery');
    const feed = battery ? 'battery' : read.is === 'on-mains' && read.earthed ? 'mains-1' : 'mains-2';
    // A source that has no such plug has another one, and that is all that was said of it.
    if (!checkSetting(modelOf(source.model), 'feed', feed)) put(piece, source, 'feed', feed);
    else if (battery && boxes.length > 0) put(piece, has('power', 'battery', boxes), 'power', 'battery');
  };
  pieces.forEach((piece, k) => {
    const { read } = piece;
    if (read.is === 'pad') {
      // What a DI for loudspeakers takes off, it always takes off.
      if (!boxes.some((b) => b.model.startsWith('speaker-di')) || read.db < 40)
        put(piece, has('pad', String(read.db)), 'pad', String(read.db));
    } else if (read.is === 'lift') put(piece, has('lift', 'lifted'), 'lift', read.lifted ? 'lifted' : 'joined');
    else if (read.is === 'topology') put(piece, has('topology', read.topology, [source]), 'topology', read.topology);
    else if (read.is === 'on-battery' || read.is === 'on-mains') fed(piece);
    else if (read.is === 'phantom-elsewhere') put(piece, has('feed', 'supply', [source, ...boxes]), 'feed', 'supply');
    else if (read.is === 'cabinet-off') put(piece, has('cabinet', 'none', [source]), 'cabinet', 'none');
    else if (read.is === 'volts') {
      if (read.peak) peakOf(piece, read.volts);
      else put(piece, source, 'nominal', read.volts);
    } else if (read.is === 'polarity') put(piece, has('polarity', 'inverted'), 'polarity', 'inverted');
    else if (read.is === 'cut') put(piece, input, 'lowCut', read.hz);
    else if (read.is === 'phantom') {
      if (givesPhantom(input.model)) {
        put(piece, input, 'phantom', read.on ? 'on' : 'off');
        if (read.volts !== undefined) put(piece, input, 'phantomVolts', read.volts);
      } else if (read.on) left.add(piece);
    } else if (read.is === 'level') {
      // Said of where it goes, it is what that wants: "into a line input at +4 dBu".
      if (isOfInput(pieces, k)) return;
      const n = Number(read.text.replace(/db[uv]/i, '').replace(/\s/g, ''));
      const volts = /dbv/i.test(read.text) ? fromDbv(n) : fromDbu(n);
      // "+18 dBu max" is a sine that just fits, and what is played averages below it by its crest.
      if (MAXIMUM.test(pieces[k + 1]?.text ?? '')) peakOf(piece, volts * Math.SQRT2);
      else put(piece, source, 'nominal', volts);
    } else if (read.is === 'farad' && isOfPickup(pieces, piece, source)) {
      put(piece, source, 'C', read.farad);
    } else if (read.is === 'unearthed') {
      const earth = read.shocks ? 'shocks' : 'removed';
      put(piece, has('earth', earth, [source, ...chain]), 'earth', earth);
    } else if (read.is === 'battery-low') {
      // A figure where the model has one: what is told of a 9 V battery that is going is some 6.5 V.
      const volts = read.volts ?? LOW_VOLTS;
      const beside = nearest(piece);
      const cell = has('cell', 'low', beside === source ? [source] : [beside]);
      const on = cell ?? has('battery', volts, [beside]) ?? has('battery', volts, [source, ...boxes]);
      put(piece, on, cell ? 'cell' : 'battery', cell ? 'low' : volts);
      if (on && !checkSetting(modelOf(on.model), 'power', 'battery')) on.settings.power = 'battery';
    } else if (read.is === 'cabinet-on') {
      // Of a transistor amplifier it changes nothing.
      const on = has('cabinet', 'connected', [source]);
      if (on) put(piece, on, 'cabinet', 'connected');
    } else if (read.is === 'through') put(piece, has('mode', 'through'), 'mode', 'through');
    else if (read.is === 'filler' && /^(?:at )?mic(?:rophone)? level$/i.test(piece.text)) atMicLevel(source);
    else if (read.is === 'filler' && /^(?:at )?line (?:level|out(?:put)?)$/i.test(piece.text)) atLineLevel(source);
    else if (read.is === 'without' && read.what.is === 'pad') put(piece, has('pad', 'off'), 'pad', 'off');
    else if (read.is === 'watt') amplifier(source, read);
    else if (read.is === 'spl') {
      const said = pieces.flatMap((p) => (p.read.is === 'sensitivity' ? [p.read.volts] : []));
      const volts = (said[0] ?? USUAL_SENSITIVITY[source.model]) * 10 ** ((read.db - 94) / 20);
      put(piece, source, 'nominal', volts);
    } else if (
      read.is === 'ohm' &&
      !(read.ohm === 10e6 && boxes.some((b) => b.model === 'active-di-10m')) &&
      !(read.ohm === 1e6 && boxes.some((b) => b.model === 'active-di'))
    ) {
      // Said of an output or an input: of whichever stands nearest before it.
      const before = pieces
        .slice(0, k)
        .reverse()
        .find((p) => ['input', 'amp', 'source', 'instrument'].includes(p.read.is) || /^out/.test(p.text.toLowerCase()));
      const named = pieces[k - 1]?.read.is === 'channel';
      const near =
        named || before?.read.is === 'input' || before?.read.is === 'amp' || pieces[k + 1]?.read.is === 'input'
          ? input
          : source;
      // "16 ohm speaker out" is made for 16 ohm.
      const made =
        near === source && read.ohm <= MOST_SPEAKER_OHM && !checkSetting(modelOf(source.model), 'load', read.ohm);
      put(piece, near, near === input ? 'zin' : made ? 'load' : 'R', read.ohm);
    }
  });
  return done;
}
