import { inverse, Matrix } from 'ml-matrix';
import type { Complex } from '../solver/system';

/** Values of a class's network that explain a measured curve: least squares on the logarithm, by Gauss and Newton, damped (Levenberg 1944, Marquardt 1963). */

export interface Fitted {
  /** In the order in which they were asked for. */
  readonly values: readonly number[];
  /** How sure: standard deviation as a share of each value; Infinity for what the curve does not tell. */
  readonly spread: readonly number[];
  /** RMS of what is left, nepers of magnitude and radians of phase together. */
  readonly misfit: number;
}

/** Steps at most, and when one is enough. */
const MOST = 40;
const ENOUGH = 1e-7;
/** A value is moved by so much to see what it does. */
const NUDGE = 1e-4;
/** Nothing is looked for beyond so many times its beginning, up or down. */
const REACH = Math.log(60);

/**
 * @param measured a complex curve
 * @param model the same of given values
 * @param start where to begin, all above nothing
 */
export function fit(
  measured: readonly Complex[],
  model: (values: readonly number[]) => readonly Complex[],
  start: readonly number[]
): Fitted {
  const target = measured.flatMap(logOf);
  // Phases are held against each other round the circle.
  const off = (logs: readonly number[]): number[] => {
    const curve = model(logs.map(Math.exp)).flatMap(logOf);
    return curve.map((v, k) => (k % 2 ? Math.atan2(Math.sin(v - target[k]), Math.cos(v - target[k])) : v - target[k]));
  };
  const origin = start.map(Math.log);
  let logs = [...origin];
  let now = off(logs);
  let damping = 1e-2;
  const sum = (r: readonly number[]): number => r.reduce((s, v) => s + v * v, 0);
  const slopes = (): Matrix => {
    const columns = logs.map((v, k) => {
      const moved = off(logs.map((w, j) => (j === k ? v + NUDGE : w)));
      return moved.map((m, i) => (m - now[i]) / NUDGE);
    });
    return new Matrix(columns).transpose();
  };
  for (let step = 0; step < MOST; step++) {
    const j = slopes();
    const jt = j.transpose();
    const normal = jt.mmul(j);
    const gradient = jt.mmul(Matrix.columnVector(now));
    let better = false;
    for (let tries = 0; tries < 8 && !better; tries++) {
      const damped = normal.clone();
      for (let k = 0; k < logs.length; k++) damped.set(k, k, damped.get(k, k) * (1 + damping) + 1e-12);
      const by = inverse(damped, true).mmul(gradient).to1DArray();
      const next = logs.map((v, k) => Math.min(Math.max(v - by[k], origin[k] - REACH), origin[k] + REACH));
      const then = off(next);
      if (sum(then) < sum(now)) {
        const gain = 1 - sum(then) / sum(now);
        [logs, now, better] = [next, then, true];
        damping = Math.max(damping / 6, 1e-9);
        if (gain < ENOUGH) step = MOST;
      } else damping *= 6;
    }
    if (!better) break;
  }
  const left = sum(now) / Math.max(1, now.length - logs.length);
  const j = slopes();
  const cov = inverse(j.transpose().mmul(j), true);
  return {
    values: logs.map(Math.exp),
    spread: logs.map((_, k) => {
      const v = cov.get(k, k) * left;
      return v >= 0 && j.getColumn(k).some((s) => Math.abs(s) > 1e-6) ? Math.sqrt(v) : Infinity;
    }),
    misfit: Math.sqrt(sum(now) / now.length)
  };
}

const logOf = ([re, im]: Complex): readonly [number, number] => [Math.log(Math.hypot(re, im)), Math.atan2(im, re)];
