import { modelOf } from '../../gear/catalogue';
import type { Piece, Read } from './pieces';
import { BARE_MIC } from './rigs';
import { phraseAt } from './words';

/** Of what has outputs and inputs, which was said, with its plug between or without: "power amplifier unbalanced input", "mixer XLR output +4". */

const IN = /^in(?:put)?s?$/i;
const HOW = /^(?:un)?balanced$/i;
const OUT = /(?:^|\s)out(?:put)?s?$/i;
const MOST_BETWEEN = 2;

/** The pieces, with a thing before its own input or output read as that, where the trade knows one. */
export const asItsOwn = (pieces: readonly Piece[]): readonly Piece[] =>
  pieces.map((p, k): Piece => {
    const read = p.named
      ? null
      : (itsInput(pieces, k) ??
        micdCombo(pieces, k) ??
        ofAmp(pieces, k) ??
        ampBehindDi(pieces, k) ??
        ampsOwnDi(pieces, k) ??
        ampsOutput(pieces, k) ??
        mixerInput(pieces, k) ??
        preampPedal(pieces, k) ??
        forLater(pieces, k) ??
        publicAddress(pieces, k) ??
        compere(pieces, k) ??
        voiceOfChoir(pieces, k) ??
        harpMic(pieces, k) ??
        itsOutput(pieces, k) ??
        between(pieces, k) ??
        builtIn(pieces, k) ??
        ofSplitter(pieces, k));
    return read ? { ...p, read } : p;
  });

/** "RCA -> converter -> line", "… through a converter": what makes one level of the other, up where nobody said that it goes down. */
function between(pieces: readonly Piece[], k: number): Read | null {
  const { text, part } = pieces[k];
  if (!/^converter$/i.test(text)) return null;
  const alone = pieces.every((p, n) => n === k || p.part !== part);
  const behind = pieces.some((p) => p.part > part);
  const through = pieces.slice(0, k).findLast((p) => !/^(?:an?|the|level)$/i.test(p.text));
  const by = through?.part === part && /^(?:through|via|by|with|into)(?: an?| the)?$/i.test(through.text);
  if (!(part > 0 && alone && behind) && !by) return null;
  const levels = pieces.flatMap((p) => (p.read.is === 'level' ? [/^\+/.test(p.read.text)] : []));
  return { is: 'box', model: levels[0] === true && levels.includes(false) ? 'converter-down' : 'converter-up' };
}

/** "acoustic preamp, 3 m jack, active DI": before a DI it is the guitar's own, and no pedal with one built in. */
function builtIn(pieces: readonly Piece[], k: number): Read | null {
  const { read, text } = pieces[k];
  if (read.is !== 'di' || read.model !== 'preamp-di' || !/^(?:acoustic|onboard|built-?in) preamp$/i.test(text))
    return null;
  const more = pieces.slice(k + 1).some((p) => p.read.is === 'di');
  return more && !pieces.slice(0, k).some((p) => p.read.is === 'source')
    ? { is: 'source', model: 'acoustic-preamp', weight: 56 }
    : null;
}

/** "acoustic combo amp DI", "DI out of the guitar amp": right behind an amplifier, or taken out of it, the DI is that one's output. */
function ampsOwnDi(pieces: readonly Piece[], k: number): Read | null {
  const [before, p, next] = [pieces[k - 1], pieces[k], pieces[k + 1]];
  if (isItsAmp(p) && ((isItsDi(next) && next.part === p.part) || diTakenFrom(pieces, k)))
    return { is: 'source', model: 'bass-amp-out', weight: 66 };
  if (!isItsDi(p)) return null;
  const amp = pieces.findIndex((o, n) => n > k && isItsAmp(o));
  const taken = amp > 0 && diTakenFrom(pieces, amp) === p;
  return taken || (isItsAmp(before) && before.part === p.part) ? { is: 'filler' } : null;
}
const isItsAmp = (p: Piece | undefined): boolean => p?.read.is === 'amp' && p.read.model === 'amp-in' && !p.named;
const isItsDi = (p: Piece | undefined): boolean =>
  p?.read.is === 'di' && p.read.model === undefined && /^di(?: out)?$/i.test(p.text);
/** The DI that is said to come out of an amplifier: "DI from his amp". */
function diTakenFrom(pieces: readonly Piece[], amp: number): Piece | null {
  const { part } = pieces[amp];
  const before = pieces.slice(0, amp).filter((p) => p.part === part);
  const k = before.findLastIndex((p) => p.read.is !== 'filler');
  const words = before
    .slice(k + 1)
    .map(({ text }) => text)
    .join(' ');
  return k >= 0 && isItsDi(before[k]) && /(?<!ahead )\b(?:of|off|from)\b/i.test(words) ? before[k] : null;
}

/** An amplifier that something is played into: "acoustic amp" and "keys amp" are loudspeakers with an input of their own. */
const isPlayedInto = (p: Piece): boolean =>
  !p.named &&
  ((p.read.is === 'amp' && p.read.model === 'amp-in') ||
    (p.read.is === 'input' && ['speaker-in', 'combo-in'].includes(p.read.model) && /\b(?:amp|combo)$/i.test(p.text)));
const ANY_OUTPUT = /^(?:line|di|xlr|direct|jack)[\s-]outs?$/i;

/** "bass to combo, line out to SB 4", "keys amp, DI from line out": an output at the head of the part behind an amplifier is that one's. */
function ampsOutput(pieces: readonly Piece[], k: number): Read | null {
  const p = pieces[k];
  const gives = (amp: Piece): Read => {
    const sense = phraseAt(`${amp.text.toLowerCase()} di out`, 0, false)?.sense;
    return sense?.is === 'source' ? sense : { is: 'source', model: 'bass-amp-out', weight: 66 };
  };
  const plays = (part: number): boolean =>
    pieces.some((o) => o.part === part && (o.read.is === 'instrument' || o.read.is === 'source'));
  // Where somebody plays into it, and not where the line goes; nor is the lead before it one of the line's.
  if (outputBehind(pieces, p.part)) {
    if (isPlayedInto(p)) return plays(p.part) ? { is: 'filler' } : gives(p);
    if (p.read.is === 'length' || p.read.is === 'cable') return { is: 'filler' };
  }
  if (outputBehind(pieces, p.part - 1) !== p) return null;
  return plays(p.part - 1)
    ? gives(pieces.findLast((o) => o.part === p.part - 1 && isPlayedInto(o))!)
    : { is: 'filler' };
}
/** The output that begins the part behind an amplifier, which ends the part before it. */
function outputBehind(pieces: readonly Piece[], part: number): Piece | null {
  const before = pieces.filter((o) => o.part === part && !o.named);
  const last = before.findLast((o) => !['filler', 'length', 'cable'].includes(o.read.is) || BARE_MIC.test(o.text));
  const towards = before[before.indexOf(last ?? before[0]) - 1];
  const plays = before.some(({ read }) => read.is === 'instrument' || read.is === 'source');
  if (
    last === undefined ||
    !isPlayedInto(last) ||
    (plays && !/^(?:to|into|in|through|thru|via)$/i.test(towards?.text ?? ''))
  )
    return null;
  const [first, next, third] = pieces.filter((o) => o.part === part + 1);
  // "DI thru > amp; DI out": that DI's.
  const hasDi = pieces.slice(0, pieces.indexOf(last)).some(({ read }) => read.is === 'di');
  if (first === undefined || hasDi) return null;
  if (first.read.is === 'source' && first.read.model === 'bass-amp-out') return first;
  if (isItsDi(first) && (/\bout$/i.test(first.text) || /^out(?:put)?s?$/i.test(next?.text ?? ''))) return first;
  if (ANY_OUTPUT.test(first.text) && ['source', 'filler'].includes(first.read.is)) return first;
  return isItsDi(first) && /^(?:from|off|of)(?: the)?$/i.test(next?.text ?? '') && ANY_OUTPUT.test(third?.text ?? '')
    ? third
    : null;
}

/** "DI before amp": an amplifier that goes on from the DI, and not where the line goes. */
function ampBehindDi(pieces: readonly Piece[], k: number): Read | null {
  const [p, before] = [pieces[k], pieces.slice(0, k).findLast(({ text }) => !/^(?:the|his|her|my)$/i.test(text))];
  const di = before && pieces[pieces.indexOf(before) - 1];
  const ahead = before?.part === p.part && /^(?:before|ahead of)(?: the)?$/i.test(before.text);
  return p.read.is === 'amp' && ahead && di?.read.is === 'di' ? { is: 'filler' } : null;
}

/** "shotgun, 30 m XLR, mixer in 1": the mixer is where it goes. */
function mixerInput(pieces: readonly Piece[], k: number): Read | null {
  const [p, into, channels] = pieces.slice(k, k + 3);
  const plays = pieces.slice(0, k).some(({ read }) => read.is === 'instrument' || read.is === 'source');
  return p.read.is === 'box' &&
    p.read.model === 'small-mixer' &&
    plays &&
    into?.part === p.part &&
    IN.test(into.text) &&
    channels?.read.is === 'channels' &&
    channels === pieces.at(-1)
    ? { is: 'filler' }
    : null;
}

/** "pickup with preamp pedal DI out": a pedal, and nothing that is built in. */
function preampPedal(pieces: readonly Piece[], k: number): Read | null {
  const [before, p, next] = [pieces[k - 1], pieces[k], pieces[k + 1]];
  const isPreamp = (o: Piece | undefined): boolean =>
    o?.read.is === 'source' && o.read.model === 'acoustic-preamp' && /\bpreamp$/i.test(o.text);
  if (isPreamp(p) && next?.part === p.part && /^pedal$/i.test(next.text)) return { is: 'di', model: 'preamp-di' };
  return p.part === before?.part && isPreamp(before) && /^pedal$/i.test(p.text) ? { is: 'filler' } : null;
}

/** "DI for reamp later": what becomes of it another day is no part of its way. */
function forLater(pieces: readonly Piece[], k: number): Read | null {
  const [before, { text, read, part }, next] = [pieces[k - 1], pieces[k], pieces[k + 1]];
  if (!/^re-?amp(?:ing)?$/i.test(text) || !['box', 'unknown'].includes(read.is)) return null;
  const wanted =
    /^(?:for|later)$/i.test(before?.text ?? '') || /^(?:later|afterwards|tomorrow)$/i.test(next?.text ?? '');
  const plays = pieces.slice(0, k).some((p) => p.read.is === 'instrument' || p.read.is === 'di');
  const goesOn = pieces.some((p) => p.part > part && ['input', 'amp', 'box', 'di'].includes(p.read.is));
  return wanted && plays && !goesOn ? { is: 'filler' } : null;
}

/** "PA amp" tells whose amplifier it is; "PA, speaker cable, cabinet" is that amplifier. */
function publicAddress(pieces: readonly Piece[], k: number): Read | null {
  if (!/^pa$/i.test(pieces[k].text)) return null;
  if (pieces[k + 1]?.read.is === 'amp') return { is: 'filler' };
  const loud = pieces.some(
    ({ read }) => (read.is === 'cable' && read.kind === 'speaker') || (read.is === 'amp' && read.model === 'cabinet')
  );
  return loud ? { is: 'source', model: 'power-amp', weight: 14 } : null;
}

/** "MC radio mic": somebody who speaks, where no number of a multicore follows. */
function compere(pieces: readonly Piece[], k: number): Read | null {
  const next = pieces[k + 1];
  const first = pieces.slice(0, k).every(({ read }) => ['channel', 'channels', 'number'].includes(read.is));
  const takes = next?.read.is === 'source' || /^(?:mic|handheld|hh|lav|headset)/i.test(next?.text ?? '');
  return /^mc$/i.test(pieces[k].text) && first && takes
    ? { is: 'instrument', instrument: 'speech', model: 'dynamic-mic', mic: 'speech' }
    : null;
}

/** "choir soprano/alto/tenor/bass": its voices, and neither saxophones nor a guitar. */
function voiceOfChoir(pieces: readonly Piece[], k: number): Read | null {
  if (!/^(?:sopranos?|altos?|tenors?|baritones?|bari|bass(?:es)?)$/i.test(pieces[k].text)) return null;
  const choir = pieces.slice(0, k).find((p) => /^(?:choir|chorus|satb|sopranos?)\b/i.test(p.text));
  return choir ? choir.read : null;
}

/** "harp mic, 2 conds": condensers stand before a harp; what a blues harp is played into is said by itself. */
function harpMic(pieces: readonly Piece[], k: number): Read | null {
  const other = pieces.some(({ read }) => read.is === 'source' && read.model === 'condenser-mic');
  return other && /^harp mi[ck]s?$/i.test(pieces[k].text)
    ? { is: 'instrument', instrument: 'harp', model: 'piezo', mic: 'strings' }
    : null;
}

/** "splitter with two direct outputs", "split with a Y": the outputs are the splitter's, and the Y is what splits. */
function ofSplitter(pieces: readonly Piece[], k: number): Read | null {
  const { read, text } = pieces[k];
  const splits = ({ read: r }: Piece): boolean => r.is === 'box' && r.model === 'splitter';
  const before = pieces.slice(Math.max(k - 3, 0), k).filter((p) => p.part === pieces[k].part);
  if (read.is === 'source' && /^direct out(?:put)?s?$/i.test(text) && before.some(splits)) return { is: 'filler' };
  if (read.is === 'count' && before.some(splits)) return { is: 'filler' };
  const outs = pieces.slice(k + 1, k + 4).some((p) => /^direct out(?:put)?s?$/i.test(p.text));
  // What goes straight through it is a wire.
  if (splits(pieces[k]) && outs) return { is: 'filler' };
  const next = pieces.slice(k + 1, k + 4).filter((p) => p.part === pieces[k].part);
  return splits(pieces[k]) && /^split$/i.test(text) && next.some((p) => /^y$/i.test(p.text))
    ? { is: 'box', model: 'y-xlr' }
    : null;
}

/** "mic on combo": no socket, but an amplifier with a microphone before it. */
function micdCombo(pieces: readonly Piece[], k: number): Read | null {
  const [mic, on] = pieces.slice(Math.max(k - 2, 0), k);
  const combo = pieces[k].read.is === 'input' && /^combo$/i.test(pieces[k].text);
  const next = pieces[k + 1];
  if (combo && next?.part === pieces[k].part && /^(?:close )?mi(?:c'?d|ked|ke'?d)/i.test(next.text))
    return { is: 'amp', model: 'amp-in' };
  const before = on && /^(?:on|at|in front of|before)(?: the)?$/i.test(on.text) && mic.part === pieces[k].part;
  const isMic =
    before && (/^mi[ck]/i.test(mic.text) || (mic.read.is === 'source' && /mic$|ribbon/.test(mic.read.model)));
  return combo && isMic ? { is: 'amp', model: 'amp-in' } : null;
}

/** "guitar amp high impedance input": of an amplifier it is where one plugs in, and not what a microphone stands before. */
function ofAmp(pieces: readonly Piece[], k: number): Read | null {
  const [p, next] = [pieces[k], pieces[k + 1]];
  const input = ({ read }: Piece): boolean => read.is === 'input' && read.model === 'instrument-in';
  const amp = ({ read }: Piece): boolean => read.is === 'amp' && read.model === 'amp-in';
  if (amp(p) && next?.part === p.part && input(next)) return { is: 'filler' };
  const before = pieces[k - 1];
  return input(p) && before?.part === p.part && amp(before) ? { is: 'input', model: 'amp-in' } : null;
}

function itsInput(pieces: readonly Piece[], k: number): Read | null {
  const [p, how, into] = pieces.slice(k, k + 3);
  if (p.read.is !== 'source' || k === 0 || into?.part !== p.part || how.part !== p.part) return null;
  if (!HOW.test(how.text) || !IN.test(into.text)) return null;
  const sense = phraseAt(`${p.text.toLowerCase()} input`, 0, false)?.sense;
  return sense?.is === 'input' ? sense : null;
}

/** What is said first, and has an output of its own: it is where a line comes from. */
function itsOutput(pieces: readonly Piece[], k: number): Read | null {
  const p = pieces[k];
  if (p.read.is !== 'box' && p.read.is !== 'input') return null;
  if (pieces.slice(0, k).some((o) => o.part !== p.part || !['unknown', 'filler'].includes(o.read.is))) return null;
  // "mixer aux +4 dBu, 15 m": said first, it is a send.
  const [aux, after] = [pieces[k + 1], pieces[k + 2]];
  if (p.read.is === 'box' && aux?.part === p.part && /^aux(?:es)?$/i.test(aux.text) && !IN.test(after?.text ?? ''))
    return { is: 'source', model: 'line-balanced', weight: 55 };
  const behind = pieces.slice(k + 1, k + 2 + MOST_BETWEEN).filter((o) => o.part === p.part);
  const n = behind.findIndex((o) => OUT.test(o.text));
  const between = behind.slice(0, Math.max(n, 0));
  if (n < 0 || !between.every((o) => ['cable', 'quality', 'level', 'filler'].includes(o.read.is))) return null;
  // "headphone output" is a source by itself.
  const bare = behind[n].read.is === 'source' && /^line outs?$/i.test(behind[n].text);
  if (!bare && !['filler', 'quality', 'channel'].includes(behind[n].read.is)) return null;
  const sense = phraseAt(`${p.text.toLowerCase()} out`, 0, false);
  if (sense?.sense.is === 'source' && sense.length === p.text.length + ' out'.length) return sense.sense;
  const plug = pieces[pieces.indexOf(behind[n]) + 1];
  const said = [...between, behind[n], ...(plug?.part === p.part && plug.read.is === 'cable' ? [plug] : [])]
    .map((o) => o.text)
    .join(' ');
  if (p.read.is === 'box')
    return p.read.model === 'small-mixer'
      ? { is: 'source', model: /\bjack/i.test(said) ? 'line-unbalanced' : 'line-balanced', weight: 55 }
      : null;
  if (p.read.is !== 'input' || modelOf(p.read.model).ports[0].level !== 'line') return null;
  const rca = /\b(?:rca|phono|cinch|-\s?10)\b/i.test(said);
  if (plug?.read.is === 'cable' && plug.read.kind === 'mini') return { is: 'source', model: 'headphone', weight: 55 };
  return { is: 'source', model: rca ? 'consumer-player' : 'line-balanced', weight: 55 };
}
