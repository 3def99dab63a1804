import { modelOf } from '../../gear/catalogue';
import type { Piece, Read } from './pieces';
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
        ampsOwnDi(pieces, k) ??
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
  return k >= 0 && isItsDi(before[k]) && /\b(?:of|off|from)\b/i.test(words) ? before[k] : null;
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
  if (!['filler', 'quality', 'channel'].includes(behind[n].read.is)) return null;
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
  return { is: 'source', model: rca ? 'consumer-player' : 'line-balanced', weight: 55 };
}
