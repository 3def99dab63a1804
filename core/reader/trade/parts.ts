import { checkSetting, modelOf } from '../../gear/catalogue';
import type { InstrumentId } from '../../gear/instruments';
import { isRig } from './parts-of-text';
import { type MicPlace, micLevel } from '../../gear/mic-places';
import type { Setting } from '../../gear/types';
import type { Piece, Read } from './pieces';
import { MICROPHONES } from './sides';

/** Which of the pieces say what is played, what stands between and where it goes: the heaviest of what was said, the rest tells whose or where. */

type Of<I extends Read['is']> = Piece & { readonly read: Extract<Read, { is: I }> };
const isOf =
  <I extends Read['is']>(...names: I[]) =>
  (piece: Piece): piece is Of<I> =>
    (names as string[]).includes(piece.read.is);

export interface Device {
  model: string;
  settings: Record<string, Setting>;
  /** Where in the text it was said; none for what was not said. */
  at: number | null;
}

/** What is said before the colon is a name first: it counts so much less. */
const NAMED = 40;
/** Microphones that stand before something. */
export const MICS: ReadonlySet<string> = new Set(['dynamic-mic', 'condenser-mic', 'ribbon']);
const ACOUSTIC = new Set([
  'acoustic-guitar',
  'bouzouki',
  'mandolin',
  'violin',
  'viola',
  'cello',
  'upright-bass',
  'harp',
  'dulcimer',
  'banjo'
]);

/** What a microphone that stands before something counts more than the pickup that is heard through it. */
const MIC_MEANT = 20;
/** "100 m unbalanced line". */
const OF_A_CABLE = /^(?:un)?balanced line$/i;
const MAIN_OUT = /^(?:main|master) out(?:put)?s?$/i;
/** What "clip-on" alone counts less than the kind of microphone. */
const CLIPPED = 10;
/** Weight of a television, whose RCA sockets are a player's. */
const TELEVISION = 32;

export interface Source extends Device {
  readonly instrument: InstrumentId | null;
  /** It follows from the instrument: how it is picked up was not said. */
  readonly assumed: boolean;
}

/** The piece beside one in its own part, passing over what only joins. */
export function beside(pieces: readonly Piece[], k: number, step: 1 | -1): Piece | null {
  for (let n = k + step; n >= 0 && n < pieces.length; n += step) {
    if (pieces[n].part !== pieces[k].part) return null;
    if (!['filler', 'ohm', 'ratio', 'times', 'count', 'number', 'lift', 'phantom', 'pad'].includes(pieces[n].read.is))
      return pieces[n];
  }
  return null;
}

/** Whether "active" or "passive" is said of a DI: the one right behind it, or else right before it. */
export function isOfDi(pieces: readonly Piece[], k: number): boolean {
  // "passive pickup, DI".
  if (PICKUP.test(pieces[k + 1]?.text ?? '') && pieces[k + 1].part === pieces[k].part) return false;
  const next = beside(pieces, k, 1);
  if (next?.read.is === 'di') return true;
  const before = beside(pieces, k, -1);
  if (before?.read.is === 'di' && (next?.read.is !== 'instrument' || /^(?:for|on|with)$/i.test(pieces[k + 1].text)))
    return true;
  // "DI (his own, active)": a part of its own behind the DI, in which nothing else is said.
  const own = pieces.filter((p) => p.part === pieces[k].part);
  if (!own.every((p) => p === pieces[k] || ['filler', 'note'].includes(p.read.is))) return false;
  let at = pieces.indexOf(own[0]) - 1;
  // "DI (own, active)".
  while (at > 0 && ['filler', 'note'].includes(pieces[at].read.is)) at--;
  // "DI (piezo, active)": a pickup that has nothing to be active stands between.
  const pickup = pieces[at]?.read;
  if (pickup?.is === 'source' && PASSIVE_PICKUP.has(pickup.model)) at--;
  return pieces[at]?.read.is === 'di' && own[0].part - pieces[at].part <= pieces.indexOf(own[0]) - at;
}
const PASSIVE_PICKUP: ReadonlySet<string> = new Set(['piezo', 'contact-disc']);

/** A "rack interface" is no tom. */
export const isAdjective = (pieces: readonly Piece[], p: Piece): boolean =>
  /^rack$/i.test(p.text) && pieces.some((o) => o !== p && (o.read.is === 'source' || o.read.is === 'instrument'));

/** What is played and how it is picked up; null where nothing tells. */
export function sourceOf(pieces: readonly Piece[]): Source | null {
  const all = pieces.filter(isOf('instrument')).filter((p) => !isAdjective(pieces, p));
  // Five strings say which bass; a "5-string banjo" is none.
  const other = all.some((p) => !['five-string-bass', 'programme'].includes(p.read.instrument));
  const ofBass = all.some((p) => p.read.instrument === 'bass-guitar' || /bass/i.test(p.text));
  const instruments = other && !ofBass ? all.filter((p) => !/^(?:5|five)[\s-]?str/i.test(p.text)) : all;
  const bass = instruments.some((p) => ['bass-guitar', 'five-string-bass'].includes(p.read.instrument));
  // The first that is no name, and of names the first.
  const five = instruments.find((p) => p.read.instrument === 'five-string-bass');
  // An "electric" double bass is no guitar, a "guest acoustic" no speaker, and a bass with pedals none either.
  // "lead vox, cond hh" is handheld.
  const voice = instruments.some((p) => ['vocals', 'speech'].includes(p.read.instrument));
  const tells = (p: Piece): boolean =>
    /^(?:elec(?:tric)?|guests?|host|pedals?|pedal ?board|fx board)$/i.test(p.text) || (voice && /^hh$/i.test(p.text));
  const body = instruments.filter(
    (p) => !p.named && p.read.instrument !== 'programme' && !(tells(p) && instruments.some((o) => !tells(o)))
  );
  // A "guitar" whose name says which.
  const acoustic = instruments.find((p) => p.read.instrument === 'acoustic-guitar');
  const bare =
    body[0]?.read.instrument === 'guitar' &&
    /^(?:guitar|gtr|git|gt|gitarre|guitare|guitarra|chitarra)$/i.test(body[0].text);
  const instrument =
    five ??
    (bare ? acoustic : null) ??
    // A near miss tells less than a word as it is spelt.
    body.find((p) => p.as === undefined) ??
    body[0] ??
    instruments.find((p) => p.read.instrument !== 'programme') ??
    instruments[0] ??
    null;
  const played = instrument?.read.instrument ?? null;
  const qualities = pieces.flatMap((p, k) =>
    p.read.is === 'quality' && !(p.read.quality !== 'balanced' && isOfDi(pieces, k)) ? [p.read.quality] : []
  );
  // "mixer out" behind a small mixer is that mixer's.
  const behindMixer = (p: Piece): boolean =>
    /^(?:mixer|main|master)/i.test(p.text) &&
    !pieces.some((o) => isMixerItself(pieces, o)) &&
    pieces.some((o) => o.read.is === 'box' && o.read.model === 'small-mixer' && o.from < p.from);
  // "instrument input of an interface": the interface is where the input is.
  const where = (p: Piece): boolean =>
    pieces.some((o, n) => {
      const between = pieces.slice(n + 1, pieces.indexOf(p));
      return (
        o.read.is === 'input' &&
        o.part === p.part &&
        o.to <= p.from &&
        between.some((b) => /^(?:of|on|at)\b/i.test(b.text)) &&
        between.every((b) => b.read.is === 'filler' || b.read.is === 'ohm')
      );
    });
  // A "compressor insert" is where it goes, and so is an "interface inst in".
  const inserted = (p: Piece): boolean => {
    const next = pieces[pieces.indexOf(p) + 1];
    if (next?.read.is !== 'input' || next.part !== p.part) return false;
    const others = pieces.some((o) => o !== p && (o.read.is === 'source' || o.read.is === 'instrument'));
    return (
      others &&
      (next.read.model === 'insert-return' ||
        (isOf('source')(p) && p.read.model === 'interface-out' && !/out/i.test(p.text)))
    );
  };
  // "drum brain main out": of what has a line output it is that one.
  const ownOutput =
    instrument !== null &&
    played !== 'programme' &&
    modelOf(instrument.read.model).ports[0].level === 'line' &&
    !pieces.some((p) => p.read.is === 'box');
  // An amplifier that a microphone stands before is no source, unless one of its outputs was said.
  const mics = pieces.some((p) => p.read.is === 'source' && MICS.has(p.read.model));
  const before = (p: Piece): boolean => mics && isBareAmp(p);
  // "bass, compressor, DI": at the level of a pickup it is one of the player's pedals.
  const isHisPedal = (p: Piece): boolean =>
    /^comp(?:ressor)?$/i.test(p.text) &&
    instrument !== null &&
    instrument.from < p.from &&
    isPickup(instrument.read.model) &&
    pieces.some((o) => o.read.is === 'di' && o.from > p.from);
  const sources = pieces
    .filter(isOf('source'))
    .filter(
      (p) =>
        !(p.read.model === 'modeller' && loaded(pieces)) &&
        !behindMixer(p) &&
        !(ownOutput && MAIN_OUT.test(p.text)) &&
        !where(p) &&
        !inserted(p) &&
        !before(p) &&
        !isReamped(pieces, p) &&
        !isWhereItGoes(pieces, p) &&
        !isHisPedal(p) &&
        !(OF_A_CABLE.test(p.text) && pieces.some((o) => o.part === p.part && o.read.is === 'length'))
    );
  const mixed = mixerBehind(pieces);
  // "humbuckers, mic'd, dyn": the pickup tells whose cabinet it is.
  const micd = pieces.some((p) => MICD.test(p.text));
  // "dyn clip-on mics": how it is held says less than which it is.
  const dynamic = sources.some((p) => p.read.model === 'dynamic-mic');
  const held = (p: Piece): boolean => dynamic && /^clip[\s-]?(?:on[\s-]?)?(?:mics?)?$/i.test(p.text);
  const found = sources.map((p) => ({
    model: p.read.model as string,
    weight:
      p === mixed
        ? MIXED
        : p.read.weight -
          (p.named ? NAMED : 0) -
          (held(p) ? CLIPPED : 0) +
          (micd && MICS.has(p.read.model) ? MIC_MEANT : 0),
    at: p.from,
    of: p.read.instrument ?? null
  }));
  const also = (model: string, weight: number, at: number, of: InstrumentId | null = null): void =>
    void found.push({ model, weight, at, of });
  // "clip-on, wireless pack, rx XLR out, SB 4": what comes in there is the receiver.
  const pack = pieces.find((p) => p.read.is === 'input' && p.read.model === 'beltpack-in');
  const received = (p: Piece): boolean => p.read.is === 'input' || /^(?:rx|receiver)/i.test(p.text);
  const powered = pieces.some((p) => p.read.is === 'phantom' && p.read.on);
  if (pack && !powered && pieces.some((p) => p.from > pack.from && received(p)))
    also('wireless-receiver', 75, pack.from);
  pieces.forEach((p, k) => {
    if (p.read.is === 'source' && /^preamp out/i.test(p.text) && played !== null && ACOUSTIC.has(played))
      also('acoustic-preamp', 56, p.from);
    if (p.read.is === 'magnetic')
      also(
        played === 'upright-bass'
          ? 'upright-magnetic'
          : bass
            ? 'passive-bass'
            : played === 'acoustic-guitar'
              ? 'soundhole-magnetic'
              : 'single-coil',
        57,
        p.from
      );
    // A preamp before a DI is one with it, behind "mic" it is the desk's; on an acoustic instrument it is built in.
    if (p.read.is === 'preamp' && played !== null && ACOUSTIC.has(played) && beside(pieces, k, 1)?.read.is !== 'di')
      also('acoustic-preamp', 56, p.from);
    if (p.read.is === 'mode' && bass) also('active-bass', 56, p.from);
  });
  if (instrument && qualities.includes('active') && !found.some((f) => f.weight > 50)) {
    if (bass) also('active-bass', 55, instrument.from);
    else if (played === 'guitar') also('active-guitar', 55, instrument.from);
    else if (played !== null && ACOUSTIC.has(played)) also('acoustic-preamp', 55, instrument.from);
  }
  if (instrument && qualities.includes('passive') && bass) also('passive-bass', 55, instrument.from);
  const amp = pieces.some((p) => p.read.is === 'amp');
  const best = found.sort((a, b) => b.weight - a.weight || a.at - b.at)[0] ?? null;
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
    amp &&
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
  const head = pieces.find((p) => p.read.is === 'amp');
  const ofPa = pieces.some((p) => PUBLIC.test(p.text) || /bridged?/i.test(p.text));
  if (model === null && tapped) model = played === null && !ofPa ? 'valve-amp' : 'power-amp';
  const tappedAt =
    tapped && head && pieces.indexOf(head) < pieces.findIndex((p) => p.read.is === 'di') ? head.from : null;
  const cabinet = pieces.find((p) => p.read.is === 'amp');
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
  const output = model === null && instrument === null ? outputOfUnknown(pieces) : null;
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
  // "cross-coupled output" and no word of whose.
  const made = pieces.find(
    ({ read, text, part }) =>
      part === 0 && /out(?:put)?s?$/i.test(text) && (read.is === 'topology' || read.is === 'quality')
  );
  if (model === null && instrument === null && made) model = 'line-balanced';
  // Whatever it is, what leaves by RCA outputs is a consumer's level.
  if (model !== null && LINES.has(model) && hasRcaOutput(pieces)) model = 'consumer-player';
  if (model === null) return null;
  const assumed = best === null || best.weight <= least;
  // "XLR line input +4 dBu" and "+4 dBu line input" are what that wants.
  const levels = pieces.filter((p, k) => p.read.is === 'level' && !isOfInput(pieces, k));
  const text =
    qualities.includes('balanced') || levels.some((p) => p.read.is === 'level' && /\+\s?4/.test(p.read.text));
  // A balanced or +4 dBu output is no consumer's, and a keyboard's is the balanced one.
  const told = pieces.map((p) => p.text.toLowerCase()).join(' ');
  // An electric piano with a passive output is pickups and nothing else.
  if (
    assumed &&
    played === 'keys' &&
    (qualities.includes('passive') || /\bpassive out(?:put)?\b/.test(told)) &&
    /\b(?:e|el|elec|electric)[\s-]*(?:piano|pno)\b/i.test(told)
  )
    model = 'electric-piano';
  // A keyboard's XLR output is its balanced one.
  if (model === 'line-unbalanced' && !plugged && pieces.some((p) => /^xlr[\s-]*outs?$/i.test(p.text)))
    model = 'line-impedance-balanced';
  if (text && model === 'consumer-player') model = 'line-balanced';
  if (qualities.includes('balanced') && model === 'line-unbalanced') model = 'line-impedance-balanced';
  // How a balanced output is made was said: it has one.
  const topology = pieces.find(isOf('topology'))?.read.topology;
  if (topology && LINES.has(model) && checkSetting(modelOf(model), 'topology', topology)) model = 'line-balanced';
  // What is said beside a length is said of a cable.
  const ofCable = new Set(pieces.filter((p) => p.read.is === 'length').map((p) => p.part));
  const ofOutput = pieces
    .flatMap((p) => (ofCable.has(p.part) || p.read.is === 'input' ? [] : [p.text.toLowerCase()]))
    .join(' ');
  // The plug or a word tells which of a desk's outputs it is.
  if (model === 'line-balanced' && !qualities.includes('balanced')) {
    if (
      /\b(?:rca|phono) (?:out(?:put)?s?|l\/?r|master|main)\b|\b(?:out(?:put)?s?|master|processor) rca\b/.test(ofOutput)
    )
      model = 'consumer-player';
    else if (
      /\bunbalanced (?:jack )?out|\bout(?:put)?s?(?: \d+ ?(?:ohms?|Ω))? unbalanced|\bunbalanced jack\b(?! (?:lead|cable))/.test(
        ofOutput
      )
    )
      model = 'line-unbalanced';
  }
  if (model === 'valve-amp' && /\b(?:solid.state|transistor|class d)\b/.test(told)) model = 'power-amp';
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
  const place: MicPlace | undefined = MICS.has(model) ? (amp ? 'cabinet' : instrument?.read.mic) : undefined;
  const level = place && micLevel(model, place);
  if (level) {
    const { nominal, crest } = modelOf(model).params;
    if (nominal && level.nominal >= nominal.low && level.nominal <= nominal.high) settings.nominal = level.nominal;
    if (crest && level.crest !== crest.typ) settings.crest = level.crest;
  }
  // Nobody has to be told that keys have an output.
  const unsaid = assumed && (modelOf(model).signal?.nature !== 'resistive' || model === 'acoustic-preamp');
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
          tappedAt ??
          made?.from ??
          (onlyPedal ? pedal.from : null))),
    instrument: of,
    assumed: unsaid
  };
}

/** A name that nobody knows, with an output behind it in its part: what gives its signal there. */
function outputOfUnknown(pieces: readonly Piece[]): { of: Piece; model: string } | null {
  for (const [k, of] of pieces.entries()) {
    if (of.read.is !== 'unknown' || of.part > 0 || of.text.length < 2) continue;
    const out = pieces.slice(k + 1).find((p) => p.part === of.part && p.read.is !== 'unknown');
    const said = out?.read.is === 'filler' ? OWN_OUTPUT.exec(out.text) : null;
    if (said) return { of, model: BY_PLUG[said[1]?.toLowerCase() ?? ''] ?? 'line-unbalanced' };
  }
  return null;
}
const OWN_OUTPUT = /^(?:(rca|cinch|phono|xlr|trs|jack|ts)[\s-]+)?out(?:put)?s?$/i;
const BY_PLUG: Readonly<Record<string, string>> = {
  rca: 'consumer-player',
  cinch: 'consumer-player',
  phono: 'consumer-player',
  xlr: 'line-balanced',
  trs: 'line-balanced'
};

/** A level that is said of an input: right before it, or behind one and before the next source. */
export function isOfInput(pieces: readonly Piece[], k: number): boolean {
  const whose = pieces.slice(0, k).findLast(({ read }) => ['input', 'source', 'instrument'].includes(read.is));
  const next = pieces.slice(k + 1).find((p) => p.part !== pieces[k].part || p.read.is !== 'filler');
  return whose?.read.is === 'input' || (next?.part === pieces[k].part && next.read.is === 'input');
}

/** Of a public address, and not of a guitar. */
const PUBLIC = /^(?:pa|p\.a\.?|power|house|hi-?fi|class d|solid state|transistor)$/i;

const LINES: ReadonlySet<string> = new Set(['interface-out', 'line-balanced', 'line-unbalanced', 'headphone']);
const RECORD = /^(?:rec(?:ord)?|tape|booth|main|master)[\s-]out(?:put)?s?$/i;
/** "RCA outputs" before any box or lead of it. */
function hasRcaOutput(pieces: readonly Piece[]): boolean {
  // "soundcard, RCA, 15 m": with no other plug said, it leaves by that.
  const plugs = pieces.filter((p) => p.read.is === 'cable' || /xlr|trs|jack|balanced/i.test(p.text));
  if (
    plugs.length > 0 &&
    plugs.every((p) => /^(?:rca|cinch)s?$/i.test(p.text)) &&
    pieces.some((p) => p.read.is === 'source' && p.read.model === 'interface-out')
  )
    return true;
  const k = pieces.findIndex(
    (p, n) =>
      /^(?:rca|cinch) out(?:put)?s?$/i.test(p.text) ||
      // "DJ mixer RCA record output".
      (p.read.is === 'cable' &&
        p.read.kind === 'rca' &&
        pieces[n + 1]?.part === p.part &&
        RECORD.test(pieces[n + 1].text))
  );
  return k >= 0 && pieces.slice(0, k).every(({ read }) => !['di', 'box', 'input', 'length'].includes(read.is));
}

/** A pickup of which no kind was said. */
const PICKUP = /^(?:pick ?ups?|pu|pup)$/i;
/** Microphones over whatever is said before them. */
export const OVER = /^(?:oh|ohs|overheads?)$/i;
/** "organ, mic'd top and bottom". */
const MICD = /^(?:close )?(?:mic'?d|mic'?ed|miked)/i;
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
/** A bare "mic" right behind what is played, which says no more of where it goes. */
function hasMicBehind(pieces: readonly Piece[], instrument: Piece): boolean {
  const next = pieces[pieces.indexOf(instrument) + 1];
  return next !== undefined && next.part === instrument.part && !next.named && BARE_MIC.test(next.text);
}
const BARE_MIC = /^(?:mic|mics|microphone|microphones|mik|micro|mikro)$/i;

/** "lead gtr amp ch 7": an amplifier right behind the instrument, with no lead between, is what stands there. */
function isHisRig(pieces: readonly Piece[], instrument: Piece): boolean {
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
function standsForItsMic(pieces: readonly Piece[], cabinet: Piece): boolean {
  const plugged = ({ read }: Piece): boolean =>
    ['di', 'box', 'source', 'instrument', 'input'].includes(read.is) &&
    !(read.is === 'input' && read.model === 'mic-in');
  const mic = pieces.some((p) => !p.named && (BARE_MIC.test(p.text) || MICROPHONES.test(p.text)));
  const lead = pieces.some(({ read }) => read.is === 'cable' && read.kind === 'instrument');
  return !pieces.some(plugged) && !lead && (mic || isRig({ ...cabinet, named: false }));
}

/** What is mixed on the way comes out of the mixer: "turntables → DJ mixer → master → line ins". */
const MIXED = 90;
/** A mixer that stands behind a source and before something else in a row of arrows or commas; undefined where none does. */
function mixerBehind(pieces: readonly Piece[]): Piece | undefined {
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
const A_DESK = /^(?:desk|mixer|console|mixing desk|foh desk|pult|mischpult|mengtafel|mengpaneel|mesa)$/i;
const TOWARDS = /^(?:to|into|in|in the|to the|then|zu|zum|naar|vers|al|a la)$/i;
/** "… 45 m to desk": a desk at the end, towards which one goes, is no source of what was said before it. */
function isWhereItGoes(pieces: readonly Piece[], p: Piece): boolean {
  const k = pieces.indexOf(p);
  return (
    A_DESK.test(p.text) &&
    TOWARDS.test(pieces[k - 1]?.text ?? '') &&
    pieces[k - 1].part === p.part &&
    pieces.slice(0, k).some((o) => o.read.is === 'source' || o.read.is === 'instrument') &&
    pieces.slice(k + 1).every((o) => ['channels', 'channel', 'number', 'filler', 'length'].includes(o.read.is))
  );
}

const isPassive = ({ read }: Piece): boolean => read.is === 'quality' && read.quality === 'passive';

/** "DJ: mixer master out": with nothing before it the mixer is where it comes from. */
export function isMixerItself(pieces: readonly Piece[], p: Piece): boolean {
  if (p.read.is !== 'box' || p.read.model !== 'small-mixer' || p.named) return false;
  const plays = ({ read, named }: Piece): boolean =>
    !named && read.is === 'instrument' && read.instrument !== 'programme';
  return (
    !pieces.some(plays) &&
    !pieces.some((o) => o.to <= p.from && !o.named && o.read.is === 'source') &&
    pieces.some(
      (o) => o.from > p.from && o.part === p.part && o.read.is === 'source' && /\bouts?\b|output/i.test(o.text)
    )
  );
}

/** An amplifier that tells what is played through it. */
const PLAYED_AMP = /^(?:bass|guitar|gtr|git|gitarre|guitare)\b|^(?:amp|cab|combo|cabinet)/i;

/** An amplifier of which no output was said. */
const isBareAmp = ({ read, text }: Piece): boolean =>
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

/** An amplifier's load box, whose own line output may be called a cabinet simulation. */
const loaded = (pieces: readonly Piece[]): boolean =>
  pieces.some((p) => p.read.is === 'box' && p.read.model === 'load-box');
