import { apart } from './compare';
import { inputFull, TONE_HZ } from './known';
import type { Resistors } from './plug';
import { GRID, type Heard, ratioAt } from './sweep';
import { benchOf } from './two-loads';

/** What an interface is by itself: what it drives with, what it loads with, what it clips at, hisses, rejects and lets over. */

export interface InterfaceFound {
  /** Its output, and its input with the test lead, ohms at 1 kHz. */
  readonly out: number;
  readonly into: number;
  readonly noiseDb: number;
  /** A sine that fills its output and its input, volts RMS; null where no voltage is known. */
  readonly outFull: number | null;
  readonly inFull: number | null;
  readonly hz: readonly number[];
  /** What both legs carry, and what plays into the input beside, below what is plugged as it should be: dB by frequency. */
  readonly rejection: readonly number[];
  readonly crosstalk: readonly number[];
}

/** A load loads not if it is at least so many times the source: the rule of thumb of bridging. */
export const BRIDGES = 10;

/**
 * @param heard what came back from each patch, in the order of `patchesFor('interface', …)`
 * @param full a full-scale sine at its output, volts RMS; null where nobody has read it
 */
export function interfaceFrom(heard: readonly Heard[], resistors: Resistors, full: number | null): InterfaceFound {
  const [loop, loaded, open, common, next] = heard;
  const { out, into } = benchOf(
    [TONE_HZ],
    ratioAt(open, loop, [TONE_HZ]),
    ratioAt(loaded, loop, [TONE_HZ]),
    resistors.series,
    resistors.load
  );
  const below = (h: Heard): readonly number[] => apart(h, loop).db.map((db) => -db);
  return {
    ...{ out: Math.hypot(...out[0]), into: Math.hypot(...into[0]), noiseDb: 20 * Math.log10(loop.noise) },
    ...{ outFull: full, inFull: full === null ? null : inputFull(full, loop) },
    ...{ hz: GRID, rejection: below(common), crosstalk: below(next) }
  };
}

/** A curve of dB at one frequency, the middle of what is about it. @param octaves either way */
export function middleAt(hz: readonly number[], db: readonly number[], at: number, octaves = 0.5): number {
  const near = db.filter((_, k) => Math.abs(Math.log2(hz[k] / at)) <= octaves).sort((a, b) => a - b);
  return near[near.length >> 1];
}
