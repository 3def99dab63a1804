import { checkSetting, modelOf } from '../../gear/catalogue';
import type { Piece } from './pieces';
import { isOf } from './played';

/** Outputs at line level, by their plug, their level and what else was said of them. */

/**
 * A name that nobody knows, with an output behind it in its part: what gives its signal there.
 * @param numbered it has a channel, so that it is meant as a line: behind a DI it may have any output then, and one is guessed
 */
export function outputOfUnknown(
  pieces: readonly Piece[],
  numbered: boolean
): { of: Piece; model: string; guessed?: true } | null {
  const known = numbered ? unknownBeforeDi(pieces) : null;
  if (known) return { of: known, model: 'line-unbalanced', guessed: true };
  for (const [k, of] of pieces.entries()) {
    if (of.read.is !== 'unknown' || of.part > 0 || of.text.length < 2) continue;
    const out = pieces.slice(k + 1).find((p) => p.part === of.part && p.read.is !== 'unknown');
    const said = out?.read.is === 'filler' ? OWN_OUTPUT.exec(out.text) : null;
    if (said) return { of, model: BY_PLUG[said[1]?.toLowerCase() ?? ''] ?? 'line-unbalanced' };
    // "minidisc RCA to jack": it leaves by what the lead begins with.
    const by = out?.read;
    if ((by?.is === 'box' && by.model.startsWith('rca-to-')) || (by?.is === 'cable' && by.kind === 'rca'))
      return { of, model: 'consumer-player' };
  }
  return null;
}
/** "Stylo L, DI": some device, plugged into a DI as most are; null where more was said of it. */
function unknownBeforeDi(pieces: readonly Piece[]): Piece | null {
  const di = pieces.find(({ read, named }) => read.is === 'di' && !named);
  const strange = pieces.filter((p) => p.read.is === 'unknown' && /^\p{L}{2,}/u.test(p.text));
  if (!di || strange.length === 0 || strange.length > 2 || pieces.some((p) => SAYS_MORE.has(p.read.is))) return null;
  return strange[0].from < di.from ? strange[0] : null;
}
const SAYS_MORE: ReadonlySet<string> = new Set(['instrument', 'source', 'amp', 'box', 'magnetic']);
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

/**
 * The model of what has a line output, by what was said of that: RCA is a consumer's, balanced or +4 dBu a professional one's.
 * @param of the model that it was taken for
 * @param qualities what was said of the source
 * @param plugged a box stands behind it
 */
export function asItsOutput(
  pieces: readonly Piece[],
  of: string,
  qualities: readonly string[],
  plugged: boolean
): string {
  // Whatever it is, what leaves by RCA outputs is a consumer's level.
  let model = LINES.has(of) && hasRcaOutput(pieces) ? 'consumer-player' : of;
  // "XLR line input +4 dBu" and "+4 dBu line input" are what that wants.
  const levels = pieces.filter((p, k) => p.read.is === 'level' && !isOfInput(pieces, k));
  const text =
    qualities.includes('balanced') || levels.some((p) => p.read.is === 'level' && /\+\s?4/.test(p.read.text));
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
  return model;
}
