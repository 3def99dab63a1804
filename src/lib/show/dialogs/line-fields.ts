import type { Exposure, LineInfo } from '$core/plan/schema';
import { WANT_NAMES } from '$core/words/names';

/** What the dialogs of a line ask for in the same way. */

export const EXPOSURES: readonly { value: Exposure; text: string }[] = [
  { value: 'lead', text: 'exposed' },
  { value: 'normal', text: 'normal' },
  { value: 'buried', text: 'buried' }
];

export type Want = NonNullable<LineInfo['want']>;
export const WANTS = (Object.keys(WANT_NAMES) as Want[]).map((value) => ({ value, text: WANT_NAMES[value] }));

export const isChannel = (n: number): boolean => Number.isInteger(n) && n >= 1 && n <= 999;
export const NO_NAME = 'A line needs a name.';
export const NO_CHANNEL = 'A channel is a whole number from 1 to 999, or empty.';
export const NO_LOUDNESS = 'Loudness lies between −70 and 0 LUFS, as −16; or leave it empty.';
