import type { MeasuredKind } from './kinds';

/** What is plugged for a measurement, and how loud it is played. */

/** How things are plugged. */
export type Patch =
  /** Output to input. */
  | { readonly is: 'loop' }
  /** The same with a resistor across it, ohms. */
  | { readonly is: 'loaded'; readonly load: number }
  /** Output, resistor, input; nothing else. */
  | { readonly is: 'open'; readonly series: number }
  /** The same with the device at the far end of the resistor. */
  | { readonly is: 'across'; readonly series: number }
  /** Output, device, input. */
  | { readonly is: 'through' }
  /** The same, and a low tone louder and louder. */
  | { readonly is: 'core' }
  /** Output to input, both legs fed alike. */
  | { readonly is: 'common' }
  /** Output to the input beside; what comes over into the one that is listened to. */
  | { readonly is: 'next' };

export interface Resistors {
  /** In series, ohms: about what is measured, ten kilohms for most. */
  readonly series: number;
  /** Across the loop, ohms. */
  readonly load: number;
}
/** Two that everybody has. */
export const RESISTORS: Resistors = { series: 10e3, load: 1e3 };
/** Something of a megohm and more wants more in series. */
export const seriesFor = (kind: MeasuredKind): number =>
  kind === 'piezo' || kind === 'interface' ? 100e3 : kind === 'output' ? 1e3 : 10e3;

/** What one hopes to hear nothing of. */
export const isFaint = ({ is }: Patch): boolean => is === 'common' || is === 'next';

/** What is plugged for a measurement, one after the other. @param core it is played until its core is full: a DI whose class has one */
export function patchesFor(kind: MeasuredKind, { series, load }: Resistors, core = false): readonly Patch[] {
  if (kind === 'di') return [{ is: 'loop' }, { is: 'through' }, ...(core ? [{ is: 'core' } as const] : [])];
  const own: Patch[] = [{ is: 'loop' }, { is: 'loaded', load }, { is: 'open', series }];
  return kind === 'interface' ? [...own, { is: 'common' }, { is: 'next' }] : [...own, { is: 'across', series }];
}

/** The level a sweep begins with, and the one it is measured at once nothing clips, of full scale. */
export const QUIET = 0.05;
export const MEASURING = 0.5;
