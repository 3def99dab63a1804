import type { LineSpec } from '../plan/spec';
import type { Reading } from './draft';
import { readLine } from './read-line';
import type { Known } from './tokens';
import type { readTrade } from './trade/read';
import type { TradeReading, Assumed } from './trade/reading';

/** What was typed, however it was said. */
export interface Typed {
  /** The strict reading: what the field completes, and faults of what has its own form, as brackets with values. */
  readonly strict: Reading;
  /** The reading of the trade's words; null where the strict one understood every word. */
  readonly trade: TradeReading | null;
  /** Lines to be made; more than one for what has two sides or stands several times. */
  readonly specs: readonly LineSpec[];
  readonly assumed: readonly Assumed[];
  /** Words that were not understood, with what they may have been. */
  readonly ignored: readonly {
    readonly text: string;
    readonly from: number;
    readonly to: number;
    readonly suggestions: readonly string[];
  }[];
  /** Words taken for others that are near. */
  readonly guessed: readonly { readonly text: string; readonly as: string }[];
}

/**
 * Reads a line. In the words in which a line is told back it is read strictly, so that nothing changes on its way through the field; what holds any
 * other word, or leaves out where it goes, is read as engineers type.
 * @param asTrade reads what engineers type; null as long as it is not loaded
 */
export function readTyped(text: string, known: Known, asTrade: typeof readTrade | null): Typed {
  const strict = readLine(text, known);
  const every = strict.pieces.every(
    (p) => p.read.role !== 'unknown' && !(p.read.role === 'value' && !strictValue(strict))
  );
  // Brackets with values, supplies and branches are said in the strict form alone.
  const form = strict.pieces.some((p) =>
    (every ? [...STRICT_FORM, 'capacitance', 'couplers'] : STRICT_FORM).includes(p.read.role)
  );
  // "from" in the middle of what has a source of its own is no branch of another line.
  const branch = strict.pieces.some((p) => p.read.role === 'no-branch');
  const own = form && branch && !/^\s*from\b/i.test(text) && asTrade !== null ? asTrade(text) : null;
  const trade = own ?? ((strict.spec && every) || form || !asTrade ? null : asTrade(text));
  if (!trade || trade.specs.length === 0)
    return {
      strict,
      trade: null,
      specs: strict.spec ? [strict.spec] : [],
      assumed: strict.assumed,
      ignored: [],
      guessed: []
    };
  return {
    strict,
    trade,
    specs: trade.specs,
    assumed: trade.assumed,
    ignored: trade.ignored.map((p) => ({
      text: p.text,
      from: p.from,
      to: p.to,
      suggestions: p.read.is === 'unknown' ? p.read.suggestions : []
    })),
    guessed: trade.guessed.map((p) => ({ text: p.text, as: p.as! }))
  };
}

const STRICT_FORM = ['brackets', 'supply', 'branch', 'no-branch'];

/** "active DI, 15 M": a megohm beside no input is a length to whoever typed it. */
const strictValue = ({ pieces }: Reading): boolean =>
  !pieces.some((p) => p.read.role === 'value' && /^\d+(?:\.\d+)?\s+M$/.test(p.text));
