import type { Rational } from './rational';

/** Runs a fitted response over samples: one section for each real pole, one for each pair. */

/** Samples at a time: they stay near while all sections go over them. */
const AT_ONCE = 4096;

/** Where a filter stands before its first sample. */
export const atRest = ({ poles }: Pick<Rational, 'poles'>): Float64Array => new Float64Array(2 * poles.length);

/**
 * @param states where it stands, as `atRest` makes it: samples that come in pieces go on from there; written
 * @returns samples as many as came in
 */
export function runFilter(
  { direct, poles }: Pick<Rational, 'direct' | 'poles'>,
  x: Float64Array,
  states: Float64Array = atRest({ poles })
): Float64Array {
  const y = new Float64Array(x.length);
  for (let from = 0; from < x.length; from += AT_ONCE) {
    const to = Math.min(from + AT_ONCE, x.length);
    for (let n = from; n < to; n++) y[n] = direct * x[n];
    for (let p = 0; p < poles.length; p++) {
      const { re, im, rRe, rIm } = poles[p];
      let [s1, s2] = [states[2 * p], states[2 * p + 1]];
      if (im === 0)
        for (let n = from; n < to; n++) {
          // Reads what stood before this sample: 1 ÷ (z − p) answers a sample later.
          y[n] += rRe * s1;
          s1 = re * s1 + x[n];
        }
      else {
        const [a1, a2] = [2 * re, -(re * re + im * im)];
        const [b1, b2] = [2 * rRe, -2 * (rRe * re + rIm * im)];
        for (let n = from; n < to; n++) {
          y[n] += b1 * s1 + b2 * s2;
          const s0 = x[n] + a1 * s1 + a2 * s2;
          s2 = s1;
          s1 = s0;
        }
      }
      states[2 * p] = s1;
      states[2 * p + 1] = s2;
    }
  }
  return y;
}
