import { CABLES, type CableKindId, MAX_METRES } from '../../gear/cables';
import { defaultKind, modelOf } from '../../gear/catalogue';
import { mates } from '../../gear/sockets';
import { cutText } from '../../text/well-formed';
import type { LineSpec } from '../../plan/spec';
import type { Piece } from './pieces';

/** What leaves a DI by its thru: "DI, thru to the amp 3 m, XLR to SB 5" is a line, and one more that goes on to the amplifier. */

export interface Thru {
  /** What else was said, with room where the thru was: places in the text stay. */
  readonly rest: string;
  readonly pieces: readonly Piece[];
  readonly to: string;
  readonly metres: number | null;
  /** What it goes to stands on another circuit. */
  readonly elsewhere: boolean;
}

const WORD = /^(?:direct\s+)?(?:thru|through|link(?:ed|s)?|loop(?:ed)?\s+(?:out|thru|through)|parallel)$/i;
/** What joins the parts of one thru: "thru out by jack 3 m -> to the bass amp". */
const JOINS = new Set(['filler', 'length', 'cable', 'instrument', 'note']);
const USUAL_METRES = 3;

/** The thru that was said of a DI before it; null where none was. */
export function thruOf(text: string, pieces: readonly Piece[]): Thru | null {
  const first = pieces.findIndex(
    (p, k) =>
      !p.named &&
      words(p).some((w) => WORD.test(w)) &&
      pieces.slice(0, k).some((o) => o.read.is === 'di') &&
      pieces[k + 1]?.read.is !== 'di'
  );
  if (first < 0) return plusAmp(text, pieces);
  const fed = fromThru(text, pieces, first);
  if (fed) return fed;
  let last = first + 1;
  while (last < pieces.length && JOINS.has(pieces[last].read.is)) last++;
  const end = pieces[last];
  const to = end?.read.is === 'amp' || (end?.read.is === 'input' && isOnStage(end.read.model)) ? end.read.model : null;
  if (to === null) return null;
  // Its lead may be said behind it, in the same part.
  let after = last;
  while (pieces[after + 1]?.part === end.part && JOINS.has(pieces[after + 1].read.is)) after++;
  const till = withCircuit(pieces, after);
  const own = pieces.slice(first, till + 1);
  const metres = own.flatMap((p) => (p.read.is === 'length' ? [p.read.metres] : []));
  return {
    rest: blanked(text, own[0].from, own[own.length - 1].to),
    pieces: own,
    to,
    elsewhere: till > after,
    metres:
      metres.length > 0
        ? Math.min(
            metres.reduce((a, b) => a + b),
            MAX_METRES
          )
        : null
  };
}

/** The last piece, with "on another circuit" right behind: it is said of the amplifier there. */
const withCircuit = (pieces: readonly Piece[], last: number): number =>
  pieces[last + 1]?.read.is === 'elsewhere' ? last + 1 : last;

/** "amp from the thru": where it goes on to is said first. */
function fromThru(text: string, pieces: readonly Piece[], thru: number): Thru | null {
  const { part } = pieces[thru];
  let k = thru - 1;
  while (
    k >= 0 &&
    pieces[k].part === part &&
    (/^(?:from|off|on|via|by|at|out of|the|its|into|in|plugged(?: into)?|fed(?: by| from)?|connected|taken(?: from)?)(?: the| its)?$/i.test(
      pieces[k].text
    ) ||
      // "into the DI thru".
      (k === thru - 1 && pieces[k].read.is === 'di'))
  )
    k--;
  // "DI, amp thru"; but of an amplifier's own thru nothing is fed.
  const alone = k === thru - 1 && pieces.slice(0, k).every((p) => p.part !== part || p.read.is === 'filler');
  const amp = k < thru - 1 || alone ? pieces[k] : undefined;
  if (amp?.read.is !== 'amp' || amp.part !== part) return null;
  while (pieces[k - 1]?.part === part && /^(?:then|and|to|into|bass|gtr|guitar|his|her|the)$/i.test(pieces[k - 1].text))
    k--;
  const last = withCircuit(pieces, thru);
  const own = pieces.slice(k, last + 1);
  return {
    ...{ rest: blanked(text, own[0].from, pieces[last].to), pieces: own, to: amp.read.model, metres: null },
    elsewhere: last > thru
  };
}

/** "synth bass DI + amp": beside a DI an amplifier is what goes on from it, unless a microphone was said. */
function plusAmp(text: string, pieces: readonly Piece[]): Thru | null {
  const k = pieces.findIndex((p, n) => p.read.is === 'amp' && pieces[n - 1]?.read.is === 'di');
  if (k < 0) return null;
  const [di, amp, next] = pieces.slice(k - 1, k + 2);
  const joined = /^\s*(?:\+|&|and|plus)\s*(?:the |his |her |an? )?\s*$/i.test(text.slice(di.to, amp.from));
  if (!joined || amp.read.is !== 'amp' || amp.read.model !== 'amp-in' || /^mi[ck]/i.test(next?.text ?? '')) return null;
  return { rest: blanked(text, di.to, amp.to), pieces: [amp], to: amp.read.model, metres: null, elsewhere: false };
}

/** Without a stretch of it, and all the rest where it was. */
const blanked = (text: string, from: number, till: number): string =>
  text.slice(0, from) + ' '.repeat(till - from) + text.slice(till);

const words = (p: Piece): string[] => p.text.toLowerCase().split(/\s+(?:and|then|of|from)\s+|\s+/);
/** Where a player's own sound goes on: neither the desk nor a stage box. */
const isOnStage = (model: string): boolean => ['speaker-in', 'cabinet', 'amp-in', 'combo-in'].includes(model);

/** The line that goes on by the thru of the one said. */
export function thruSpec(
  line: LineSpec,
  { to, metres, elsewhere }: Pick<Thru, 'to' | 'metres' | 'elsewhere'>
): LineSpec {
  const length = metres ?? USUAL_METRES;
  const kind: CableKindId = defaultKind('lead', line.source.model, length);
  const socket = modelOf(to).ports[0].socket;
  return {
    name: `${cutText(line.name, 74)} amp`,
    ...(line.pair ? { pair: `${cutText(line.pair, 74)} amp` } : {}),
    source: line.source,
    thru: true,
    lead: { kind: CABLES[kind].plugs.some((plug) => mates(plug, socket)) ? kind : 'instrument', metres: length },
    box: null,
    run: null,
    input: { model: to, settings: {}, ...(elsewhere ? { elsewhere } : {}) }
  };
}
