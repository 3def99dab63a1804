/** Frequencies of a response: 24 points an octave over the audio band, refined round a resonance. */

const BAND_LOW = 20;
const BAND_HIGH = 20000;
const POINTS_PER_OCTAVE = 24;

/** Logarithmic grid from 20 Hz to 20 kHz, both ends included. Hertz. */
export function logGrid(perOctave = POINTS_PER_OCTAVE): Float64Array {
  const steps = Math.round(Math.log2(BAND_HIGH / BAND_LOW) * perOctave);
  return Float64Array.from({ length: steps + 1 }, (_, k) => BAND_LOW * (BAND_HIGH / BAND_LOW) ** (k / steps));
}

/** Extra frequencies round a resonance peak inside the grid; none when the response has no peak of its own. */
export function refineAround(hz: Float64Array, db: Float64Array): number[] {
  let peak = 0;
  for (let k = 1; k < db.length; k++) if (db[k] > db[peak]) peak = k;
  if (peak === 0 || peak === db.length - 1) return [];
  const curve = 2 * db[peak] - db[peak - 1] - db[peak + 1];
  // A peak that bends by less than a twentieth of a decibel between neighbours is drawn well enough already.
  if (curve < 0.05) return [];
  const out: number[] = [];
  for (let k = 1; k <= 5; k++) {
    out.push(hz[peak - 1] * (hz[peak] / hz[peak - 1]) ** (k / 6));
    out.push(hz[peak] * (hz[peak + 1] / hz[peak]) ** (k / 6));
  }
  return out;
}

/** Value at a frequency by interpolation on a logarithmic axis. */
export function interpolate(hz: Float64Array, values: Float64Array, at: number): number {
  if (at <= hz[0]) return values[0];
  let low = 0;
  let high = hz.length - 1;
  if (at >= hz[high]) return values[high];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (hz[middle] <= at) low = middle;
    else high = middle;
  }
  if (!Number.isFinite(values[low]) || !Number.isFinite(values[high])) return values[low];
  const t = Math.log(at / hz[low]) / Math.log(hz[high] / hz[low]);
  return values[low] + t * (values[high] - values[low]);
}

/** Mean power of a response over a band, logarithmic frequency, in dB. */
export function bandLevel(hz: Float64Array, db: Float64Array, low: number, high: number): number {
  let power = 0;
  let weight = 0;
  for (let k = 0; k < hz.length; k++) {
    if (hz[k] < low || hz[k] > high) continue;
    const left = k > 0 ? hz[k - 1] : hz[k];
    const right = k < hz.length - 1 ? hz[k + 1] : hz[k];
    const w = Math.log(right / left);
    power += w * Math.exp((db[k] * Math.LN10) / 10);
    weight += w;
  }
  if (weight === 0) return interpolate(hz, db, Math.sqrt(low * high));
  return power > 0 ? 10 * Math.log10(power / weight) : -Infinity;
}
