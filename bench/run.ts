import { resolve } from '../core/plan/resolved';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { remediesFor } from '../core/advise/remedies';
import { judgePlan, judgeWhole } from '../core/judge/judge';
import { type Pieces, SolvedRig } from '../core/judge/solved-rig';
import { RigHum } from '../core/rig/hum';
import { domainHum, type DomainHum } from '$core/rig/hum-domain';
import { analyse } from '../core/sound/analyse';
import { exampleOf } from '../core/sound/examples';
import type { RingBench } from '../core/rig/loops';
import { scoreOf } from '../core/tests/stage/score';
import { earthMap } from '../core/trace/map';
import { solveLine } from '../core/rig/solve';
import { benchOf, inputsOf } from '$core/rig/bench';
import { choosing } from './choosing';
import { exponent, show, time } from './shows';
import { againstSimulator } from './simulator';
import { tracing } from './tracing';
import { toleranceSeconds } from './tolerance';

/** Speed as ratios to one solved line on the same machine, and as exponents of growth. `--json` for machines. */

/** Bytes kept for a show of 512 lines, everything known about it included. */
function heap(): number {
  setFlagsFromString('--expose-gc');
  const collect = runInNewContext('gc') as () => void;
  const plan = show(512);
  collect();
  const before = process.memoryUsage();
  const pieces: Pieces = new Map();
  const kept = new SolvedRig(plan, pieces).solved();
  collect();
  const after = process.memoryUsage();
  if (kept.size !== 512) throw new Error('lines lost');
  return after.heapUsed + after.arrayBuffers - before.heapUsed - before.arrayBuffers;
}

const one = show(1);
const [line] = resolve(one).lines;
const kept = heap();
const solve = time(() => solveLine(one, line), 51, 50);
const judge = time(() => judgePlan(one), 51, 50);

/** One line of 64 is changed; what is known of the others stays. @param which whose reports are waited for */
function changed(which: 'fresh' | 'all'): number {
  const pieces: Pieces = new Map();
  const plan = show(64);
  judgePlan(plan, pieces);
  let metres = 3;
  return time(
    () => {
      metres += 0.01;
      const next = { ...plan, cables: { ...plan.cables, 'l2-lead': { ...plan.cables['l2-lead'], metres } } };
      judgeWhole(new SolvedRig(next, pieces), which);
    },
    101,
    50
  );
}
/** The map of earths of 64 lines, seen anew after one of them is changed. */
function mapped(): number {
  const pieces: Pieces = new Map();
  const benches = new Map<string, RingBench | null>();
  const plan = show(64);
  let metres = 3;
  return time(
    () => {
      metres += 0.01;
      const next = { ...plan, cables: { ...plan.cables, 'l2-lead': { ...plan.cables['l2-lead'], metres } } };
      const whole = new SolvedRig(next, pieces);
      earthMap(whole, new Map(judgeWhole(whole).map((r) => [r.id, r])), benches);
    },
    31,
    5
  );
}
const mapAfterChange = mapped();
const oneChanged = changed('fresh');
const allAfterChange = changed('all');

const faulty = show(2);
const dulcimer = resolve(faulty).lines.find((l) => l.info?.name === 'Dulcimer')!;
const remedies = time(() => remediesFor(faulty, dulcimer), 5);

/** Hum of the whole rig at 20 harmonics: every piece by adjoints, then all joined at their earths and read at every input. */
function rigHum(plan: ReturnType<typeof show>): number {
  const pieces = resolve(plan).domains.map((domain) => {
    const { rig, system } = benchOf(plan, domain);
    return { rig, system, outs: inputsOf(plan, rig, domain.lines) };
  });
  return time(() => {
    const hums: DomainHum[] = pieces.map(({ rig, system, outs }) => domainHum(plan, rig, system, outs));
    const whole = new RigHum(plan, hums);
    for (const hum of hums) for (const out of hum.outs) whole.at(hum, out);
  }, 5);
}

const sizes = [8, 16, 32, 64, 128, 256, 512];
const plans = sizes.map(show);
const whole = plans.map((plan) => time(() => judgePlan(plan), 3, 1));
const hum = plans.map(rigHum);
const at64 = sizes.indexOf(64);

const chosen = await choosing();
const tolerance = await toleranceSeconds();
const simulator = againstSimulator();
const rigs = Number(process.argv.find((a) => a.startsWith('--rigs='))?.slice(7)) || undefined;
const traced = tracing(rigs);
const elsewhere = scoreOf(rigs ?? 2000);
const tenMinutes = exampleOf('buzz', 50, 48_000, 600);
const listened = time(() => analyse(tenMinutes, 48_000), 3, 1);
const percent = (v: number): string => `${(v * 100).toFixed(0)} %`;
const results = {
  judgeOverSolve: judge / solve,
  remediesOverJudge: remedies / judge,
  lines64OverOne: whole[at64] / judge,
  judgeExponent: exponent(sizes, whole),
  humExponent: exponent(sizes, hum),
  oneChangedOf64Ms: oneChanged * 1000,
  allAfterOneChangedMs: allAfterChange * 1000,
  oneLineMs: judge * 1000,
  lines64Ms: whole[at64] * 1000,
  rigHum64Ms: hum[at64] * 1000,
  heap512MB: kept / 1e6,
  tolerance1000Seconds: tolerance,
  waysSeconds: chosen.ways,
  waysOverJudge: chosen.waysOverJudge,
  propose64Seconds: chosen.alike,
  propose64UnlikeSeconds: chosen.unlike,
  propose64TwoThreadsSeconds: chosen.twoThreads,
  mapAfterOneChangedMs: mapAfterChange * 1000,
  tracing: traced,
  tracingElsewhere: elsewhere,
  listen10MinutesSeconds: listened,
  timesFasterThanSimulator: simulator && simulator.there / simulator.swept,
  timesFasterEveryPoint: simulator && simulator.there / simulator.every,
  sweptOffDb: simulator && simulator.off
};
const row = (what: string, value: string): string => `${what.padEnd(52)} ${value}`;
if (process.argv.includes('--json')) console.log(JSON.stringify(results));
else
  console.log(
    [
      row('judging a line ÷ solving it', results.judgeOverSolve.toFixed(2)),
      row('remedies of a line ÷ judging it', results.remediesOverJudge.toFixed(1)),
      row('64 lines ÷ one line', results.lines64OverOne.toFixed(1)),
      row('growth of judging, 8 to 512 lines', `n^${results.judgeExponent.toFixed(2)}`),
      row('growth of rig hum, 8 to 512 lines', `n^${results.humExponent.toFixed(2)}`),
      row('here, median: one changed line of 64', `${results.oneChangedOf64Ms.toFixed(1)} ms`),
      row('all 64 after that change, hum of the rest included', `${results.allAfterOneChangedMs.toFixed(1)} ms`),
      row('one line alone', `${results.oneLineMs.toFixed(1)} ms`),
      row('64 lines', `${results.lines64Ms.toFixed(0)} ms`),
      row('rig hum, 64 lines × 20 harmonics', `${results.rigHum64Ms.toFixed(0)} ms`),
      row('kept for 512 lines', `${results.heap512MB.toFixed(0)} MB`),
      row('1,000 tolerance runs of a line, two threads', `${results.tolerance1000Seconds.toFixed(2)} s`),
      row('all ways of a line ÷ judging it', results.waysOverJudge.toFixed(0)),
      row('all ways of the slowest line', `${results.waysSeconds.toFixed(2)} s`),
      row('a proposal, 64 lines of four kinds, 100 things', `${results.propose64Seconds.toFixed(2)} s`),
      row('the same, no two lines alike', `${results.propose64UnlikeSeconds.toFixed(2)} s`),
      row('  searched in two threads, as the program does', `${results.propose64TwoThreadsSeconds.toFixed(2)} s`),
      row('map of earths of 64 lines after one change', `${(mapAfterChange * 1000).toFixed(0)} ms`),
      row('10 minutes of audio at 48 kHz, read', `${listened.toFixed(1)} s`),
      row(
        `hidden faults found, ${traced.rigs} simulated rigs`,
        `${percent(traced.right)}, by custom ${percent(traced.rightByCustom)}`
      ),
      row('  tests, median', `${traced.medianTests}, by custom ${traced.medianTestsByCustom}`),
      row(
        '  minutes, median',
        `${traced.medianMinutes.toFixed(1)}, by custom ${traced.medianMinutesByCustom.toFixed(1)}`
      ),
      ...traced.claims.flatMap(({ told, right }, k) =>
        told > 0 ? [row(`  told at ${k * 10} to ${k * 10 + 10} %, and right`, `${told}, ${percent(right / told)}`)] : []
      ),
      row(
        `right or “none of these”, ${elsewhere.rigs} rigs of the second simulator`,
        `${percent(elsewhere.honest)} (${percent(elsewhere.right)} right), by custom ${percent(elsewhere.byCustom)}`
      ),
      row('  tests, median', `${elsewhere.medianTests}, by custom ${elsewhere.medianTestsByCustom}`),
      row('  told at 90 % and more, and right', `${elsewhere.sure.told}, ${percent(elsewhere.sure.right)}`),
      row('  told at 70 to 90 %, and right', `${elsewhere.likely.told}, ${percent(elsewhere.likely.right)}`),
      ...(simulator
        ? [
            row('times faster than a general circuit simulator', (simulator.there / simulator.swept).toFixed(1)),
            row('  with every one of 601 points computed', (simulator.there / simulator.every).toFixed(1)),
            row('  points not computed are off by at most', `${simulator.off.toFixed(4)} dB`)
          ]
        : [row('against a general circuit simulator', 'not installed, skipped')])
    ].join('\n')
  );
