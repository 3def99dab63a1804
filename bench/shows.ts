import { blankPlan } from '../core/plan/blank';
import type { Plan } from '../core/plan/schema';
import { putLine } from '../core/plan/put';
import { readLine } from '../core/reader/read-line';

/** Lines of the usual kinds, in turn. */
const TEXTS = [
  'upright bass piezo, 3 m, active DI 10m, 40 m, mic',
  'dulcimer piezo, 6 m, passive DI, 40 m, mic',
  'guitar single coil, 9 m, active DI, 40 m, mic',
  'theremin wall-wart, 5 m, 40 m, line'
];

/** A show of so many lines on two supplies, one of them laden with dimmers, so that every harmonic counts. */
export function show(lines: number): Plan {
  const plan = blankPlan();
  plan.supplies.stage = { name: 'Stage', emf: 0.1, ohm: 0.2, dimmers: true };
  for (let k = 0; k < lines; k++) {
    putLine(plan, readLine(TEXTS[k % TEXTS.length]).spec!, (role) => `l${k}-${role}`);
    plan.devices[`l${k}-src`].supply = 'stage';
  }
  return plan;
}

/** Median seconds of a run, after warming up. */
export function time(run: () => void, repeats = 9, warm = 3): number {
  for (let k = 0; k < warm; k++) run();
  const taken = Array.from({ length: repeats }, () => {
    const from = performance.now();
    run();
    return (performance.now() - from) / 1000;
  }).sort((a, b) => a - b);
  return taken[Math.floor(repeats / 2)];
}

/** Slope of log time over log size, least squares: the exponent of growth. */
export function exponent(sizes: readonly number[], seconds: readonly number[]): number {
  const x = sizes.map(Math.log);
  const y = seconds.map(Math.log);
  const mean = (list: number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
  const [mx, my] = [mean(x), mean(y)];
  return x.reduce((sum, xi, k) => sum + (xi - mx) * (y[k] - my), 0) / x.reduce((sum, xi) => sum + (xi - mx) ** 2, 0);
}
