import type { CableKindId } from '../../../gear/cables';
import type { ModelId } from '../../../gear/catalogue';
import type { InstrumentId } from '../../../gear/instruments';
import type { MicPlace } from '../../../gear/mic-places';

/** What a word or a few of the trade stand for. A new word is a new one in a row, a new thing a new row. */
export type Sense =
  /** What is played. `model`: what it gives when nothing more is said; `mic`: where a microphone stands before it. */
  | { is: 'instrument'; instrument: InstrumentId; model: ModelId; mic?: MicPlace }
  /** What the signal comes from. The heaviest of several is meant; the others tell where it is or whose. */
  | { is: 'source'; model: ModelId; weight: number; instrument?: InstrumentId }
  /** A magnetic pickup: which one follows from the instrument. */
  | { is: 'magnetic' }
  | { is: 'quality'; quality: 'active' | 'passive' | 'balanced' }
  /** A DI; without a model its kind was not said. */
  | { is: 'di'; model?: ModelId; dual?: true }
  | { is: 'preamp' }
  | { is: 'box'; model: ModelId }
  /** Where it goes. */
  | { is: 'input'; model: ModelId }
  /** An amplifier or its cabinet: where it goes, or what a microphone stands before. */
  | { is: 'amp'; model: 'amp-in' | 'cabinet' }
  | { is: 'cable'; kind: CableKindId }
  | { is: 'sides' }
  | { is: 'mono' }
  | { is: 'click' }
  | { is: 'channel' }
  | { is: 'count'; count: number }
  | { is: 'mode'; mode: 'active' | 'passive' }
  /** How a balanced output is made. */
  | { is: 'topology'; topology: 'transformer' | 'cross-coupled' | 'impedance-balanced' }
  /** Stands and the like: kept as a note. */
  | { is: 'note' }
  | { is: 'filler' };

export const instrument = (id: InstrumentId, model: ModelId, words: string, mic?: MicPlace): [Sense, string] => [
  { is: 'instrument', instrument: id, model, ...(mic ? { mic } : {}) },
  words
];
export const source = (model: ModelId, weight: number, words: string, of?: InstrumentId): [Sense, string] => [
  { is: 'source', model, weight, ...(of ? { instrument: of } : {}) },
  words
];
export const di = (model: ModelId | undefined, words: string, dual?: true): [Sense, string] => [
  { is: 'di', ...(model ? { model } : {}), ...(dual ? { dual } : {}) },
  words
];
export const box = (model: ModelId, words: string): [Sense, string] => [{ is: 'box', model }, words];
export const input = (model: ModelId, words: string): [Sense, string] => [{ is: 'input', model }, words];
export const cable = (kind: CableKindId, words: string): [Sense, string] => [{ is: 'cable', kind }, words];

/** A row: what is meant, and how it is said, parted by `|`. Lower case; a plural and a hyphen for a space need not be written out. */
export type Row = readonly [Sense, string];
