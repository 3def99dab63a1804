import { half, twice } from './twice';

/** A plain driven amplifier with its loudspeaker, of no make: loading of a pickup is heard through one. */

/** Second-order sections by bilinear transform (R. Bristow-Johnson’s cookbook). */
interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [number, number];
}
function section(kind: 'low' | 'high' | 'peak', hz: number, q: number, rate: number, db = 0): Biquad {
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
function through({ b, a }: Biquad, x: Float64Array): void {
  let [s1, s2] = [0, 0];
  for (let n = 0; n < x.length; n++) {
    const v = x[n];
    const y = b[0] * v + s1;
    s1 = b[1] * v - a[0] * y + s2;
    s2 = b[2] * v - a[1] * y;
    x[n] = y;
  }
}

/** Volts at its input for which its first stage begins to bend, and how hard it is driven, our own choice of a clean-to-breaking sound. */
const BENDS_AT = 0.12;

/** @param volts at its input @param rate samples a second @returns samples, about −1 to 1 */
export function amplified(volts: Float32Array, rate: number): Float32Array {
  const x = twice(volts);
  const fast = 2 * rate;
  through(section('high', 70, 0.7, fast), x);
  // One side bends sooner than the other: even harmonics, as a single valve makes them.
  for (let n = 0; n < x.length; n++) {
    const v = x[n] / BENDS_AT;
    x[n] = v >= 0 ? Math.tanh(v) : Math.tanh(0.8 * v) / 0.8;
  }
  through(section('high', 30, 0.7, fast), x);
  through(section('peak', 110, 1.2, fast, 4), x);
  through(section('peak', 2600, 1.4, fast, 5), x);
  through(section('low', 4800, 0.9, fast), x);
  through(section('low', 5200, 0.6, fast), x);
  return half(x);
}
