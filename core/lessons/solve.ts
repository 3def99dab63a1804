import { lineOf, planOf } from '../casebook/cases';
import { judgeWhole, type LineReport } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { CircuitError } from '../solver/network';
import type { At, ByHand, Figure, Knob, KnobId, LineLesson } from './types';

/** A lesson's line as it is turned, solved. */

export interface Taught {
  readonly report: LineReport;
  /** What the lesson is about; NaN where there is none. */
  readonly reads: number;
  readonly byHand: ByHand | null;
  readonly figures: readonly Figure[];
}
/** What a reading does while one knob goes from one end to the other; of a switch at each of its choices, by their places. */
export interface Sweep {
  readonly knob: KnobId;
  readonly x: readonly number[];
  readonly y: readonly number[];
}
export type Turned = Readonly<Partial<Record<KnobId, number | string>>>;

/** The made line of a lesson. @param way which of its ways, from 0 */
export function madeLine(lesson: LineLesson, way: number): { readonly plan: Plan; readonly lineId: string } {
  return { plan: planOf({ says: lesson.ways[way] }), lineId: lineOf({}) };
}

/** A knob of a line as it stands, with room for how the line is planned. */
export interface Stands {
  readonly knob: Knob;
  readonly value: number | string;
  readonly behind: boolean;
}
/** Knobs that a line has. */
export function knobsOn(lesson: LineLesson, plan: Plan, lineId: string): Stands[] {
  const line = resolve(plan).line(lineId);
  if (!line) return [];
  return lesson.knobs.flatMap((knob): Stands[] => {
    const found = knob.on(plan, line);
    if (!found) return [];
    const { value, behind = false } = found;
    if (typeof value === 'string') return [{ knob, value, behind }];
    const room = { low: Math.min(knob.low, value), high: Math.max(knob.high, value) };
    return [{ knob: { ...knob, ...room }, value, behind }];
  });
}

/** A line on which a lesson can be shown: it has what is turned first, and it can be solved. */
export function canShow(lesson: LineLesson, plan: Plan, lineId: string): boolean {
  if (lesson.ways.length > 1 || !knobsOn(lesson, plan, lineId).some(({ knob }) => knob.id === lesson.knobs[0].id))
    return false;
  const at = solvedAt(plan, lineId, new Map());
  return at !== null && (lesson.fits?.(at) ?? true);
}

/** The plan with knobs turned. */
export function turnedPlan(lesson: LineLesson, plan: Plan, lineId: string, turned: Turned): Plan {
  const line = resolve(plan).line(lineId);
  if (!line) return plan;
  return lesson.knobs.reduce((to, knob) => {
    const value = turned[knob.id];
    return value === undefined ? to : (knob.on(plan, line)?.put(to, value) ?? to);
  }, plan);
}

function solvedAt(plan: Plan, lineId: string, pieces: Pieces): At | null {
  const line = resolve(plan).line(lineId);
  const whole = new SolvedRig(plan, pieces);
  const report = judgeWhole(whole).find((r) => r.id === lineId);
  const solution = whole.solved().get(lineId)?.solution;
  if (!line || !report || !solution || solution instanceof CircuitError) return null;
  return { plan, line, report, solution };
}

/**
 * @param pieces of the rig that are solved already; kept up to date
 * @returns null where the line cannot be solved
 */
export function taught(
  lesson: LineLesson,
  plan: Plan,
  lineId: string,
  turned: Turned,
  pieces: Pieces = new Map()
): Taught | null {
  const at = solvedAt(turnedPlan(lesson, plan, lineId, turned), lineId, pieces);
  if (!at) return null;
  return {
    report: at.report,
    reads: lesson.reads(at),
    byHand: lesson.byHand?.(at) ?? null,
    figures: lesson.figures(at).filter((f) => Number.isFinite(f.value))
  };
}

/** Points of a slider's way. */
const POINTS = 33;
export const placesOf = ({ low, high, log, choices }: Knob): readonly number[] =>
  choices
    ? choices.map((_, k) => k)
    : Array.from({ length: POINTS }, (_, k) => {
        const t = k / (POINTS - 1);
        return log ? low * (high / low) ** t : low + t * (high - low);
      });

/** What is read over the whole way of the knob that a lesson draws; null where it draws a response. */
export function sweepOf(lesson: LineLesson, plan: Plan, lineId: string, turned: Turned): Sweep | null {
  const knob = knobsOn(lesson, plan, lineId).find((k) => k.knob.id === lesson.draws)?.knob;
  if (!knob) return null;
  const x = placesOf(knob);
  const pieces: Pieces = new Map();
  const y = x.map((place) => {
    const to = knob.choices ? knob.choices[place] : place;
    return taught(lesson, plan, lineId, { ...turned, [knob.id]: to }, new Map(pieces))?.reads ?? NaN;
  });
  return { knob: knob.id, x, y };
}
