/** In which unit lengths are shown, and what a length without a unit is. The core itself counts in metres. */

export type LengthUnit = 'm' | 'ft';

/** The international foot in metres (ISO 80000-3). */
export const FOOT = 0.3048;

let unit: LengthUnit = 'm';

/** Chooses it, for all that is written from here on in this thread. */
export const showLengthsIn = (wanted: LengthUnit): void => void (unit = wanted);
export const lengthsIn = (): LengthUnit => unit;
/** Whatever a setting says, as a unit of length. */
export const asLengthUnit = (said: string | undefined): LengthUnit => (said === 'ft' ? 'ft' : 'm');
