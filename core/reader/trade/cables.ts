import { type CableKindId, CABLES, MAX_METRES } from '../../gear/cables';
import { defaultKind, mainOut, modelOf } from '../../gear/catalogue';
import type { PortSpec } from '../../gear/types';
import { mates } from '../../gear/sockets';
import type { CableSpec } from '../../plan/spec';
import type { Piece } from './pieces';
import type { Source, Device } from './parts';
import { isOfPickup } from './settings';
import type { Assumed } from './reading';
import { isOfLeads } from './sides';

const DEFAULT_LEAD = 3;
/** A turntable's own lead. */
const DEFAULT_PHONO = 1.2;
const DEFAULT_RUN = 5;
const DEFAULT_PATCH = 1;
/** What an adapter, or the second plug of a lead that is read as one, sits on. */
const DEFAULT_PLUG = 0.02;
/** All metres of a length: "2x 3 m" of one line are six of them, of a pair three each. @param one it is one line */
export function metresOf(pieces: readonly Piece[], piece: Piece, one: boolean): number {
  if (piece.read.is !== 'length') return 0;
  const times = pieces[pieces.indexOf(piece) - 1];
  return one && times?.read.is === 'times' && isOfLeads(pieces, times)
    ? times.read.count * piece.read.metres
    : piece.read.metres;
}

/** Cables by what was said of each: its plugs tell lead from run, and so does its place among the boxes. */
export function cablesOf(
  pieces: readonly Piece[],
  source: Source,
  boxes: readonly Device[],
  input: Device,
  one: boolean
): { cables: CableSpec[]; assumed: Assumed[] } {
  const slots = boxes.length + 1;
  const metres: (number | undefined)[] = Array.from({ length: slots });
  const kinds: (CableKindId | undefined)[] = Array.from({ length: slots });
  // A jack lead may be behind a box whose output is a jack.
  const lastOut = mainOut(modelOf(boxes[boxes.length - 1]?.model ?? source.model));
  const plugged = lastOut?.carries === 'unbalanced' || modelOf(source.model).ports[0].level === 'speaker';
  const balanced = mainOut(modelOf(source.model))?.carries === 'balanced';
  const places = placesOf(pieces, source, boxes);
  pieces.forEach((p, k) => {
    if (p.read.is !== 'length') return;
    const kind = kindNear(pieces, k);
    const order = places.findIndex((at) => at > p.from);
    let slot = order < 0 ? slots - 1 : order;
    // A balanced output has a balanced lead before the box, too.
    const first = slot === 0 && !(balanced && order >= 0);
    if (slots > 1 && (kind === 'mic' || kind === 'multicore' || kind === 'star-quad') && first) slot = slots - 1;
    if (slots > 1 && kind === 'instrument' && slot === slots - 1 && !plugged) slot = 0;
    if (metres[slot] !== undefined && slots > 1) {
      const free = metres.findIndex((m) => m === undefined);
      if (free >= 0) slot = free;
    }
    metres[slot] = Math.min((metres[slot] ?? 0) + metresOf(pieces, p, one), MAX_METRES);
    if (kind && kind !== 'multicore') kinds[slot] = kind;
  });
  // "jack lead" of no length.
  pieces.forEach((p) => {
    if (p.read.is !== 'cable' || !/(?:lead|cable|wire)s?$/i.test(p.text) || p.read.kind === 'multicore') return;
    if (pieces.some((o) => o.read.is === 'length' && o.part === p.part)) return;
    const order = boxes.findIndex((b) => (b.at ?? Infinity) > p.from);
    const slot = order < 0 ? slots - 1 : order;
    if (metres[slot] === undefined) kinds[slot] ??= p.read.kind;
  });
  const farads = faradsOf(
    pieces.filter((p) => !isOfPickup(pieces, p, source)),
    metres
  );
  // A lead that parts left from right leaves the other side open, where but one is plugged.
  const parted = partsSides(pieces, source, boxes, input);
  const swapped = pieces.some((p) => p.read.is === 'swapped') ? slots - 1 : null;
  const gone = goneOf(pieces, slots);
  const assumed: Assumed[] = [];
  const models = [source.model, ...boxes.map((b) => b.model)];
  const cables = models.map((from, k): CableSpec => {
    const last = k === models.length - 1;
    const joint = (id: string | undefined): boolean => id !== undefined && modelOf(id).family === 'joint';
    // Of a lead that is told as an adapter its length is said once.
    const plug = joint(from) || (joint(models[k + 1]) && metres[k + 1] !== undefined && metres[k] === undefined);
    const usual = plug
      ? DEFAULT_PLUG
      : k === 0
        ? boxes.length === 0 && last && modelOf(source.model).ports[0].carries === 'balanced'
          ? DEFAULT_RUN
          : modelOf(source.model).ports[0].level === 'phono'
            ? DEFAULT_PHONO
            : DEFAULT_LEAD
        : last
          ? lastOut?.carries === 'unbalanced'
            ? DEFAULT_LEAD
            : DEFAULT_RUN
          : DEFAULT_PATCH;
    if (metres[k] === undefined) assumed.push(k === 0 ? 'lead' : 'run');
    const length = metres[k] ?? usual;
    const to = models[k + 1] ?? input.model;
    return {
      kind:
        fits(kinds[k], from, to) ??
        (k === 0 && source.settings.feed === 'phantom' ? 'mic' : defaultKind(k === 0 ? 'lead' : 'run', from, length)),
      metres: length,
      ...(parted && k === 0
        ? { wiring: ['plain', 'cold-open'] as const }
        : k === swapped
          ? { wiring: ['plain', 'swapped'] as const }
          : k === gone?.slot
            ? { wiring: ['plain', gone.wiring] as const }
            : {}),
      ...(farads[k] === undefined ? {} : { settings: { cShield: farads[k] } })
    };
  });
  return { cables, assumed };
}

/** A contact that has gone is one of the last run: a lead before a DI has no cold one. */
function goneOf(pieces: readonly Piece[], slots: number): { slot: number; wiring: 'cold-open' | 'shield-open' } | null {
  const said = pieces.find((p) => p.read.is === 'contact-gone')?.read;
  return said?.is === 'contact-gone' ? { slot: slots - 1, wiring: `${said.contact}-open` } : null;
}

/** Where in the text each box stands. "passive DI for the keyboard, 3 m jack, 20 m XLR": said first, it comes behind the keyboard's lead. */
function placesOf(pieces: readonly Piece[], source: Source, boxes: readonly Device[]): number[] {
  const behind = pieces.filter((p) => p.read.is === 'length' && p.from > (source.at ?? Infinity));
  const lead = behind[0] && (behind.length > 1 || kindNear(pieces, pieces.indexOf(behind[0])) === 'instrument');
  return boxes.map(({ at }) => (lead && at !== null && at < (source.at ?? -1) ? behind[0].to : (at ?? Infinity)));
}

/**
 * A lead that parts left from right, of a stereo jack: its plugs are two, or RCAs, of which there are always two. Where nobody says what
 * lead it is, and it goes to no microphone input, one takes the lead that works.
 */
/** "minijack to two jacks": two plugs, and not "to two active speakers". */
const TO_TWO =
  /\bto (?:an? )?(?:pair of|two|twin|dual|double|2x?) ?(?:mono |unbalanced |separate |male |ts |of )*(?:jacks?|plugs?|ts\b|trs\b|6[.,]35?|6[.,]3|1\/4|1 4|quarter|rcas?\b|phonos?\b|cinch|xlrs?\b|mono\b)/;

function partsSides(pieces: readonly Piece[], source: Source, boxes: readonly Device[], input: Device): boolean {
  const text = pieces.map((p) => p.text.toLowerCase()).join(' ');
  if (TO_TWO.test(text)) return true;
  if (modelOf(source.model).ports[0].socket !== 'mini' || boxes.length > 0) return false;
  if (/\bto (?:an? )?(?:rca|phono)/.test(text)) return true;
  const { carries, level } = modelOf(input.model).ports[0];
  return carries === 'balanced' && level !== 'microphone' && !/xlr|\btrs\b|\bhot\b|stereo[ -]jack/.test(text);
}

/** What was said of a cable's capacitance, farads a metre: of the length before it, or else of the only one. */
function faradsOf(pieces: readonly Piece[], metres: readonly (number | undefined)[]): (number | undefined)[] {
  const out: (number | undefined)[] = [];
  pieces.forEach((p, k) => {
    if (p.read.is !== 'farad') return;
    const before = pieces.slice(0, k).filter((o) => o.read.is === 'length');
    const said = before[before.length - 1]?.read;
    const slot = said?.is === 'length' ? metres.findIndex((m) => m !== undefined && m >= said.metres) : 0;
    const at = Math.max(slot, 0);
    out[at] = p.read.each ? p.read.farad : p.read.farad / (metres[at] ?? DEFAULT_LEAD);
  });
  return out;
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
  // "minijack to two RCA, 3 m" is by its first plug what it is.
  const { part } = pieces[k];
  if (pieces.some((p) => p.part === part && p.read.is === 'cable' && p.read.kind === 'mini')) return 'mini';
  for (const step of [1, -1] as const)
    for (let n = k + step; n >= 0 && n < pieces.length && pieces[n].part === pieces[k].part; n += step) {
      const { read } = pieces[n];
      if (read.is === 'cable') return read.kind;
      if (read.is === 'input' && /^(?:snake|multi|mc)/i.test(pieces[n].text)) return 'multicore';
      if (read.is !== 'filler') break;
    }
  return undefined;
}
