/** Where a core saturates: a low tone played louder and louder, and the third harmonic that it grows. */

/** The tone, hertz; a core is said at twenty. */
export const CORE_HZ = 30;
const SAID_AT = 20;
/** It is played at these, of full scale, the softest first. */
export const CORE_LEVELS = [0.05, 0.1, 0.2, 0.4, 0.8] as const;
const SECONDS = 1;

export const coreTone = (level: number, rate: number): Float32Array => {
  const n = Math.round(SECONDS * rate);
  const edge = 0.1 * rate;
  return Float32Array.from({ length: n }, (_, k) => {
    const rise = Math.min(1, k / edge, (n - k) / edge);
    return level * rise * Math.sin((2 * Math.PI * CORE_HZ * k) / rate);
  });
};

/** Third harmonic over the fundamental in the middle of what came back, as a ratio. */
export function thirdOf(recorded: Float32Array, rate: number): number {
  // A whole number of turns, away from both ends.
  const n = Math.floor((0.5 * rate) / (rate / CORE_HZ)) * (rate / CORE_HZ);
  const from = Math.round(0.3 * rate);
  const size = (hz: number): number => {
    let [c, s] = [0, 0];
    for (let k = 0; k < n; k++) {
      const w = (2 * Math.PI * hz * k) / rate;
      c += recorded[from + k] * Math.cos(w);
      s += recorded[from + k] * Math.sin(w);
    }
    return Math.hypot(c, s);
  };
  return size(3 * CORE_HZ) / size(CORE_HZ);
}

/** A third weaker than this may be noise, as a ratio; one of a cubic's shape is read up to this share of where it is full. */
const FAINT = 3e-4;
const MOST_FULL = 0.72;
/** What grows by the square of the level is the core: at least so much of that. */
const GROWS = 0.7;

/**
 * Peak volts at which the core is full at 20 Hz, from thirds at rising levels: of a cubic, y = x − x³ ÷ 3c², the third is r² ÷ 12 ÷ (1 − r² ÷ 4), r = peak ÷ c.
 * @param thirds by `CORE_LEVELS`, as many as came back unclipped @param full peak volts at full scale
 * @returns null where none stands out of the noise, or grows as a core's does
 */
export function saturationOf(thirds: readonly number[], full: number): number | null {
  for (let k = thirds.length - 1; k > 0; k--) {
    const h = thirds[k];
    const r = Math.sqrt((12 * h) / (1 + 3 * h));
    const growth = h / thirds[k - 1] / (CORE_LEVELS[k] / CORE_LEVELS[k - 1]) ** 2;
    if (h > FAINT && r < MOST_FULL && growth > GROWS) return ((CORE_LEVELS[k] * full) / r) * (SAID_AT / CORE_HZ);
  }
  return null;
}

/** Up to which level at 20 Hz nothing of a core was heard, peak volts. @param count of `CORE_LEVELS` that came back unclipped */
export const unfilledTo = (count: number, full: number): number =>
  (CORE_LEVELS[Math.max(count, 1) - 1] * full * SAID_AT) / CORE_HZ;
