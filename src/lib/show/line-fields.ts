import type { Exposure } from '$core/plan/schema';

/** What the dialogs of a line ask for in the same way. */

export const EXPOSURES: readonly { value: Exposure; text: string }[] = [
  { value: 'lead', text: 'exposed' },
  { value: 'normal', text: 'normal' },
  { value: 'buried', text: 'buried' }
];

export const isChannel = (n: number): boolean => Number.isInteger(n) && n >= 1 && n <= 999;
export const NO_NAME = 'A line needs a name.';
export const NO_CHANNEL = 'A channel is a whole number from 1 to 999, or empty.';
