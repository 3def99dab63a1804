import { modelOf } from '../../gear/catalogue';
import type { Piece } from './pieces';
import type { Options } from './read';
import { OUTPUT_WORD } from './signs';

/** How many sides of one thing were said: two of a pair, three with a click beside them. */
export function sidesOf(pieces: readonly Piece[]): number {
  const mono = pieces.some((p) => p.read.is === 'mono');
  // A stereo jack is a plug with three contacts; it may carry one balanced line.
  const plug = ({ read, text, from }: Piece): boolean =>
    (read.is === 'cable' &&
      (read.kind !== 'mini' || /stereo.* to (?!two|twin|dual|2)/i.test(text + toWhat(pieces, from)))) ||
    (read.is === 'box' && modelOf(read.model).family === 'joint');
  const both = pieces.some((p) => p.read.is === 'sides' || (/stereo|\blr\b/i.test(p.text) && !plug(p)));
  const click = pieces.some(
    (p, k) => p.read.is === 'click' || (p.read.is === 'instrument' && /^cl(?:ic)?k$/i.test(p.text) && k > 0 && both)
  );
  return both && !mono ? (click ? 3 : 2) : 1;
}
/** What a plug is on a lead with: "3.5 mm stereo" … " to one mono jack". */
function toWhat(pieces: readonly Piece[], from: number): string {
  const k = pieces.findIndex((p) => p.from === from);
  const behind = pieces.slice(k + 1, k + 4).filter((p) => p.part === pieces[k].part);
  return /^to$/i.test(behind[0]?.text ?? '') ? ` ${behind.map((p) => p.text).join(' ')}` : '';
}
export function channelsSaid(pieces: readonly Piece[]): number[] {
  // "snake 2 ch 4" is the fourth channel of the second snake.
  const numbered = (k: number): boolean =>
    pieces[k + 1]?.read.is === 'channel' && pieces[k + 2]?.read.is === 'channels' && pieces[k - 1]?.read.is === 'input';
  const all = pieces.filter((p, k) => p.read.is === 'channels' && !numbered(k));
  // "outs 1/2, SB 33/34": where it comes from is no channel.
  const goes = all.filter((p) => !isOutput(pieces, p));
  const lists = goes.flatMap(({ read }) => (read.is === 'channels' ? [read] : []));
  const sure = lists.filter((l) => !l.loose);
  const [best] = (sure.length > 0 ? sure : lists).sort((a, b) => b.list.length - a.list.length);
  if (best) return [...best.list];
  // "bass, DI, 5": a number at the very end, of which nothing else was said.
  const last = pieces[pieces.length - 1];
  const run = channelRun(pieces);
  if (run.length > 1) return run.map(({ read }) => (read.is === 'number' ? read.value : 0));
  return last?.read.is === 'number' &&
    !isOutput(pieces, last) &&
    pieces.length > 1 &&
    // "on one 58" tells which microphone.
    !/^(?:one|an?|the)$/i.test(pieces[pieces.length - 2].text) &&
    last.read.value > 0 &&
    last.read.value < 100
    ? [last.read.value]
    : [];
}

/** "29 30", "7, 8", "7 and 8" at the very end, or as a part of their own: numbers that follow on each other are channels. */
export function channelRun(pieces: readonly Piece[]): Piece[] {
  const run = runUpTo(pieces, pieces.length - 1);
  if (run.length > 0) return run;
  for (let k = pieces.length - 2; k > 0; k--) {
    const { part } = pieces[k];
    // "FX return L R 33 34 line": of two sides, two numbers.
    const here = runUpTo(pieces, k);
    if (here.length === 2 && pieces[pieces.indexOf(here[0]) - 1]?.read.is === 'sides') return here;
    if (pieces[k + 1].part === part) continue;
    if (here.length > 0 && pieces.every((p) => p.part !== part || AND.test(p.text) || here.includes(p))) return here;
  }
  return [];
}
const AND = /^(?:and|&|y|e|und|et)$/i;
function runUpTo(pieces: readonly Piece[], end: number): Piece[] {
  const run: Piece[] = [];
  for (let k = end; k >= 0; k--) {
    const { read, text } = pieces[k];
    if (run.length > 0 && read.is === 'filler' && AND.test(text)) continue;
    const [next] = run;
    if (read.is !== 'number' || (next?.read.is === 'number' && read.value !== next.read.value - 1)) break;
    run.unshift(pieces[k]);
  }
  return run.length > 1 ? run : [];
}

/** "interface out 3", "aux 4": which of several outputs it is, and neither a count nor a channel. */
export function isOutput(pieces: readonly Piece[], piece: Piece): boolean {
  const k = pieces.indexOf(piece);
  const [other, before] = [pieces[k - 2], pieces[k - 1]];
  // "kick in/out 1/2" are two places.
  if (/^out(?:side)?$/i.test(before?.text ?? '') && /(?:^|\s)in(?:side)?$/i.test(other?.text ?? '')) return false;
  // Of "XLR out" and "DI out" a box has one: what stands behind them is where that goes.
  if (BY_ITS_PLUG.test(before?.text ?? '') || (other?.read.is === 'di' && /^out$/i.test(before.text))) return false;
  // "interface 1/2 > DI x2 > 40/41".
  const ofInterface =
    before?.read.is === 'source' &&
    before.read.model === 'interface-out' &&
    pieces.slice(k + 1).some(
      (p, n, behind) =>
        // "interface 1/2 to desk 15/16".
        (p.part > piece.part || behind.slice(0, n).some((o) => /^to(?: the)?$/i.test(o.text))) &&
        (p.read.is === 'channels' || p.read.is === 'number')
    );
  return (
    before !== undefined &&
    before.part === piece.part &&
    before.read.is !== 'input' &&
    (ofInterface || OUTPUT_WORD.test(before.text))
  );
}

const BY_ITS_PLUG = /^(?:xlr|di|jack|trs)[\s-]*out$/i;

/** A number, or a word for one. */
export const isMany = (p: Piece | undefined): boolean => ['number', 'count', 'times'].includes(p?.read.is ?? '');
/** How many it tells; none where it is no number. */
export const howMany = ({ read }: Piece): number =>
  read.is === 'number' ? read.value : read.is === 'count' || read.is === 'times' ? read.count : 0;

/** "2x 3 m jack": leads of one line, one behind the other. */
export const isOfLeads = (pieces: readonly Piece[], piece: Piece): boolean =>
  piece.read.is === 'times' && pieces[pieces.indexOf(piece) + 1]?.read.is === 'length';

/** "2 mics": so many stand before it. */
export const MICROPHONES = /^(?:mics|microphones|mikes|mikros|spots|spot mics)$/i;

export const counted = (pieces: readonly Piece[], piece: Piece): boolean => {
  const next = pieces[pieces.indexOf(piece) + 1];
  return (
    !isOutput(pieces, piece) &&
    next !== undefined &&
    next.part === piece.part &&
    // However many pedals stand in a row, it is one guitar.
    !/^pedals?$/i.test(next.text) &&
    (['di', 'quality', 'source', 'instrument', 'amp', 'box'].includes(next.read.is) ||
      MICROPHONES.test(next.text) ||
      ofWhatKind(pieces, next))
  );
};

/** "4 hung condensers": a word between a number and what there is so many of. */
export function ofWhatKind(pieces: readonly Piece[], word: Piece): boolean {
  const next = pieces[pieces.indexOf(word) + 1];
  return (
    ['unknown', 'note', 'filler'].includes(word.read.is) &&
    /^\p{L}+$/u.test(word.text) &&
    next !== undefined &&
    next.part === word.part &&
    ((next.read.is === 'source' && /[^s]s$/i.test(next.text)) || MICROPHONES.test(next.text))
  );
}

/** Things that nobody numbers: behind them a number counts what stands before them. */
export const ONE_OF_ITS_KIND =
  /\b(?:timpani|timps|grand|piano|choir|chorus|marimba|vibe?s?|vibraphone|xylophone|glockenspiel|organ|rotary|harp|kit|drum ?kit|congas|bongos|strings|section|orchestra|accordion|bagpipes?|audience|room|ambien(?:ce|t)|lectern|panel|table)$/i;

function isOfOne(pieces: readonly Piece[], k: number): boolean {
  const next = pieces[k + 1];
  if (next?.part !== pieces[k].part) return false;
  if (
    /^(?:desks?|consoles?|mixers?|splits?|ways?|worlds?|couplings?|couplers?|joins?|pedals?|adapt[eo]rs?|sockets?)(?: ch)?$/i.test(
      next.text
    )
  )
    return true;
  return pieces.some(
    (p) => p.part === next.part && p.from > next.from && /^(?:in parallel|parallel(?:l?ed)?|summed)$/i.test(p.text)
  );
}

/** "radio mic 3 rx": the third of them. */
const isWhichOf = (pieces: readonly Piece[], k: number): boolean =>
  pieces[k - 1]?.read.is === 'source' &&
  pieces[k - 1].part === pieces[k].part &&
  !/s$/i.test(pieces[k - 1].text) &&
  pieces[k + 1]?.read.is === 'source' &&
  !/s$/i.test(pieces[k + 1].text);

export function countOf(
  pieces: readonly Piece[],
  sides: number,
  dis: number | null,
  channels: readonly number[],
  options: Options
): number {
  if (options.channel !== undefined) return 1;
  if (channels.length > 1) return channels.length;
  const times = pieces.flatMap((p, k) => {
    // "to two mono jacks" counts plugs.
    if (p.read.is === 'count' && ['cable', 'mono'].includes(pieces[k + 1]?.read.is ?? '')) return [];
    // "two couplings", "six pedals", "two discs in parallel" are of one line.
    if (p.read.is === 'count' && isOfOne(pieces, k)) return [];
    // "2x 3 m" counts leads.
    if (isOfLeads(pieces, p)) return [];
    // "interface outs 3/4": two of them.
    if (p.read.is === 'channels' && isOutput(pieces, p)) return [p.read.list.length];
    if (p.read.is === 'times' || p.read.is === 'count') return [p.read.count];
    // "laptop 6 outs": one of each.
    const outs = pieces[k + 1]?.part === p.part && /^(?:line )?outs$/i.test(pieces[k + 1].text);
    if (p.read.is === 'number' && outs && p.read.value > 1 && p.read.value <= 16) return [p.read.value];
    if (
      p.read.is === 'number' &&
      p.read.value > 1 &&
      p.read.value <= 16 &&
      counted(pieces, p) &&
      !isOfOne(pieces, k) &&
      !isWhichOf(pieces, k) &&
      (pieces[k - 1]?.named ||
        pieces[k - 1]?.read.is !== 'instrument' ||
        /(?:[^s]s|^oh)$/i.test(pieces[k + 1].text) ||
        ofWhatKind(pieces, pieces[k + 1]) ||
        // "timpani 2 LDC": there is no second timpani that is called so.
        (pieces[k + 1].read.is === 'source' && ONE_OF_ITS_KIND.test(pieces[k - 1].text)))
    )
      return [p.read.value];
    return [];
  });
  // "bgv trio around one omni": however many sing.
  const before = (p: Piece, k: number): boolean => {
    const next = pieces[k + 1];
    const mic = next?.read.is === 'source' || /^mi[ck]/i.test(next?.text ?? '');
    const said = pieces[k - 1];
    const shared = /^(?:around|on|sharing|share|into)$/i.test(said?.text ?? '') || said?.read.is === 'instrument';
    return shared && /^(?:one|single)$/i.test(p.text) && mic && !pieces.some((o) => /^each$/i.test(o.text));
  };
  if (pieces.some(before)) return 1;
  // "L/R -> media DI mono -> ch 11": what sums two sides makes one line.
  const sums = pieces.some((p) => p.read.is === 'di' && /mono|sum/i.test(p.text));
  if (sums && channels.length === 1 && times.length === 0) return 1;
  const mono = pieces.some((p) => p.read.is === 'mono');
  const most = Math.max(sides, mono ? 1 : (dis ?? 1), ...times);
  return mono && times.length === 0 ? 1 : most;
}
