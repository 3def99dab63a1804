/** Time constants of the record curve, seconds: 3180, 318 and 75 µs (IEC 60098). */
const BASS = 3180e-6;
const MID = 318e-6;
const TREBLE = 75e-6;

const curve = (hz: number): number => {
  const w = 2 * Math.PI * hz;
  return 10 * Math.log10((1 + (w * MID) ** 2) / ((1 + (w * BASS) ** 2) * (1 + (w * TREBLE) ** 2)));
};

/** Replay response of a phono input, dB with 0 dB at 1 kHz: what the cutting took from bass and gave to treble, undone. */
export const riaa = (hz: number): number => curve(hz) - curve(1000);
