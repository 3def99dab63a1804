import { modelOf } from '../../gear/catalogue';
import type { InstrumentId } from '../../gear/instruments';
import type { Piece } from './pieces';
import { beside } from './di-kind';
import { isOf, type Of } from './played';
import {
  BARE_MIC,
  isBareAmp,
  isMixerItself,
  isPickup,
  isReamped,
  isWhereItGoes,
  loaded,
  MIXED,
  mixerBehind
} from './rigs';

/** What speaks for each kind of source, and how much: of what was said the heaviest is meant. */

/** What speaks for a model. */
export interface Evidence {
  readonly model: string;
  readonly weight: number;
  /** Where in the text it was said. */
  readonly at: number;
  /** What it is of, where the words say that. */
  readonly of: InstrumentId | null;
}

/** Microphones that stand before something. */
export const MICS: ReadonlySet<string> = new Set(['dynamic-mic', 'condenser-mic', 'ribbon']);
/** What is said before the colon is a name first: it counts so much less. */
const NAMED = 40;
/** Instruments that sound by themselves. */
export const ACOUSTIC: ReadonlySet<string> = new Set([
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
/** "organ, mic'd top and bottom". */
const MICD = /^(?:close )?(?:mic'?d|mic'?ed|miked)/i;
/** Whether it was said that a microphone stands there. */
export const isMicd = (pieces: readonly Piece[]): boolean => pieces.some((p) => MICD.test(p.text));

/** What gives a signal, of all that was said: not where it goes, nor what stands between. */
function sourcesSaid(pieces: readonly Piece[], instrument: Of<'instrument'> | null): Of<'source'>[] {
  const played = instrument?.read.instrument ?? null;
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
  return pieces
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
}

const isRiaa = ({ read }: Piece): boolean => read.is === 'box' && read.model === 'phono-preamp';

/** What speaks for each model, the heaviest first. @param qualities what was said of the source: active, passive, balanced */
export function evidenceOf(
  pieces: readonly Piece[],
  instrument: Of<'instrument'> | null,
  bass: boolean,
  qualities: readonly string[]
): Evidence[] {
  const played = instrument?.read.instrument ?? null;
  const sources = sourcesSaid(pieces, instrument);
  const mixed = mixerBehind(pieces);
  // "humbuckers, mic'd, dyn": the pickup tells whose cabinet it is.
  const micd = isMicd(pieces);
  // "dyn clip-on mics": how it is held says less than which it is.
  const dynamic = sources.some((p) => p.read.model === 'dynamic-mic');
  const held = (p: Piece): boolean => dynamic && /^clip[\s-]?(?:on[\s-]?)?(?:mics?)?$/i.test(p.text);
  // "bullet into amp, dyn on amp": what is heard is the microphone before it.
  const onAmp = (p: Piece): boolean => {
    const [on, amp] = pieces.slice(pieces.indexOf(p) + 1);
    return (
      p.part > 0 &&
      amp?.part === p.part &&
      amp.read.is === 'amp' &&
      /^(?:on|before|at|in front of)(?: the)?$/i.test(on.text)
    );
  };
  const found = sources.map((p) => ({
    model: p.read.model as string,
    weight:
      p === mixed
        ? MIXED
        : p.read.weight -
          (p.named ? NAMED : 0) -
          (held(p) ? CLIPPED : 0) +
          (MICS.has(p.read.model) && onAmp(p) ? MIC_MEANT : 0) +
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
    if (sources.every((o) => o.named) && isMixerItself(pieces, p)) also('line-balanced', 55, p.from);
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
    if ((found.length > 0 || instrument) && BARE_MIC.test(p.text) && onAmp(p)) also('dynamic-mic', 75, p.from);
    // "record player, line out": it has a preamp built in.
    const afterIt = (o: Piece): boolean => o.from > p.from && /^line out/i.test(o.text);
    if (p.read.is === 'source' && p.read.model === 'turntable' && pieces.some(afterIt) && !pieces.some(isRiaa))
      also('consumer-player', 76, p.from);
    // "dyn, loop station out DI": what comes last gives the signal.
    const gives = p.read.is === 'source' && p.read.weight < 50 && modelOf(p.read.model).ports[0].level === 'line';
    const isOut = /\bouts?$/i.test(p.text) || (pieces[k + 1]?.part === p.part && /^outs?$/i.test(pieces[k + 1].text));
    const radio = sources.some((o) => o.read.model === 'wireless-receiver' && o.part < p.part);
    if (gives && isOut && !radio && p.part > 0 && sources.some((o) => MICS.has(o.read.model) && o.part < p.part))
      also(p.read.model, 75, p.from);
    if (p.read.is === 'mode' && bass) also('active-bass', 56, p.from);
  });
  if (instrument && qualities.includes('active') && !found.some((f) => f.weight > 50)) {
    if (bass) also('active-bass', 55, instrument.from);
    else if (played === 'guitar') also('active-guitar', 55, instrument.from);
    else if (played !== null && ACOUSTIC.has(played)) also('acoustic-preamp', 55, instrument.from);
  }
  if (instrument && qualities.includes('passive') && bass) also('passive-bass', 55, instrument.from);
  return found.sort((a, b) => b.weight - a.weight || a.at - b.at);
}
