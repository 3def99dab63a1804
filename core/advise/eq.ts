import type { LineReport } from '../judge/judge';

/** Equalisation at the desk that gives a line back the sound of its source without a load, as far as few bands can. */

export interface Band {
  readonly kind: 'low-shelf' | 'bell' | 'high-shelf';
  /** Centre of a bell, middle of a shelf's slope, hertz. */
  readonly hz: number;
  readonly gainDb: number;
  readonly q: number;
}

export interface Equaliser {
  readonly bands: readonly Band[];
  /** Half the span of the difference from the unloaded sound over what is played, dB: as it is, and with the bands. */
  readonly before: number;
  readonly after: number;
}

/** Uneven by less than this needs no equaliser, dB. */
const EVEN_DB = 1.5;
/** What people set at a desk: whole decibels, not too many. */
const GAINS: readonly number[] = Array.from({ length: 12 }, (_, k) => k + 1).flatMap((db) => [-db, db]);
const QS: readonly number[] = [0.7, 1.4, 2.8];
/** Steepness of a shelf. */
const SHELF_Q = 0.7;
const MOST_BANDS = 2;
/** A band has to take so much of what is left, or it is not worth a hand. */
const WORTH = 0.75;

/**
 * Gain of one band at a frequency, dB: the analogue second-order forms that desks' equalisers are made after (R. Bristow-Johnson,
 * Audio EQ Cookbook), with A = 10^(gain ÷ 40).
 */
export function bandDb({ kind, hz, gainDb, q }: Band, f: number): number {
  const a = 10 ** (gainDb / 40);
  const w = f / hz;
  const r = 1 - w * w;
  // |x + jy|² of numerator and denominator at s = jw.
  if (kind === 'bell') return db(r * r + ((a / q) * w) ** 2) - db(r * r + (w / (a * q)) ** 2);
  const root = (Math.sqrt(a) / q) * w;
  const over = db((a - w * w) ** 2 + root ** 2);
  const under = db((1 - a * w * w) ** 2 + root ** 2);
  return kind === 'low-shelf' ? 20 * Math.log10(a) + over - under : 20 * Math.log10(a) + under - over;
}
const db = (power: number): number => 10 * Math.log10(power);

/** The bands that bring a line nearest to its source without a load; null where it is near enough, or out of an equaliser's reach. */
export function equaliserFor({ response, notes }: Pick<LineReport, 'response' | 'notes'>): Equaliser | null {
  if (!response || !notes) return null;
  const at = response.hz.flatMap((f, k) => (f >= notes.low && f <= notes.reach ? [k] : []));
  if (at.length < 3) return null;
  const hz = at.map((k) => response.hz[k]);
  let off = at.map((k) => response.db[k] - response.ideal[k]);
  const before = halfSpan(off);
  if (before < EVEN_DB) return null;
  const bands: Band[] = [];
  while (bands.length < MOST_BANDS) {
    const band = bestBand(hz, off);
    const next = off.map((d, k) => d + bandDb(band, hz[k]));
    if (spread(next) > WORTH * spread(off)) break;
    bands.push(band);
    off = next;
    if (halfSpan(off) < EVEN_DB / 2) break;
  }
  return bands.length > 0 ? { bands, before, after: halfSpan(off) } : null;
}

function bestBand(hz: readonly number[], off: readonly number[]): Band {
  let best: Band = { kind: 'bell', hz: hz[0], gainDb: GAINS[0], q: QS[0] };
  let least = Infinity;
  for (const centre of thirds(hz[0], hz[hz.length - 1]))
    for (const [kind, q] of [
      ...QS.map((q) => ['bell', q] as const),
      ['low-shelf', SHELF_Q] as const,
      ['high-shelf', SHELF_Q] as const
    ])
      for (const gainDb of GAINS) {
        const band: Band = { kind, hz: centre, gainDb, q };
        const left = spread(off.map((d, k) => d + bandDb(band, hz[k])));
        if (left < least - 1e-9) [best, least] = [band, left];
      }
  return best;
}

/** Third-octave frequencies as they are named (ISO 266), within a band. */
function thirds(low: number, high: number): number[] {
  const NAMES = [1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8];
  return [10, 100, 1000, 10000].flatMap((d) => NAMES.map((n) => n * d)).filter((f) => f >= low && f <= high);
}

/** Root of the mean square of what is left, any overall gain allowed for, dB. */
function spread(off: readonly number[]): number {
  const mean = off.reduce((a, b) => a + b, 0) / off.length;
  return Math.sqrt(off.reduce((sum, d) => sum + (d - mean) ** 2, 0) / off.length);
}
const halfSpan = (off: readonly number[]): number => (Math.max(...off) - Math.min(...off)) / 2;

/** A second-order low cut (Butterworth) that takes 1 dB off the lowest note: |H|⁻² = 1 + (f₀ ÷ f)⁴, so f₀ = f·(10^0.1 − 1)^¼. */
export const deskCutHz = (lowest: number): number => lowest * (10 ** 0.1 - 1) ** 0.25;
