import { type Complex, divide } from '../solver/system';

/** Complex numbers as [real, imaginary], beyond what the solver has of them. */
export const plus = ([a, b]: Complex, [c, d]: Complex): Complex => [a + c, b + d];
export const times = ([a, b]: Complex, [c, d]: Complex): Complex => [a * c - b * d, a * d + b * c];
export const real = (a: number): Complex => [a, 0];
/** Two impedances beside each other. */
export const beside = (a: Complex, b: Complex): Complex => divide(times(a, b), plus(a, b));
