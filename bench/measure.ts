import { CORE_LEVELS, coreTone, saturationOf, thirdOf, unfilledTo } from '../core/measure/core-tone';
import { outputFull } from '../core/measure/known';
import { hearSweep, measured, stimulus } from '../core/measure/measure';
import { MEASURING, patchesFor, RESISTORS, seriesFor } from '../core/measure/plug';
import { curveOf } from '../core/measure/devices';
import { type MeasuredKind } from '../core/measure/kinds';
import { StandIn } from '../core/measure/stand-in';
import type { Heard } from '../core/measure/sweep';

/** Two hundred stand-ins with noise at −80 dB: how far what is found is from what nobody was told. `npm run bench:measure` */

const KINDS: readonly (readonly [MeasuredKind, string])[] = [
  ['coil', 'single-coil'],
  ['coil', 'humbucker'],
  ['coil', 'passive-bass'],
  ['piezo', 'piezo'],
  ['piezo', 'contact-disc'],
  ['output', 'line-unbalanced'],
  ['input', 'instrument-in'],
  ['input', 'line-in'],
  ['cable', 'instrument'],
  ['di', 'passive-di'],
  ['di', 'isolator']
];
const COUNT = 200;
const CORES = 40;
interface Off {
  value: number[];
  response: number[];
  values: number;
  curves: number;
}
const by = new Map<MeasuredKind, Off>();
for (let seed = 0; seed < COUNT; seed++) {
  const [kind, model] = KINDS[seed % KINDS.length];
  const standIn = new StandIn(1000 + seed, kind, model);
  const resistors = { ...RESISTORS, series: seriesFor(kind) };
  const heard = patchesFor(kind, resistors).map((p) => hearSweep(standIn.play(stimulus(MEASURING), p), MEASURING));
  const of = by.get(kind) ?? { value: [], response: [], values: 0, curves: 0 };
  by.set(kind, of);
  if (heard.some((h) => typeof h === 'string')) throw new Error(`${kind} ${seed}: ${heard.join()}`);
  const is = measured(kind, model, heard as Heard[], resistors, standIn.hidden.metres);
  const truth = curveOf(kind, model, standIn.hidden.values, is.hz, standIn.hidden.metres);
  const db = is.fitted.map((c, k) => Math.abs(20 * Math.log10(Math.hypot(...c) / Math.hypot(...truth[k]))));
  of.response.push(Math.max(...db));
  of.curves++;
  for (const { param, value } of is.values) {
    of.value.push(Math.abs(value / standIn.hidden.values[param] - 1));
    of.values++;
  }
}
const most = (list: readonly number[]): number => Math.max(...list);
const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
console.log('            devices   values off: median, worst   curve off: median, worst');
for (const [kind, { value, response, curves }] of by)
  console.log(
    `${kind.padEnd(10)} ${String(curves).padStart(8)}   ${(100 * median(value)).toFixed(2).padStart(10)} % ${(100 * most(value)).toFixed(2).padStart(8)} %   ${median(response).toFixed(3).padStart(10)} dB ${most(response).toFixed(3).padStart(8)} dB`
  );

// Cores, by one known voltage: what is found, and of what is not found whether that is told rightly.
const cores = Array.from({ length: CORES }, (_, k) => {
  const standIn = new StandIn(5000 + k, 'di', k % 2 ? 'isolator' : 'passive-di');
  const thirds = CORE_LEVELS.map((l) => thirdOf(standIn.play(coreTone(l, standIn.rate), { is: 'core' }), standIn.rate));
  const full = outputFull(standIn.multimeter(MEASURING), MEASURING);
  const really = standIn.hidden.saturation!;
  return { found: saturationOf(thirds, full), to: unfilledTo(thirds.length, full), really };
});
const off = cores.flatMap(({ found, really }) => (found === null ? [] : [Math.abs(20 * Math.log10(found / really))]));
const wrong = cores.filter(({ found, to, really }) => found === null && really < to).length;
console.log(
  `cores: ${off.length} of ${CORES} found, off by ${median(off).toFixed(2)} dB, ${most(off).toFixed(2)} dB at the worst; of the others ${wrong} said to be clean above where they are full`
);
