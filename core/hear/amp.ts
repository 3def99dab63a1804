import { type Biquad, runBiquad } from './biquad';
import { Halving, twiceOf } from './twice';

/** A plain driven amplifier with its loudspeaker, of no make: loading of a pickup is heard through one. */

/** Second-order sections by bilinear transform (R. Bristow-Johnson’s cookbook). */
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
/** Volts at its input for which its first stage begins to bend, and how hard it is driven, our own choice of a clean-to-breaking sound. */
const BENDS_AT = 0.12;

/** Samples at a time. */
const PIECE = 1 << 18;

/** @param volts at its input @param rate samples a second @returns samples, about −1 to 1 */
export function amplified(volts: Float32Array, rate: number): Float32Array {
  const fast = 2 * rate;
  const before = section('high', 70, 0.7, fast);
  const behind = [
    section('high', 30, 0.7, fast),
    section('peak', 110, 1.2, fast, 4),
    section('peak', 2600, 1.4, fast, 5),
    section('low', 4800, 0.9, fast),
    section('low', 5200, 0.6, fast)
  ];
  const states = [before, ...behind].map(() => new Float64Array(2));
  const halving = new Halving();
  const out = new Float32Array(volts.length);
  let at = 0;
  for (let from = 0; from < volts.length; from += PIECE) {
    const end = Math.min(from + PIECE, volts.length);
    const x = runBiquad(before, twiceOf(volts, from, end), states[0]);
    // One side bends sooner than the other: even harmonics, as a single valve makes them.
    for (let n = 0; n < x.length; n++) {
      const v = x[n] / BENDS_AT;
      x[n] = v >= 0 ? Math.tanh(v) : Math.tanh(0.8 * v) / 0.8;
    }
    behind.forEach((s, k) => runBiquad(s, x, states[k + 1]));
    const some = halving.take(x, end === volts.length);
    out.set(some, at);
    at += some.length;
  }
  return out;
}
