import { modelOf } from '../../gear/catalogue';
import type { InstrumentId } from '../../gear/instruments';
import { type MicPlace, micLevel } from '../../gear/mic-places';
import type { Setting } from '../../gear/types';
import type { Piece } from './pieces';
import { isOfDi, PICKUP } from './di-kind';
import { ACOUSTIC, evidenceOf, isMicd, MICS } from './evidence';
import { asItsOutput, outputOfUnknown } from './outputs';
import { isOf, playedIn } from './played';
import { BARE_MIC, hasMicBehind, isHisRig, loaded, PLAYED_AMP, standsForItsMic } from './rigs';
import { MICROPHONES } from './sides';

/** Which of the pieces say what is played, what stands between and where it goes: the heaviest of what was said, the rest tells whose or where. */

export interface Device {
  model: string;
  settings: Record<string, Setting>;
  /** Where in the text it was said; none for what was not said. */
  at: number | null;
}

/** Weight of a television, whose RCA sockets are a player's. */
const TELEVISION = 32;

export interface Source extends Device {
  readonly instrument: InstrumentId | null;
  /** It follows from the instrument: how it is picked up was not said. */
  readonly assumed: boolean;
}

/** What is played and how it is picked up; null where nothing tells. @param numbered it has a channel, so that it is meant as a line */
export function sourceOf(pieces: readonly Piece[], numbered: boolean): Source | null {
  const { instrument, bass } = playedIn(pieces);
  const played = instrument?.read.instrument ?? null;
  const qualities = pieces.flatMap((p, k) =>
    p.read.is === 'quality' && !(p.read.quality !== 'balanced' && isOfDi(pieces, k)) ? [p.read.quality] : []
  );
  const [best = null] = evidenceOf(pieces, instrument, bass, qualities);
  // "humbuckers, mic'd, dyn": the pickup tells whose cabinet it is.
  const micd = isMicd(pieces);
  const cabinet = pieces.find((p) => p.read.is === 'amp');
  const usual = instrument?.read.model ?? null;
  // A guitar or a bass "cab" and nothing else is what a microphone stands before.
  const micBefore = pieces.some(
    (p, k) =>
      p.read.is === 'amp' &&
      /\b(?:mic|mics|mike|miked|mic'?d|microphone|mikro|mikrofon|micro)\b(?:\s+(?:on|at|in front of|before|am|vor|devant))?(?:\s+(?:the|an?|his|her|its))*$/i.test(
        pieces
          .slice(0, k)
          .filter((o) => o.part === p.part)
          .map((o) => o.text)
          .join(' ')
      )
  );
  const cab =
    cabinet &&
    !best &&
    instrument &&
    ['guitar', 'bass-guitar', 'five-string-bass', 'organ'].includes(played ?? '') &&
    (micBefore ||
      isHisRig(pieces, instrument) ||
      // "both amps need a mic".
      pieces.some(
        (p, k) => p.read.is === 'amp' && pieces.slice(k + 1).some((o) => o.part === p.part && BARE_MIC.test(o.text))
      ) ||
      pieces.some((p) => p.read.is === 'amp' && p.read.model === 'cabinet' && p.from > instrument.from)) &&
    !pieces.some((p) => p.read.is === 'di');
  // A desk is where a bass goes, not what it comes from; but no microphone has a line output.
  const out = best !== null && /\bout/i.test(pieces.map((p) => (p.read.is === 'source' ? p.text : '')).join(' '));
  const spoken = usual !== null && MICS.has(usual) && out;
  const least = spoken ? 8 : usual !== null && played !== 'programme' ? 15 : 10;
  let model: string | null =
    best && best.weight > least ? best.model : cab ? 'dynamic-mic' : (usual ?? best?.model ?? null);
  // Nothing but the plug is known of it; or it is the amplifier's own output.
  const rig = pieces.find((p) => p.read.is === 'amp' && /bass/i.test(p.text));
  if (model === null && rig && pieces.some((p) => p.read.is === 'di')) model = 'bass-amp-out';
  // "load box line out": what is played into it is an amplifier.
  if (model === null && loaded(pieces)) model = 'valve-amp';
  // "speaker DI off the cab": what drives that cabinet.
  const tapped = pieces.some((p) => p.read.is === 'di' && p.read.model?.startsWith('speaker-di'));
  const ofPa = pieces.some((p) => PUBLIC.test(p.text) || /bridged?/i.test(p.text));
  if (model === null && tapped) model = played === null && !ofPa ? 'valve-amp' : 'power-amp';
  const tappedAt =
    tapped && cabinet && pieces.indexOf(cabinet) < pieces.findIndex((p) => p.read.is === 'di') ? cabinet.from : null;
  const alone = model === null && cabinet !== undefined && (micd || standsForItsMic(pieces, cabinet));
  if (alone) model = 'dynamic-mic';
  // "organ, 2 mics": microphones stand before it, whatever it would be plugged in by.
  const stand = pieces.some((p, k) => MICROPHONES.test(p.text) && pieces[k - 1]?.read.is === 'number');
  const plugged = pieces.some((p) => p.read.is === 'di' || p.read.is === 'box');
  if ((stand || micd) && !plugged && model !== null && model === usual && !MICS.has(model)) model = 'dynamic-mic';
  const plug = pieces.find(isOf('cable'))?.read.kind;
  const unnamed =
    (instrument === null || played === 'programme') && (best === null || (best.weight < 10 && best.of === null));
  if (unnamed && plug === 'mini' && !/^(?:xlr|rca)/i.test(pieces.find(isOf('cable'))!.text)) model = 'headphone';
  if (unnamed && plug === 'rca') model = 'consumer-player';
  if (model === 'headphone' && best?.weight === TELEVISION && plug === 'rca') model = 'consumer-player';
  // What is clipped to strings or a wind instrument is a small condenser.
  const clip = pieces.some((p) => p.read.is === 'note' && /^clips?$/i.test(p.text));
  const taken = pieces.some((p) => p.read.is === 'di' || p.read.is === 'box' || p.read.is === 'amp');
  const winds = ['saxophone', 'brass', 'flute'].includes(played ?? '');
  if (clip && !taken && model !== null && model === usual && ((winds && !best) || !MICS.has(model)))
    model = 'condenser-mic';
  // "snare 48V", "accordion clip 48V": of which no microphone was said, the one that wants it.
  const fed = pieces.some((p) => p.read.is === 'phantom' && p.read.on && p.read.volts === undefined);
  if (fed && !taken && model === 'dynamic-mic' && model === usual && (best === null || best.weight <= least))
    model = 'condenser-mic';
  // "bass mic": one stands before its cabinet; before what sounds by itself it is a condenser.
  const itsMic = !taken && model === usual && instrument !== null && hasMicBehind(pieces, instrument);
  if (itsMic && model !== null && !MICS.has(model))
    model = CABINETS.has(played ?? '') ? 'dynamic-mic' : 'condenser-mic';
  // "marimba 2 OH": overheads over whatever is said before them.
  const over = pieces.some(
    (p) => p.read.is === 'instrument' && OVER.test(p.text) && !p.named && p.from > (instrument?.from ?? Infinity)
  );
  if (over && !taken && model === usual && (best?.weight ?? 0) <= least) model = 'condenser-mic';
  // "banjo DI": whoever plugs it in has something in it that can be plugged.
  const byDi = pieces.some((p) => p.read.is === 'di' && !p.named) && !pieces.some((p) => BARE_MIC.test(p.text));
  if (byDi && best === null && model !== null && model === usual && MICS.has(model))
    model = instrument?.read.mic === 'cabinet' ? 'line-unbalanced' : (PLUGGED[played ?? ''] ?? model);
  // A pickup on what one usually puts a microphone before.
  const picked = pieces.some((p) => PICKUP.test(p.text) && !p.named);
  if (picked && model !== null && model === usual && MICS.has(model) && taken) model = 'piezo';
  // "passive pickup" of what sounds by itself has nothing built in behind it.
  const passive = pieces.some((p, k) => isPassive(p) && PICKUP.test(pieces[k + 1]?.text ?? ''));
  if (passive && model === 'acoustic-preamp' && model === usual) model = 'piezo';
  // "acoustic preamp pedal, XLR out" and no word of what is plugged into it.
  const pedal = pieces.find((p) => p.read.is === 'di' && p.read.model === 'preamp-di');
  const bassPedal = pedal !== undefined && /\bbass\b/i.test(pedal.text);
  const onlyPedal = model === null && pedal !== undefined;
  if (onlyPedal) model = bassPedal ? 'passive-bass' : 'piezo';
  // Without a preamp an acoustic instrument is what is glued under its saddle.
  if (model === 'acoustic-preamp' && pieces.some((p) => p.read.is === 'without' && p.read.what.is === 'preamp'))
    model = 'piezo';
  if (model === 'active-guitar' && bass) model = 'active-bass';
  if (model === 'active-guitar' && played !== null && ACOUSTIC.has(played)) model = 'acoustic-preamp';
  // A name that nobody knows and "outs", "XLR out", "RCA out": some device, known by its output.
  const output = model === null && instrument === null ? outputOfUnknown(pieces, numbered) : null;
  const nameless = output?.of;
  if (output) model = qualities.includes('balanced') || plug === 'mic' ? 'line-balanced' : output.model;
  // "theorbo clip", "erhu 48 V": something that nobody knows with a microphone on it that wants phantom.
  const strange = pieces.filter((p) => p.read.is === 'unknown');
  const sounding = strange.length > 2 ? undefined : strange.find((p) => p.part === 0 && p.text.length > 2);
  const wants = pieces.some((p) => p.read.is === 'phantom' && p.read.on && /48/.test(p.text));
  const heardByMic = model === null && instrument === null && !taken && (clip || wants) ? sounding : undefined;
  if (heardByMic) model = 'condenser-mic';
  // "microphone into a line input": a microphone and no more, said first, is a dynamic one.
  const start = pieces.find((p) => !['channel', 'channels', 'filler'].includes(p.read.is) || BARE_MIC.test(p.text));
  const bareMic =
    model === null && instrument === null && !taken && start && BARE_MIC.test(start.text) ? start : undefined;
  if (bareMic) model = wants ? 'condenser-mic' : 'dynamic-mic';
  // "hearing loop send", "IEM feed": of what leaves a desk it is told where it goes.
  const sent = model === null && instrument === null ? pieces.find((p, k) => isSend(p, pieces[k + 1])) : undefined;
  if (sent) model = 'line-balanced';
  // "wedges, amp out, speaker cable": the amplifier that drives them.
  const driving =
    plug === 'speaker'
      ? pieces.find((p, k) => p.read.is === 'amp' && /^out/i.test(pieces[k + 1]?.text ?? ''))
      : undefined;
  if (model === null && instrument === null && driving) model = 'power-amp';
  // "cross-coupled output" and no word of whose.
  const made = pieces.find(
    ({ read, text, part }) =>
      part === 0 && /out(?:put)?s?$/i.test(text) && (read.is === 'topology' || read.is === 'quality')
  );
  if (model === null && instrument === null && made) model = 'line-balanced';
  if (model === null) return null;
  const assumed = best === null || best.weight <= least;
  const told = pieces.map((p) => p.text.toLowerCase()).join(' ');
  // An electric piano with a passive output is pickups and nothing else.
  const passiveKeys = qualities.includes('passive') || passive || /\bpassive (?:out(?:put)?|pick-?ups?)\b/.test(told);
  model =
    assumed &&
    played === 'keys' &&
    passiveKeys &&
    /\b(?:(?:e|el|elec|electric)[\s-]*(?:piano|pno)|ep|clav(?:inet)?|pianet)\b/i.test(told)
      ? 'electric-piano'
      : asItsOutput(pieces, model, qualities, plugged);
  if (model === 'valve-amp' && /\b(?:solid.state|transistor|class d|pa)\b/.test(told)) model = 'power-amp';
  // A guitar that is re-amped is a recording: what is played back comes from a line output.
  const back = pieces.some(
    (p) =>
      p.read.is === 'box' &&
      ['reamp-box', 'reversed-di'].includes(p.read.model) &&
      !(p.named && pieces.some((o) => !o.named && o.read.is === 'di'))
  );
  if (back && assumed && ['guitar', 'bass-guitar', 'five-string-bass'].includes(played ?? '')) model = 'interface-out';
  const settings: Device['settings'] = {};
  const of =
    (assumed ? null : best?.of) ??
    played ??
    (onlyPedal ? (bassPedal ? 'bass-guitar' : 'acoustic-guitar') : null) ??
    (cabinet && model !== null && MICS.has(model) && PLAYED_AMP.test(cabinet.text)
      ? /bass/i.test(cabinet.text)
        ? 'bass-guitar'
        : 'guitar'
      : null);
  if (of && modelOf(model).signal && modelOf(model).signal!.instrument !== of) settings.instrument = of;
  const place: MicPlace | undefined = MICS.has(model) ? (cabinet ? 'cabinet' : instrument?.read.mic) : undefined;
  const level = place && micLevel(model, place);
  if (level) {
    const { nominal, crest } = modelOf(model).params;
    if (nominal && level.nominal >= nominal.low && level.nominal <= nominal.high) settings.nominal = level.nominal;
    if (crest && level.crest !== crest.typ) settings.crest = level.crest;
  }
  // Nobody has to be told that keys have an output.
  const unsaid =
    output?.guessed ?? (assumed && (modelOf(model).signal?.nature !== 'resistive' || model === 'acoustic-preamp'));
  return {
    model,
    settings,
    at:
      best?.at ??
      instrument?.from ??
      (alone
        ? cabinet.from
        : (nameless?.from ??
          heardByMic?.from ??
          bareMic?.from ??
          sent?.from ??
          driving?.from ??
          tappedAt ??
          made?.from ??
          (onlyPedal ? pedal.from : null))),
    instrument: of,
    assumed: unsaid
  };
}

/** Where a line goes, called a send or a feed. */
const isSend = ({ read, text, part }: Piece, next: Piece | undefined): boolean =>
  read.is === 'input' &&
  read.model !== 'mic-in' &&
  (/\b(?:sends?|feeds?)$/i.test(text) || (next?.part === part && /^(?:sends?|feeds?)$/i.test(next.text)));

/** Of a public address, and not of a guitar. */
const PUBLIC = /^(?:pa|p\.a\.?|power|house|hi-?fi|class d|solid state|transistor)$/i;

/** Microphones over whatever is said before them. */
export const OVER = /^(?:oh|ohs|overheads?)$/i;
/** What of an instrument is plugged into a DI, where one usually puts a microphone before it. */
const PLUGGED: Readonly<Record<string, string>> = {
  banjo: 'piezo',
  percussion: 'piezo',
  keys: 'piezo',
  harp: 'piezo',
  organ: 'acoustic-preamp',
  harmonica: 'hi-z-mic',
  drums: 'line-unbalanced'
};
/** What is heard through a cabinet. */
const CABINETS: ReadonlySet<string> = new Set(['guitar', 'bass-guitar', 'five-string-bass', 'organ']);

const isPassive = ({ read }: Piece): boolean => read.is === 'quality' && read.quality === 'passive';
