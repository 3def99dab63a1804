/** What is heard, in the words in which it is told. */

export const HUM_WORDS = ['none', 'faint', 'clear'] as const;
export type HumWord = (typeof HUM_WORDS)[number];
export const CONTENTS = ['right', 'distorted', 'silent', 'wrong'] as const;
export type Content = (typeof CONTENTS)[number];
/** The meter of a channel's input while the source plays. */
export const METERS = ['moves', 'still'] as const;
export type Meter = (typeof METERS)[number];

/** Hum as it is told: nothing heard from so far under the playing on, faint above that, clear above that, dB. */
export const HUM_BOUNDS: Readonly<Record<HumWord, readonly [least: number, most: number]>> = {
  none: [60, Infinity],
  faint: [40, 60],
  clear: [-Infinity, 40]
};

/** The word for a hum so far under the playing, dB. */
export const humWord = (below: number): HumWord => HUM_WORDS.find((w) => below >= HUM_BOUNDS[w][0])!;
