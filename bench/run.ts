import { remediesFor } from '../core/advise/remedies';
import { judgeLine, judgePlan } from '../core/judge/judge';
import { blankPlan } from '../core/plan/blank';
import { traceLines } from '../core/plan/lines';
import type { Plan } from '../core/plan/schema';
import { putLine } from '../core/plan/spec';
import { solveLine } from '../core/rig/solve';
import { readLine } from '../core/say/read';

/** Speed as ratios to one solved line on the same machine, and as exponents of growth. `--json` for machines. */

const TEXTS = [
  'upright bass piezo, 3 m, active box 10m, 40 m, mic',
  'dulcimer piezo, 6 m, passive box, 40 m, mic',
  'guitar single coil, 9 m, active box, 40 m, mic',
  'theremin wall-wart, 5 m, 40 m, line'
];

function show(lines: number): Plan {
  const plan = blankPlan();
  for (let k = 0; k < lines; k++) putLine(plan, readLine(TEXTS[k % TEXTS.length]).spec!, (role) => `l${k}-${role}`);
  return plan;
}

/** Median seconds of a run, after warming up. */
function time(run: () => void, repeats = 9): number {
  for (let k = 0; k < 3; k++) run();
  const taken = Array.from({ length: repeats }, () => {
    const from = performance.now();
    run();
    return (performance.now() - from) / 1000;
  }).sort((a, b) => a - b);
  return taken[Math.floor(repeats / 2)];
}

const one = show(1);
const [line] = traceLines(one);
const solve = time(() => solveLine(one, line), 31);
const judge = time(() => judgeLine(one, line), 31);
const faulty = show(2);
const remedies = time(
  () =>
    remediesFor(
      faulty,
      traceLines(faulty).find((l) => l.info?.name === 'Dulcimer')!
    ),
  5
);
const sizes = [16, 32, 64, 128, 256];
const whole = sizes.map((n) => {
  const plan = show(n);
  return time(() => judgePlan(plan), 3);
});
/** Slope of log time over log lines, least squares. */
const x = sizes.map(Math.log);
const y = whole.map(Math.log);
const mean = (list: number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const exponent =
  x.reduce((sum, xi, k) => sum + (xi - mean(x)) * (y[k] - mean(y)), 0) /
  x.reduce((sum, xi) => sum + (xi - mean(x)) ** 2, 0);

const results = {
  judgeOverSolve: judge / solve,
  remediesOverJudge: remedies / judge,
  lines64OverOne: whole[sizes.indexOf(64)] / judge,
  growthExponent: exponent,
  oneLineMs: judge * 1000,
  lines64Ms: whole[sizes.indexOf(64)] * 1000
};
if (process.argv.includes('--json')) console.log(JSON.stringify(results));
else
  console.log(
    [
      `judging a line ÷ solving it       ${results.judgeOverSolve.toFixed(2)}`,
      `remedies of a line ÷ judging it   ${results.remediesOverJudge.toFixed(1)}`,
      `64 lines ÷ one line               ${results.lines64OverOne.toFixed(1)}`,
      `growth from 16 to 256 lines       n^${results.growthExponent.toFixed(2)}`,
      `here: one line ${results.oneLineMs.toFixed(1)} ms, 64 lines ${results.lines64Ms.toFixed(0)} ms (median)`
    ].join('\n')
  );
