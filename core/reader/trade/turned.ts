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
  const parts: { from: number; text: string }[] = [];
  let from = 0;
  for (const arrow of arrows) {
    parts.push({ from, text: text.slice(from, arrow.index) });
    from = arrow.index + arrow[0].length;
  }
  parts.push({ from, text: text.slice(from) });
  parts.reverse();
  const reading = read(parts.map((p) => p.text).join(WAY), options);
  const back = (p: Piece): Piece => {
    let at = 0;
    for (const part of parts) {
      if (p.from < at + part.text.length) return { ...p, from: p.from - at + part.from, to: p.to - at + part.from };
      at += part.text.length + WAY.length;
    }
    return p;
  };
  return moved(reading, back);
}
const WAY = ' -> ';

/** A reading of a text that was put in another order, with its pieces where they were typed. */
const moved = (reading: TradeReading, back: (p: Piece) => Piece): TradeReading => {
  const all = (some: readonly Piece[]): Piece[] => some.map(back).sort((a, b) => a.from - b.from);
  return { ...reading, pieces: all(reading.pieces), ignored: all(reading.ignored), guessed: all(reading.guessed) };
};

/** What was said the other way round, read the usual way; its pieces stand where they were typed. */
export function turned(text: string, pieces: readonly Piece[], options: Options, read: Reader): TradeReading | null {
  const from = FROM.exec(text);
  if (!from) return null;
  const behind = from.index + from[0].length;
  // "speaker fed by a 50 m lead from a small mixer": what leads there is said between.
  const again = FROM.exec(text.slice(behind));
  if (again && MIXER.test(text)) {
    const middle = text.slice(behind, behind + again.index);
    const source = `${text.slice(behind + again.index + again[0].length).trim()} out`;
    return read(`${source}, ${middle}, ${text.slice(0, from.index)}`, options);
  }
  const before = pieces.filter((p) => p.to <= from.index);
  const after = pieces.filter((p) => p.from >= behind);
  const comes = (some: readonly Piece[]): boolean =>
    some.some((p) => p.read.is === 'source' || p.read.is === 'instrument' || /^aux/i.test(p.text));
  const goes = before.some((p) => p.read.is === 'input' || p.read.is === 'amp');
  if (!goes || comes(before) || !comes(after)) return null;
  const rest = text.slice(behind);
  const reading = read(`${rest}, ${text.slice(0, from.index)}`, options);
  const back = (p: Piece): Piece => {
    const shift = p.from < rest.length ? behind : -(rest.length + 2);
    return { ...p, from: p.from + shift, to: p.to + shift };
  };
  return moved(reading, back);
}
