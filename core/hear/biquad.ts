/** A second-order section: b over 1 and a. */
export interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [number, number];
}

/** Runs a section over samples, in place (transposed direct form II). */
export function runBiquad({ b, a }: Biquad, x: Float64Array): Float64Array {
  let [s1, s2] = [0, 0];
  for (let n = 0; n < x.length; n++) {
    const v = x[n];
    const y = b[0] * v + s1;
    s1 = b[1] * v - a[0] * y + s2;
    s2 = b[2] * v - a[1] * y;
    x[n] = y;
  }
  return x;
}
