/** Speed of sound in dry air, m/s: 331.3 m/s at 0 °C, with the root of absolute temperature. */
export const soundSpeed = (celsius: number): number => 331.3 * Math.sqrt(1 + celsius / 273.15);

/** What a microphone at a distance does beside the direct signal. */
export interface Delay {
  readonly seconds: number;
  /** Whole and broken samples at that rate. */
  readonly samples: number;
  /** Frequencies that cancel when both are equally loud and of one polarity, hertz: (2k + 1) ÷ 2τ, as far as 20 kHz, the first few. */
  readonly notches: readonly number[];
  /** The same with one polarity inverted: k ÷ τ. */
  readonly inverted: readonly number[];
}

const MOST_NOTCHES = 4;

/**
 * Delay between a direct signal and a microphone.
 * @param metres distance from the source to the microphone
 * @param celsius air temperature
 * @param rate sampling rate in hertz
 */
export function delayOf(metres: number, celsius = 20, rate = 48000): Delay {
  const seconds = metres / soundSpeed(celsius);
  const list = (at: (k: number) => number): number[] =>
    seconds > 0 ? Array.from({ length: MOST_NOTCHES }, (_, k) => at(k)).filter((f) => f <= 20000) : [];
  return {
    seconds,
    samples: seconds * rate,
    notches: list((k) => (2 * k + 1) / (2 * seconds)),
    inverted: list((k) => (k + 1) / seconds)
  };
}
