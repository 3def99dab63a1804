import type { Complex } from '../solver/system';

/** Complex numbers as [real, imaginary], as far as measuring needs them. */
export const plus = ([a, b]: Complex, [c, d]: Complex): Complex => [a + c, b + d];
export const less = ([a, b]: Complex, [c, d]: Complex): Complex => [a - c, b - d];
export const times = ([a, b]: Complex, [c, d]: Complex): Complex => [a * c - b * d, a * d + b * c];
export const over = ([a, b]: Complex, [c, d]: Complex): Complex => {
  const n = c * c + d * d;
  return [(a * c + b * d) / n, (b * c - a * d) / n];
};
export const real = (a: number): Complex => [a, 0];
/** Two impedances beside each other. */
export const beside = (a: Complex, b: Complex): Complex => over(times(a, b), plus(a, b));
