import type { Piece } from './pieces';
import type { Options } from './read';
import type { TradeReading } from './reading';

/** What was said from where it goes back to where it comes from, read the usual way round. */

type Reader = (text: string, options: Options) => TradeReading;

/** "camera input from mixer output": where it goes was said first, and where it comes from behind a word. */
const FROM = /,?\s(?:(?:is|being|are)\s)?(?:(?:fed|driven|supplied|connected)\s)?(?:from|by)\s/i;

/** A mixer that ends what was typed is where the line comes from: its output. */
const MIXER = /\bmixer\s*$/i;

const BACK = /\s*(?:<[-=]{1,2}|←)\s*/g;

/** "SB 5 <- 20 m <- active DI <- bass": read from its source on. */
export function turnedRound(text: string, options: Options, read: Reader): TradeReading | null {
  const arrows = [...text.matchAll(BACK)];
  if (arrows.length === 0 || /->|=>|→/.test(text)) return null;
  const parts: Part[] = [];
  let from = 0;
  for (const arrow of arrows) {
    parts.push({ from, text: text.slice(from, arrow.index) });
    from = arrow.index + arrow[0].length;
  }
  parts.push({ from, text: text.slice(from) });
  return inOrder(parts.reverse(), ' -> ', options, read);
}

/** A stretch of what was typed, and where it stands there. */
interface Part {
  readonly from: number;
  readonly text: string;
}

/** Parts of what was typed, read in another order; pieces stand where they were typed. */
function inOrder(parts: readonly Part[], between: string, options: Options, read: Reader): TradeReading {
  const reading = read(parts.map((p) => p.text).join(between), options);
  const back = (p: Piece): Piece => {
    let at = 0;
    for (const part of parts) {
      if (p.from < at + part.text.length) return { ...p, from: p.from - at + part.from, to: p.to - at + part.from };
      at += part.text.length + between.length;
    }
    return p;
  };
  const all = (some: readonly Piece[]): Piece[] => some.map(back).sort((a, b) => a.from - b.from);
  return { ...reading, pieces: all(reading.pieces), ignored: all(reading.ignored), guessed: all(reading.guessed) };
}

/** What was said the other way round, read the usual way; its pieces stand where they were typed. */
export function turned(text: string, pieces: readonly Piece[], options: Options, read: Reader): TradeReading | null {
  const from = FROM.exec(text);
  if (!from) return null;
  const behind = from.index + from[0].length;
  // "speaker fed by a 50 m lead from a small mixer": what leads there is said between.
  const again = FROM.exec(text.slice(behind));
  const first = { from: 0, text: text.slice(0, from.index) };
  if (again && MIXER.test(text)) {
    const start = behind + again.index + again[0].length;
    const source = { from: start, text: `${text.slice(start).trimEnd()} out` };
    const middle = { from: behind, text: text.slice(behind, behind + again.index) };
    return inOrder([source, middle, first], ', ', options, read);
  }
  // "…, DI from his amp": taken out of it, and no way back.
  const takenOut = pieces.some((p) => p.from >= behind && p.read.is === 'source' && p.read.model === 'bass-amp-out');
  if (takenOut && /\bdi(?: out)?$/i.test(first.text)) return null;
  const before = pieces.filter((p) => p.to <= from.index);
  const after = pieces.filter((p) => p.from >= behind);
  const comes = (some: readonly Piece[]): boolean =>
    some.some((p) => p.read.is === 'source' || p.read.is === 'instrument' || /^aux/i.test(p.text));
  const goes = before.some((p) => p.read.is === 'input' || p.read.is === 'amp');
  if (!goes || comes(before) || !comes(after)) return null;
  return inOrder([{ from: behind, text: text.slice(behind) }, first], ', ', options, read);
}
