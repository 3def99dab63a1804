/** A second-order section: b over 1 and a. */
export interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [number, number];
}

/** Second-order sections by bilinear transform (R. Bristow-Johnson’s cookbook). */
export function section(kind: 'low' | 'high' | 'peak', hz: number, q: number, rate: number, db = 0): Biquad {
  const w = (2 * Math.PI * hz) / rate;
  const [c, s] = [Math.cos(w), Math.sin(w)];
  const alpha = s / (2 * q);
  if (kind === 'peak') {
    const g = 10 ** (db / 40);
    const a0 = 1 + alpha / g;
    return { b: [(1 + alpha * g) / a0, (-2 * c) / a0, (1 - alpha * g) / a0], a: [(-2 * c) / a0, (1 - alpha / g) / a0] };
  }
  const a0 = 1 + alpha;
  const [edge, middle] = kind === 'low' ? [(1 - c) / 2, 1 - c] : [(1 + c) / 2, -(1 + c)];
  return { b: [edge / a0, middle / a0, edge / a0], a: [(-2 * c) / a0, (1 - alpha) / a0] };
}

/**
 * Runs a section over samples, in place (transposed direct form II).
 * @param state two values, where it stands: samples that come in pieces go on from there; written
 */
export function runBiquad({ b, a }: Biquad, x: Float64Array, state = new Float64Array(2)): Float64Array {
  let [s1, s2] = state;
  for (let n = 0; n < x.length; n++) {
    const v = x[n];
    const y = b[0] * v + s1;
    s1 = b[1] * v - a[0] * y + s2;
    s2 = b[2] * v - a[1] * y;
    x[n] = y;
  }
  state[0] = s1;
  state[1] = s2;
  return x;
}
