import { hasTrait, modelOf } from '../../gear/catalogue';
import { isMicd, MICS } from './evidence';
import type { Device, Source } from './parts';
import { isPickup, isReamped } from './rigs';
import type { Piece } from './pieces';

/** Where a line goes. */

/** Where it goes; null where nobody said so. */
export function inputOf(pieces: readonly Piece[], source: Source, boxes: readonly Device[]): Device | null {
  // An amplifier's own output, too, is what stands there and not where it goes.
  const mic = MICS.has(source.model) || source.model === 'lavalier' || source.model === 'bass-amp-out';
  const speaker = modelOf(source.model).ports[0].level === 'speaker';
  const candidates = pieces.flatMap((p, k): { model: string; at: number; weight: number }[] => {
    const { read } = p;
    // A receiver's pack is at the other end of its radio link.
    if (read.is === 'input' && read.model === 'beltpack-in' && source.model === 'wireless-receiver') return [];
    // "IEM send to the transmitters".
    const ears = pieces.some((o) => o.read.is === 'input' && o.read.model === 'iem-sender-in');
    if (read.is === 'input' && read.model === 'beltpack-in' && ears) return [];
    // "amp mic'd too": before it stands a microphone.
    if (read.is === 'amp' && pieces[k + 1]?.part === p.part && isMicd([pieces[k + 1]])) return [];
    // "camera XLR input switched to line".
    const toLine = read.is === 'input' && modelOf(read.model).ports[0].level === 'microphone' && isSetToLine(pieces, k);
    if (toLine) return [{ model: 'line-in', at: p.from, weight: 3 }];
    // "aux keys" are keys at some side.
    if (read.is === 'input' && k === 0 && /^aux$/i.test(p.text) && pieces[1]?.read.is === 'instrument') return [];
    // A "hi-z DI" is a DI.
    if (read.is === 'input' && HI_Z.test(p.text) && pieces[k + 1]?.read.is === 'di' && pieces[k + 1].part === p.part)
      return [];
    // "bullet mic, hi-z into gtr amp": how it is, and not where it goes.
    if (
      read.is === 'input' &&
      HI_Z.test(p.text) &&
      TOWARDS.test(pieces[k + 1]?.text ?? '') &&
      pieces[k + 2]?.read.is === 'amp'
    )
      return [];
    if (isReamped(pieces, p)) return [{ model: 'amp-in', at: p.from, weight: 2 }];
    if (read.is === 'input')
      return [
        {
          model: read.model,
          at: p.from,
          weight:
            (p.named ? 1 : 3) -
            (isItsLine(pieces, k) ? 1 : 0) +
            (channelled(pieces, k) ? 0.5 : 0) +
            (isOfAnother(pieces, k) ? 1 : 0)
        }
      ];
    if (read.is === 'preamp' && !boxes.some((b) => b.model === 'preamp-di') && source.model !== 'acoustic-preamp')
      return [{ model: 'mic-in', at: p.from, weight: 2 }];
    // "input 1 Mohm": what kind it is follows from its impedance.
    const next = pieces[k + 1]?.read;
    if (read.is === 'channel' && /^in/i.test(p.text) && next?.is === 'ohm')
      return [
        { model: next.ohm >= 1e5 ? 'instrument-in' : next.ohm >= 5e3 ? 'line-in' : 'mic-in', at: p.from, weight: 2 }
      ];
    // "mic" and nothing beside it is where it goes.
    const own = pieces.filter((o) => o.part === p.part);
    const alone = read.is === 'filler' && !p.named && p === own[0] && own.slice(1).every(isNumbering);
    const goes = read.is === 'filler' && !p.named && isWayIn(pieces, k);
    const bareInput = goes || (alone && WAY_IN.test(p.text)) ? `${p.text.toLowerCase()}-in` : null;
    if (bareInput) return [{ model: bareInput, at: p.from, weight: alone ? 1 : 1.2 }];
    // "XLR out, mic level": what is that soft goes where a microphone goes.
    if (read.is === 'filler' && MIC_LEVEL.test(p.text) && boxes.length === 0)
      return [{ model: 'mic-in', at: p.from, weight: 0.9 }];
    // "to desk jack": a jack of a desk takes lines.
    const socket = read.is === 'cable' && /^(?:trs|ts|jacks?)$/i.test(p.text) && DESK.test(pieces[k - 1]?.text ?? '');
    if (socket && isAtItsEnd(pieces, k)) return [{ model: 'line-in', at: p.from, weight: 1.2 }];
    // Behind a desk's output it is a power amplifier.
    if (
      read.is === 'amp' &&
      read.model === 'amp-in' &&
      ['line-balanced', 'consumer-player'].includes(source.model) &&
      DESK_AMP.test(p.text)
    )
      return boxes.some((b) => b.model === 'reamp-box') ? [] : [{ model: 'power-amp-in', at: p.from, weight: 2 }];
    // An amplifier is what a microphone stands before; for all else it is where it goes.
    // "off the cab" is where it comes from.
    if (read.is === 'amp' && !mic && !p.named && p.from > (source.at ?? -1) && !OFF.test(pieces[k - 1]?.text ?? ''))
      return [{ model: read.model, at: p.from, weight: read.model === 'cabinet' && !speaker ? 0.5 : 2 }];
    return [];
  });
  // "-10 dBV recorder input": a line input at that level is a consumer's.
  for (const c of candidates) if (c.model === 'line-in' && isConsumers(pieces, c.at)) c.model = 'consumer-in';
  const best = candidates.sort((a, b) => b.weight - a.weight || b.at - a.at)[0];
  if (!best) return null;
  // A guitar's "combo" is an amplifier, not a socket.
  const bare = /^combo$/i.test(pieces.find((p) => p.from === best.at)?.text ?? '');
  const played = isPickup(source.model);
  if (best.model === 'combo-in' && bare && (played || boxes.some((b) => b.model === 'reamp-box')))
    best.model = 'amp-in';
  return { model: best.model === 'amp-in' && speaker ? 'cabinet' : best.model, settings: {}, at: best.at };
}
/** A level of −10 dBV that is said of the input at a place. */
function isConsumers(pieces: readonly Piece[], at: number): boolean {
  const k = pieces.findIndex((p) => p.from === at);
  return [pieces[k - 1], pieces[k - 2], pieces[k + 1]].some(
    (p) => p?.part === pieces[k].part && p.read.is === 'level' && /^[-−]\s*10/.test(p.read.text)
  );
}
const isNumbering = ({ read }: Piece): boolean => ['channels', 'channel', 'number'].includes(read.is);
const MIC_LEVEL = /^(?:switched to )?mic[ -]level$/i;
/** How one goes in, said in a word. */
const WAY_IN = /^(?:mic|line|instrument)$/i;
/** A bare "mic" or "line" at the end of the way, which tells where that is. */
export const isWayIn = (pieces: readonly Piece[], k: number): boolean =>
  WAY_IN.test(pieces[k].text) && (isAtItsEnd(pieces, k) || isOfDesk(pieces, k));
/** "… > mixer line 3": a part of its own, behind all that is said. */
function isOfDesk(pieces: readonly Piece[], k: number): boolean {
  const { part } = pieces[k];
  const [first, ...rest] = pieces.filter((p) => p.part === part);
  return (
    part > 0 &&
    DESK.test(first.text) &&
    rest.every((p) => p === pieces[k] || isNumbering(p)) &&
    pieces.every((p) => p.part <= part || isNumbering(p))
  );
}
/** "hearing loop amplifier line input": the line input of what is named right before it. */
function isItsLine(pieces: readonly Piece[], k: number): boolean {
  const [before, here] = [pieces[k - 1], pieces[k]];
  return (
    before?.read.is === 'input' &&
    before.part === here.part &&
    here.read.is === 'input' &&
    here.read.model === 'line-in' &&
    modelOf(before.read.model).ports[0].level === 'line'
  );
}
/** "mic input set to line": words right behind it, in its part. */
function isSetToLine(pieces: readonly Piece[], k: number): boolean {
  const behind = pieces.slice(k + 1).filter((p) => p.part === pieces[k].part);
  return /^(?:is )?(?:switched|set)(?: to| on)? line(?: level)?$/i.test(
    behind
      .map((p) => p.text.toLowerCase())
      .join(' ')
      .replace(/^\d+ /, '')
  );
}
/** "hi-z of the stage box": the one that is said of the other. */
const isOfAnother = (pieces: readonly Piece[], k: number): boolean =>
  /^(?:of|on)(?: the| a| an)?$/i.test(pieces[k + 1]?.text ?? '') &&
  pieces.slice(k + 2, k + 4).some(({ read, part }) => read.is === 'input' && part === pieces[k].part);
const OFF = /^(?:off(?: the)?|from(?: the)?|of|tapped)$/i;
const DESK = /^(?:desk|mixer|console|board|foh)$/i;
/** "… to line", "… then line 11/12", "… to desk line": where one goes at last, with nothing but its number behind. */
function isAtItsEnd(pieces: readonly Piece[], k: number): boolean {
  const { part } = pieces[k];
  const before = pieces.slice(0, k).filter((p) => p.part === part);
  const behind = pieces.slice(k + 1).filter((p) => p.part === part);
  const last = before.at(-1);
  const way = last && DESK.test(last.text) ? before.at(-2) : last;
  return /^(?:to|into|then|goes|going|straight to|stereo|->|→)$/i.test(way?.text ?? '') && behind.every(isNumbering);
}
const DESK_AMP = /^(?:amps?|amplifiers?)(?: in(?:put)?s?)?$/i;
const TOWARDS = /^(?:to|into|in)$/i;
const HI_Z = /^hi(?:gh)?[\s-]?(?:z|imp(?:edance)?)$/i;
const channelled = (pieces: readonly Piece[], k: number): boolean => pieces[k + 1]?.read.is === 'channels';

/** The input one takes to be meant: a microphone input of the desk, or where a line has no box a line input. */
export function usualInput(source: string, boxes: readonly Device[]): string {
  const last = boxes[boxes.length - 1]?.model;
  const port = modelOf(last ?? source).ports.find((p) => p.way === 'out');
  // An adapter tells by its plug what kind of input there is.
  if (last?.startsWith('xlr-to-rca')) return 'consumer-in';
  if (last?.startsWith('xlr-to-jack')) return 'line-in';
  const level = modelOf(source).ports[0].level;
  if (last === undefined && level === 'speaker') return 'cabinet';
  if (last === undefined && hasTrait(source, 'volume-knob') && port?.level === 'line') return 'line-in';
  return 'mic-in';
}
