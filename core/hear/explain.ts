import { applyEdit } from '../plan/edit';
import { diffPlans } from '../plan/diff';
import { resolve } from '../plan/resolved';
import type { Op, Plan } from '../plan/schema';
import { type Between, COHERENT } from './against';
import { lineAfter } from './line-after';
import { sizeOf } from './size';
import { inBounds, type LineValue, valuesOf, withValue } from './values';

/** What lies between two takes against what the plan says of it, and which value would explain a misfit. */

/** What a take came through: nothing but its source, or a line, as planned or after some steps. */
export type CameThrough =
  { readonly kind: 'dry' } | { readonly kind: 'line'; readonly lineId: string; readonly ops: readonly Op[] };

/** A value of the plan that would explain what is heard. */
export interface Explanation extends Omit<LineValue, 'spec'> {
  readonly value: number;
  /** As far as such a thing is usually off it. */
  readonly usual: boolean;
  /** What is then missed by, dB RMS. */
  readonly misses: number;
  readonly ops: readonly Op[];
}
export interface Against {
  /** Where something is claimed: hertz, measured and computed, both without their average, dB. */
  readonly hz: readonly number[];
  readonly heard: readonly number[];
  readonly computed: readonly number[];
  /** dB RMS, and where nine of ten points lie within. */
  readonly misses: number;
  readonly within: number;
  readonly agrees: boolean;
  /** Best first; none where it agrees, or where nothing explains it. */
  readonly explained: readonly Explanation[];
}

/** What is within a decibel is what the plan says, dB. */
const AGREES = 1;
/** Below this band takes hold rumble and hum, above it converters differ, hertz. */
const BAND = [60, 14_000] as const;
/** So many points are fitted to at most. */
const MOST_POINTS = 36;
/** A value is looked for so many times smaller and larger than it is planned. */
const REACH = 12;
const COARSE = 15;
/** A value that moves nothing by this is no explanation, dB. */
const MOVES = 0.3;
/** With a value that explains it no more than this is left, dB RMS. */
const EXPLAINS = 0.75;
/** Values that are refined. */
const REFINED = 5;

/**
 * @param between the second take over the first
 * @param through what each came through
 * @returns null where too little is told of to say anything
 */
export function against(plan: Plan, between: Between, through: readonly [CameThrough, CameThrough]): Against | null {
  const clear = [...between.hz.keys()].filter(
    (k) => between.coherence[k] >= COHERENT && between.hz[k] >= BAND[0] && between.hz[k] <= BAND[1]
  );
  const step = Math.max(1, Math.ceil(clear.length / MOST_POINTS));
  const points = clear.filter((_, k) => k % step === 0);
  if (points.length < 6) return null;
  const hz = points.map((k) => between.hz[k]);
  const heard = level(points.map((k) => between.db[k]));
  const computedOf = (of: Plan): number[] => level(difference(of, through, hz));
  const computed = computedOf(plan);
  const off = heard.map((db, k) => Math.abs(db - computed[k])).sort((a, b) => a - b);
  const within = off[Math.ceil(0.9 * off.length) - 1];
  const misses = rms(heard, computed);
  const agrees = within <= AGREES;
  const told = { hz, heard, computed, misses, within, agrees };
  return { ...told, explained: agrees ? [] : explain(plan, through, heard, computed, misses, computedOf) };
}

/** What the plan says lies between them, dB. */
function difference(plan: Plan, through: readonly [CameThrough, CameThrough], hz: readonly number[]): number[] {
  const [a, b] = through.map((t): readonly number[] => {
    if (t.kind === 'dry') return hz.map(() => 0);
    const after = lineAfter(plan, t.ops, t.lineId);
    return sizeOf(after.plan, after.line, hz);
  });
  return hz.map((_, k) => b[k] - a[k]);
}

/** Gains of two channels are nobody’s to know: what is told is the shape. */
function level(db: readonly number[]): number[] {
  const mean = db.reduce((sum, v) => sum + v, 0) / db.length;
  return db.map((v) => v - mean);
}
const rms = (a: readonly number[], b: readonly number[]): number =>
  Math.sqrt(a.reduce((sum, v, k) => sum + (v - b[k]) ** 2, 0) / a.length);

function explain(
  plan: Plan,
  through: readonly [CameThrough, CameThrough],
  heard: readonly number[],
  computed: readonly number[],
  misses: number,
  computedOf: (plan: Plan) => number[]
): Explanation[] {
  const lines = through.flatMap((t) => (t.kind === 'line' ? (resolve(plan).line(t.lineId) ?? []) : []));
  const rough = valuesOf(plan, lines).flatMap((v) => {
    const at = (value: number): number => rms(heard, computedOf(withValue(plan, v, value)));
    const moved = rms(computed, computedOf(withValue(plan, v, inBounds(v, v.planned * 3))));
    const back = rms(computed, computedOf(withValue(plan, v, inBounds(v, v.planned / 3))));
    if (Math.max(moved, back) < MOVES) return [];
    const tried = Array.from({ length: COARSE }, (_, k) =>
      inBounds(v, v.planned * REACH ** ((2 * k) / (COARSE - 1) - 1))
    ).map((value) => ({ value, misses: at(value) }));
    const best = tried.reduce((a, b) => (b.misses < a.misses ? b : a));
    return [{ v, at, best }];
  });
  const span = REACH ** (2 / (COARSE - 1));
  const fine = rough
    .sort((a, b) => a.best.misses - b.best.misses)
    .slice(0, REFINED)
    .map(({ v, at, best }): Explanation => {
      const value = least((log) => at(Math.exp(log)), Math.log(best.value / span), Math.log(best.value * span), v);
      const { spec, ...of } = v;
      const ops = diffPlans(plan, withValue(plan, v, value));
      return { ...of, value, usual: value >= spec.min && value <= spec.max, misses: at(value), ops };
    })
    .filter((e) => e.misses < Math.min(misses / 2, EXPLAINS) && applyEdit(plan, { ops: [...e.ops] }).ok);
  const best = Math.min(...fine.map((e) => e.misses));
  // What explains it about as well is told, too: which of them it is, the takes do not say.
  return fine
    .filter((e) => e.misses <= 1.5 * best + 0.1)
    .sort((a, b) => Number(b.usual) - Number(a.usual) || a.misses - b.misses);
}

/** Golden section. */
function least(of: (x: number) => number, from: number, to: number, v: LineValue): number {
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [from, to];
  let [p, q] = [high - golden * (high - low), low + golden * (high - low)];
  let [fp, fq] = [of(p), of(q)];
  for (let turn = 0; turn < 16; turn++) {
    if (fp < fq) {
      [high, q, fq] = [q, p, fp];
      p = high - golden * (high - low);
      fp = of(p);
    } else {
      [low, p, fp] = [p, q, fq];
      q = low + golden * (high - low);
      fq = of(q);
    }
  }
  return inBounds(v, Math.exp((low + high) / 2));
}
