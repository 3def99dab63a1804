import type { Sense } from './lexicon/sense';

/** What a stretch of typed text was read as. */
export type Read =
  | Sense
  | { is: 'length'; metres: number }
  | { is: 'ohm'; ohm: number }
  | { is: 'level'; text: string }
  | { is: 'db'; db: number }
  | { is: 'phantom'; on: boolean; volts?: number }
  | { is: 'cut'; hz: number }
  | { is: 'pad'; db: number; inline: boolean }
  | { is: 'lift'; lifted: boolean }
  | { is: 'polarity' }
  /** It is said not to be there: "no phono stage", "without pad". */
  | { is: 'without'; what: Read }
  /** Mains earth that somebody has taken away, as found. */
  | { is: 'unearthed'; shocks?: true }
  /** Of the battery that feeds it. */
  | { is: 'battery-low'; volts?: number }
  | { is: 'on-battery' }
  /** Phantom comes from a supply of its own, or from the other leg of a splitter. */
  | { is: 'phantom-elsewhere' }
  | { is: 'on-mains'; earthed: boolean }
  | { is: 'cabinet-off' }
  /** Volts of an output: peak, or average RMS. */
  | { is: 'volts'; volts: number; peak: boolean }
  /** Pins 2 and 3 of a lead. */
  | { is: 'swapped' }
  | { is: 'pin-three'; open: boolean }
  /** A contact of a balanced lead that has gone. */
  | { is: 'contact-gone'; contact: 'cold' | 'shield' }
  /** A load box or an attenuator that passes the amplifier on. */
  | { is: 'through' }
  /** The amplifier's loudspeaker stays plugged. */
  | { is: 'cabinet-on' }
  /** Fed from another circuit than the desk. */
  | { is: 'elsewhere' }
  /** Capacitance of a cable, farads, by the metre or of all of it. */
  | { is: 'farad'; farad: number; each: boolean }
  /** Of an amplifier, with the load that they are meant into where it was said. */
  | { is: 'watt'; watt: number; load?: number }
  | { is: 'spl'; db: number }
  /** Of a microphone, volts for a pascal. */
  | { is: 'sensitivity'; volts: number }
  | { is: 'times'; count: number }
  | { is: 'ratio' }
  /** `loose`: two numbers beside each other that nothing says are channels. */
  | { is: 'channels'; list: readonly number[]; loose?: true }
  | { is: 'number'; value: number }
  | { is: 'unknown'; suggestions: readonly string[] };

export interface Piece {
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** Number of the part, between commas, arrows, brackets, that it stands in. */
  readonly part: number;
  /** It stands before the colon: a name, and what else there is said counts less. */
  readonly named: boolean;
  readonly read: Read;
  /** What it was taken for, where it is not in the lexicon as it is typed. */
  readonly as?: string;
}

/** Channels said as "13/14", "7+8", "17-19", "A9/A10", "25 26 27": each of them. */
export function channelsOf(text: string): number[] {
  const out: number[] = [];
  for (const part of text.split(/\s*(?:[/+&,](?!m)|\b(?:and|et|und|en|och|og|y|e)\b)\s*|(?<=\d)\s+(?=\d)/)) {
    const range = /^[a-d]?(\d{1,3})\s*(?:-|–|to|thru|through|bis|a|al|tot|hasta|t\/m|till)\s*[a-d]?(\d{1,3})$/i.exec(
      part.trim()
    );
    const [a, b] = range ? [Number(range[1]), Number(range[2])] : [Number(/\d+/.exec(part)?.[0]), NaN];
    if (range && b > a && b - a < 64) for (let n = a; n <= b; n++) out.push(n);
    else if (a > 0) out.push(a);
  }
  return out;
}
