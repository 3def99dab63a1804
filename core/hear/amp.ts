import { runBiquad, section } from './biquad';
import { Halving, twiceOf } from './twice';

/** A plain driven amplifier with its loudspeaker, of no make: loading of a pickup is heard through one. */

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
