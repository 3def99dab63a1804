import type { LineReport } from '../judge/judge';
import type { Finding, Severity } from '../judge/types';

/** How good a judged line is, as one number to rank by; the findings themselves are what is shown. */

/** Weights far enough apart that no number of lesser problems outweighs a worse one in practice. */
const WEIGHT: Readonly<Record<Severity, number>> = { clean: 0, note: 8, care: 40, stop: 200, danger: 1000 };

/** Points against a line for its findings. */
export function penalty(findings: readonly Finding[]): number {
  return findings.reduce((sum, f) => sum + WEIGHT[f.severity] + closeness(f), 0);
}

/** Within one severity a smaller loss is the better one. */
function closeness(f: Finding): number {
  if (f.severity === 'clean' || f.limit === null || !Number.isFinite(f.value)) return 0;
  return Math.min(Math.abs(f.value - f.limit), 60) / 10;
}

/** Gain that a preamp brings without its noise being noticed, dB. */
const EASY_GAIN_DB = 30;

/** Level lost on the way has to be made up by gain, and gain brings noise: a tenth of a point per decibel. @param from gain that was needed anyway */
export const gainPoints = (after: Pick<LineReport, 'gain'>, from = EASY_GAIN_DB): number =>
  after.gain === null ? 0 : Math.max(0, after.gain - Math.max(from, EASY_GAIN_DB)) / 10;
