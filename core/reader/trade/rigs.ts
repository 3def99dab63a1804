import { modelOf } from '../../gear/catalogue';
import { isRig } from './parts-of-text';
import type { Piece } from './pieces';
import { MICROPHONES } from './sides';

/** Amplifiers, cabinets and mixers: where a line comes from, where it goes, or what a microphone stands before. */

/** An amplifier that tells what is played through it. */
export const PLAYED_AMP = /^(?:bass|guitar|gtr|git|gitarre|guitare)\b|^(?:amp|cab|combo|cabinet)/i;

/** An amplifier of which no output was said. */
export const isBareAmp = ({ read, text }: Piece): boolean =>
  read.is === 'source' && read.model.endsWith('-amp') && !/out|line|socket|tap/i.test(text);

/** An amplifier behind a re-amping box is where it goes, unless one of its outputs was said. */
export const isReamped = (pieces: readonly Piece[], p: Piece): boolean =>
  isBareAmp(p) &&
  (pieces.some((o) => o.from < p.from && o.read.is === 'box' && o.read.model === 'reamp-box') ||
    isPlayedInto(pieces, p));

/** "electric guitar, 6 m lead, valve combo": the last thing said, behind an instrument's lead or its pickup. */
function isPlayedInto(pieces: readonly Piece[], amp: Piece): boolean {
  const k = pieces.indexOf(amp);
  const before = pieces.slice(0, k).filter((p) => p.part < amp.part);
  const plays = before.findIndex(
    ({ read }) => read.is === 'instrument' || (read.is === 'source' && isPickup(read.model))
  );
  if (plays < 0 || pieces.slice(k + 1).some(({ read }) => ['input', 'di', 'box', 'amp', 'cable'].includes(read.is)))
    return false;
  return before[plays].read.is === 'source' || before.slice(plays).some(({ read }) => read.is === 'length');
}
/** Whether a model is of high impedance, a coil or a crystal: what a load matters to. @param id of a model */
export const isPickup = (id: string): boolean => ['coil', 'capacitor'].includes(modelOf(id).signal?.nature ?? '');

/** A microphone, or the receiver of one: by its model. */
export const isMicOrReceiver = (id: string): boolean =>
  id === 'wireless-receiver' || modelOf(id).ports[0].level === 'microphone';

/** An amplifier's load box, whose own line output may be called a cabinet simulation. */
export const loaded = (pieces: readonly Piece[]): boolean =>
  pieces.some((p) => p.read.is === 'box' && p.read.model === 'load-box');

/** "DJ: mixer master out", "keys mixer L/R to DIs": with nothing before it the mixer is where it comes from. */
export function isMixerItself(pieces: readonly Piece[], p: Piece): boolean {
  if (p.read.is !== 'box' || p.read.model !== 'small-mixer' || p.named) return false;
  const plays = ({ read, named }: Piece): boolean =>
    !named && read.is === 'instrument' && read.instrument !== 'programme';
  const given = pieces.filter((o) => !o.named && o.read.is === 'source');
  if (pieces.some(plays) || given.some((o) => o.to <= p.from)) return false;
  const itsOut = given.some((o) => o.from > p.from && o.part === p.part && /\bouts?\b|output/i.test(o.text));
  const first = !pieces.some(
    (o) => o.to <= p.from && !o.named && !['channels', 'channel', 'unknown', 'filler'].includes(o.read.is)
  );
  return itsOut || (given.length === 0 && first);
}

/** A bare "mic" right behind what is played, which says no more of where it goes. */
export function hasMicBehind(pieces: readonly Piece[], instrument: Piece): boolean {
  // "piano lid mics".
  const next = pieces
    .slice(pieces.indexOf(instrument) + 1)
    .find(({ read, text }) => read.is !== 'unknown' || !/^\p{L}+$/u.test(text));
  if (next === undefined || next.named || !BARE_MIC.test(next.text)) return false;
  // "gtr, mic", "gtr | mic | 15 m": in a cell of its own it tells how it is taken; behind a lead it would tell where that goes.
  const alone = pieces.filter((p) => p.part === next.part).length === 1;
  return next.part === instrument.part || (alone && pieces.indexOf(next) === pieces.indexOf(instrument) + 1);
}
/** A microphone, and no word of which. */
export const BARE_MIC = /^(?:mic|mics|microphone|microphones|mik|micro|mikro)$/i;

/** "lead gtr amp ch 7": an amplifier right behind the instrument, with no lead between, is what stands there. */
export function isHisRig(pieces: readonly Piece[], instrument: Piece): boolean {
  const next = pieces[pieces.indexOf(instrument) + 1];
  const leads = pieces.some(({ read }) => read.is === 'length' || read.is === 'cable');
  const goes = pieces.some(({ read }) => read.is === 'channels' || (read.is === 'input' && read.model === 'mic-in'));
  return (
    next?.read.is === 'amp' &&
    next.part === instrument.part &&
    /^(?:amp|combo|stack|rig)$/i.test(next.text) &&
    !leads &&
    goes
  );
}

/** "gtr cab mic", "Bass amp" of an input list: nothing is plugged in it, so that it is what a microphone stands before. */
export function standsForItsMic(pieces: readonly Piece[], cabinet: Piece): boolean {
  const plugged = ({ read }: Piece): boolean =>
    ['di', 'box', 'source', 'instrument', 'input'].includes(read.is) &&
    !(read.is === 'input' && read.model === 'mic-in');
  const mic = pieces.some((p) => !p.named && (BARE_MIC.test(p.text) || MICROPHONES.test(p.text)));
  const lead = pieces.some(({ read }) => read.is === 'cable' && read.kind === 'instrument');
  return !pieces.some(plugged) && !lead && (mic || isRig({ ...cabinet, named: false }));
}

/** What is mixed on the way comes out of the mixer: "turntables → DJ mixer → master → line ins". */
export const MIXED = 90;
/** A mixer that stands behind a source and before something else in a row of arrows or commas; undefined where none does. */
export function mixerBehind(pieces: readonly Piece[]): Piece | undefined {
  return pieces.find(
    (p) =>
      p.read.is === 'source' &&
      p.read.model === 'line-balanced' &&
      /\bmixer\b/i.test(p.text) &&
      !p.named &&
      pieces.some(
        (o) =>
          (o.part < p.part || (o.from < p.from && THROUGH.test(pieces[pieces.indexOf(p) - 1]?.text ?? ''))) &&
          o.read.is === 'source' &&
          !o.named
      ) &&
      pieces.some((o) => o.part > p.part && ['source', 'box', 'di', 'input', 'length'].includes(o.read.is))
  );
}

const THROUGH = /^(?:through|thru|via|into|over|uber|par|por)$/i;
const A_DESK = /^(?:desk|mixer|dj mixer|console|mixing desk|foh desk|pult|mischpult|mengtafel|mengpaneel|mesa)$/i;
const TOWARDS = /^(?:to|into|in|in the|to the|then|zu|zum|naar|vers|al|a la)$/i;
/** "… 45 m to desk": a desk at the end, towards which one goes, is no source of what was said before it. */
export function isWhereItGoes(pieces: readonly Piece[], p: Piece): boolean {
  const k = pieces.indexOf(p);
  return (
    A_DESK.test(p.text) &&
    TOWARDS.test(pieces[k - 1]?.text ?? '') &&
    pieces[k - 1].part === p.part &&
    pieces.slice(0, k).some((o) => o.read.is === 'source' || o.read.is === 'instrument') &&
    pieces.slice(k + 1).every((o) => ['channels', 'channel', 'number', 'filler', 'length'].includes(o.read.is))
  );
}
