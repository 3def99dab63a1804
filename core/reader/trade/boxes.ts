import { modelOf } from '../../gear/catalogue';
import type { Piece } from './pieces';
import { beside, isOfDi } from './di-kind';
import type { Device, Source } from './parts';
import { isMixerItself, isPickup } from './rigs';
import { channelsSaid, isOutput } from './sides';
import { isWayIn } from './where';

/** What stands between: DIs by their kind and their number, boxes in the order in which they were said. */

export interface Boxes {
  readonly list: Device[];
  /** How many DIs were said; a dual one is two. */
  readonly dis: number | null;
  /** The kind of DI was not said. */
  readonly assumed: boolean;
}

/** "line input of a mixer": the mixer is where the input is, not one more box. */
function isPlace(pieces: readonly Piece[], k: number): boolean {
  const { part, read, text } = pieces[k];
  if (read.is !== 'box' || read.model !== 'small-mixer') return false;
  // "to mixer line": of which it is said how it goes in.
  if (pieces[k + 1]?.part === part && isWayIn(pieces, k + 1)) return true;
  // "mixer to mixer: matrix to line in": a name is no box of the line.
  const told = pieces.some((p) => !p.named && (p.read.is === 'source' || p.read.is === 'instrument'));
  if (pieces[k].named && told) return true;
  if (/^mixer$/i.test(text) && isLast(pieces, k)) return true;
  // "small mixer microphone input" is that mixer's.
  const next = pieces[k + 1];
  if (next?.part === part && next.read.is === 'input' && modelOf(next.read.model).ports[0].level !== 'speaker')
    return true;
  // A bare "mixer" beside an input, or as the last thing before one, is the desk.
  const after = pieces.slice(k + 1);
  const last = !after.some((p) => p.read.is === 'box' || p.read.is === 'di' || p.read.is === 'length');
  return (
    pieces.some((p, n) => p.part === part && p.read.is === 'input' && (n < k || /^mixer$/i.test(text))) ||
    // Before a stage box it stands on the stage, and is one.
    (/^mixer$/i.test(text) && last && after.some((p) => p.read.is === 'input' && !ON_STAGE.test(p.text)))
  );
}
const ON_STAGE = /^(?:sb|stage|stagebox|snake|snk|multi|mc|multicore|loom|drop)/i;

/** "vox mic to mixer 10 m": with nothing behind it that it could go on to, it is where the line ends. */
const isLast = (pieces: readonly Piece[], k: number): boolean =>
  k > 0 &&
  pieces
    .slice(k + 1)
    .every(({ read }) => !['box', 'di', 'input', 'source', 'amp', 'channels', 'channel', 'number'].includes(read.is));

/** "laptop summed to mono, DI": of what has two sides, by the box that is made for it. */
const isSummed = (pieces: readonly Piece[], source: string): boolean =>
  ['headphone', 'consumer-player'].includes(source) && pieces.some((p) => p.read.is === 'mono' && /sum/i.test(p.text));
/** "keys DI, phantom": a DI that phantom is on for lives on it. */
const isFed = (pieces: readonly Piece[]): boolean => pieces.some(({ read }) => read.is === 'phantom' && read.on);
/** The DI that a source wants when nobody says which: high impedance an active one, all else a passive one. */
const usualDi = (source: string): string =>
  modelOf(source).ports[0].level === 'speaker' ? 'speaker-di' : isPickup(source) ? 'active-di' : 'passive-di';

/** "stereo DI" of a player is the one that is made for players: two sockets beside a 3.5 mm one. "2 DIs" are two. */
function isMedia(pieces: readonly Piece[], source: Source, di: Device): boolean {
  if (!['mini', 'rca'].includes(modelOf(source.model).ports[0].socket)) return false;
  const k = pieces.findIndex((p) => p.from === di.at);
  const before = beside(pieces, k, -1);
  return (
    /^(?:passive )?(?:stereo di|di stereo)/i.test(pieces[k].text) ||
    (before?.read.is === 'sides' && /stereo/i.test(before.text))
  );
}

/** "bass into a valve preamp, XLR out to SB 3": on the way of a pickup, with where it goes behind it, it is no input of the desk. */
const isOwnPreamp = (pieces: readonly Piece[], preamp: Piece, source: Source): boolean =>
  !preamp.named &&
  isPickup(source.model) &&
  modelOf(source.model).ports[0].level === 'instrument' &&
  !pieces.some(({ read }) => read.is === 'di' || read.is === 'box') &&
  pieces.some((p) => p.from > preamp.from && p.read.is === 'input');

/** "pedalboard, DI out": the last of the pedals has one built in. */
function isOfPedals(pieces: readonly Piece[], di: Device): boolean {
  const k = pieces.findIndex((p) => p.from === di.at);
  const out = /^out(?:put)?$/i.test(pieces[k + 1]?.text ?? '') && pieces[k + 1].part === pieces[k].part;
  return out && pieces.slice(0, k).some((p) => !p.named && /\bpedal(?:s|board)?\b|\bfx\b/i.test(p.text));
}

/** Which of several it is, and not how many DIs: a number right behind what plays, with one channel for it. */
const isWhich = (pieces: readonly Piece[], k: number, di: Piece): boolean =>
  pieces[k - 1]?.read.is === 'instrument' &&
  pieces[k - 1].part === pieces[k].part &&
  !/s$/i.test(di.text) &&
  channelsSaid(pieces).length === 1;

/** "cello piezo, 4 m, active": of a line that says no box, what stands alone behind its lead is the kind of DI. */
export function kindAlone(text: string, pieces: readonly Piece[]): readonly Piece[] {
  if (pieces.some(({ read }) => read.is === 'di' || read.is === 'box')) return pieces;
  return pieces.map((p, k): Piece => {
    if (p.read.is !== 'quality' || p.read.quality === 'balanced' || p.named) return p;
    // "into 10 M active": an impedance right before it.
    const ohm = pieces[k - 1]?.read.is === 'ohm' && pieces[k - 1].part === p.part;
    const before = pieces.filter((o) => o.part === p.part - 1);
    const alone = pieces.filter((o) => o.part === p.part).length === 1;
    const lead = before.length > 0 && before.every(({ read }) => ['length', 'cable', 'filler'].includes(read.is));
    // "stage piano -> passive -> SB 7": an arrow before it and one behind.
    const way = ARROW_BEFORE.test(text.slice(0, p.from)) && ARROW_BEHIND.test(text.slice(p.to));
    return ohm || (alone && (lead || way)) ? { ...p, read: { is: 'di', model: `${p.read.quality}-di` } } : p;
  });
}

const ARROW_BEFORE = /(?:>|→)\s*$/;
const ARROW_BEHIND = /^\s*(?:[-=]?>|→)/;

/** "re-amp: straight into the amp" is what is done, and has no box for it. */
const STRAIGHT = /^(?:straight|direct)/i;

/** "PC2" is the second, and not two of them. */
const isStuck = (pieces: readonly Piece[], p: Piece): boolean => pieces[pieces.indexOf(p) - 1]?.to === p.from;

/** What stands between, in the order in which it was said. */
export function boxesOf(pieces: readonly Piece[], source: Source, stereo: boolean): Boxes {
  const body = pieces.some((p) => !p.named && p.read.is === 'di');
  const list: Device[] = [];
  // A "DI" of the amplifier itself is its output.
  const isOwn = (p: Piece): boolean =>
    source.model === 'bass-amp-out' &&
    !pieces.some((o) => o.read.is === 'length' && o.from < p.from && o.from > (source.at ?? Infinity));
  let di: (Device & { sure: boolean }) | null = null;
  let dis: number | null = null;
  let kind: 'active' | 'passive' | null = null;
  let ten = false;
  const turnedDi = pieces.some((p) => p.read.is === 'box' && p.read.model === 'reversed-di');
  pieces.forEach((p, k) => {
    const { read } = p;
    if (read.is === 'quality' && read.quality !== 'balanced' && isOfDi(pieces, k)) kind = read.quality;
    if (read.is === 'ohm' && read.ohm === 10e6) ten = true;
    // Twisted together are the two sides of one stereo plug.
    if (read.is === 'box' && /^(?:joined|y lead)/i.test(p.text) && modelOf(source.model).ports[0].carries !== 'stereo')
      return;
    // To "re-amp" with a DI the wrong way round is what that DI does.
    if (read.is === 'box' && read.model === 'reamp-box' && turnedDi) return;
    if (
      read.is === 'box' &&
      !(
        p.named && pieces.some((o) => !o.named && (o.read.is === 'box' || o.read.is === 'di' || STRAIGHT.test(o.text)))
      ) &&
      !isPlace(pieces, k) &&
      !isMixerItself(pieces, p)
    ) {
      // Behind a speaker output an attenuator is a load.
      const model =
        read.model === 'inline-pad' && modelOf(source.model).ports[0].level === 'speaker' ? 'load-box' : read.model;
      // "mixer out" behind a small mixer is the same one.
      if (!list.some((b) => b.model === model)) list.push({ model, settings: {}, at: p.from });
    }
    if (read.is === 'pad' && read.inline && !list.some((b) => b.model === 'inline-pad'))
      list.push({ model: 'inline-pad', settings: {}, at: p.from });
    if (read.is === 'preamp' && isOwnPreamp(pieces, p, source))
      list.push({ model: 'preamp-di', settings: {}, at: p.from });
    // "DI out cab sim" is the simulation's own.
    const itsOut = source.model === 'modeller' && /^out(?:put)?s?$/i.test(pieces[k + 1]?.text ?? '');
    if (read.is !== 'di' || (p.named && body) || ((isOwn(p) || itsOut) && read.model === undefined)) return;
    const count = pieces
      .slice(0, k)
      .reverse()
      .find((o) => o.part === p.part && !['quality', 'filler', 'ohm'].includes(o.read.is));
    const after = pieces.slice(k + 1).find((o) => o.part === p.part || o.read.is === 'times');
    const n = [count, after]
      .map((o) =>
        o && (o.read.is === 'times' || o.read.is === 'count')
          ? o.read.count
          : o && o === count && o.read.is === 'number' && !isOutput(pieces, o) && !isStuck(pieces, o)
            ? o.read.value
            : 0
      )
      .find((v) => v > 0);
    // "Keys 2 DI 7": the second, where there is but one channel.
    const which = n && count?.read.is === 'number' && isWhich(pieces, pieces.indexOf(count), p);
    if (read.dual) dis = Math.max(dis ?? 0, 2);
    if (n && n < 17 && !which && !/^mono/i.test(p.text)) dis = Math.max(dis ?? 0, n);
    if (!di) {
      di = { model: read.model ?? '', settings: {}, at: p.from, sure: read.model !== undefined };
      list.push(di);
    } else if (!di.sure && read.model) Object.assign(di, { model: read.model, sure: true });
  });
  // "splitter, keyboard via active DI": wherever it is said, it parts what the DI gives.
  const split = list.findIndex((b) => b.model === 'splitter' && b.at !== null && b.at < (source.at ?? -1));
  if (split >= 0) list.push(...list.splice(split, 1));
  const found = di as (Device & { sure: boolean }) | null;
  let assumed = false;
  if (found) {
    if (!found.sure || found.model === 'active-di' || found.model === 'passive-di') {
      if (kind) found.model = kind === 'active' ? 'active-di' : 'passive-di';
      else if (!found.sure)
        found.model = ten
          ? 'active-di-10m'
          : isMedia(pieces, source, found)
            ? 'media-di-stereo'
            : isOfPedals(pieces, found)
              ? 'preamp-di'
              : isSummed(pieces, source.model)
                ? 'media-di'
                : isFed(pieces)
                  ? 'active-di'
                  : usualDi(source.model);
      assumed = !found.sure && kind === null && !ten;
      if (found.model === 'active-di' && ten) found.model = 'active-di-10m';
    }
    if (
      found.model === 'media-di' &&
      stereo &&
      // One for two channels is no summing one.
      ((dis === null && channelsSaid(pieces).length === 2) ||
        /stereo(?! to mono)/.test(pieces.find((p) => p.from === found.at)?.text.toLowerCase() ?? '') ||
        isMedia(pieces, source, found))
    )
      found.model = 'media-di-stereo';
    // "passive stereo DI" of a player.
    if (found.model === 'passive-di' && isMedia(pieces, source, found)) {
      found.model = 'media-di-stereo';
      dis = null;
    }
    // A DI with a pad for loudspeakers is one made for them.
    const pads = pieces.some((p) => p.read.is === 'pad' && (p.read.db >= 40 || /speaker/i.test(p.text)));
    if (modelOf(source.model).ports[0].level === 'speaker' && found.model === 'passive-di' && pads)
      found.model = 'speaker-di-passive';
    delete (found as { sure?: boolean }).sure;
  }
  return { list, dis, assumed };
}
