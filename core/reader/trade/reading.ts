import type { LineSpec } from '../../plan/spec';
import type { Piece } from './pieces';

export type Assumed = 'source' | 'di' | 'input' | 'lead' | 'run' | 'phantom' | 'level';
export interface TradeReading {
  readonly pieces: readonly Piece[];
  /** The lines that were said, those of a pair beside each other; none where no source can be made out. */
  readonly specs: readonly LineSpec[];
  readonly assumed: readonly Assumed[];
  /** What was not understood, or said and has no place. */
  readonly ignored: readonly Piece[];
  /** What was taken for something near to it. */
  readonly guessed: readonly Piece[];
  /** Switches and values that were said, whichever device they are of. */
  readonly said: Readonly<Record<string, string | number>>;
  /** All lengths said, of each line, metres; null where none was. */
  readonly metres: number | null;
  /** Of lines that were said one after the other: what was said of each. */
  readonly each?: readonly Pick<TradeReading, 'said' | 'metres'>[];
}

/** Several readings as one: the lines of all, each with what was said of it. @param pieces of the whole */
export const together = (
  readings: readonly TradeReading[],
  pieces: readonly Piece[],
  specs: readonly LineSpec[]
): Omit<TradeReading, 'ignored'> => ({
  ...readings[0],
  pieces,
  specs,
  each: readings.flatMap((r) => r.specs.map(() => r)),
  assumed: [...new Set(readings.flatMap((r) => r.assumed))]
});
