import { dialogs as says } from '$core/words/screen/dialogs';
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
export const NO_NAME = says.aLineNeedsAName;
export const NO_CHANNEL = says.aChannelIsAWholeNumber;
export const NO_LOUDNESS = says.loudnessLiesBetween70And0;
