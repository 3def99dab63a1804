import { throughLine } from '$core/hear/through-line';
import { madeSound } from '$core/hear/sounds';
import type { Pieces } from '$core/judge/solved-rig';
import type { Severity } from '$core/judge/types';
import { lineLesson } from '$core/lessons/lessons';
import { answered, casesOf, type Exercise, exerciseOf, type Option } from '$core/lessons/question';
import {
  canShow,
  knobsOn,
  madeLine,
  type Sweep,
  sweepOf,
  type Taught,
  taught,
  type Turned,
  turnedPlan
} from '$core/lessons/solve';
import type { Knob, LessonId, LineLesson, Measure } from '$core/lessons/types';
import { resolve } from '$core/plan/resolved';
import type { Plan } from '$core/plan/schema';
import { expose, transfer } from 'comlink';

/** A lesson's line, solved beside the page while it is turned. */

export interface LineOf {
  readonly plan: Plan;
  readonly lineId: string;
}
export interface Way {
  readonly reads: number;
  readonly severity: Severity;
}
export interface Begun {
  /** Whether it is the line that was asked for, or a made one. */
  readonly own: boolean;
  readonly knobs: readonly (Omit<Knob, 'on'> & { readonly value: number | string; readonly behind: boolean })[];
  readonly measure: Measure;
  readonly drawsResponse: boolean;
  /** Of several ways of doing one thing: what each comes to. */
  readonly ways: readonly Way[];
  readonly sounds: boolean;
}

let on: LineOf | null = null;
const pieces: Pieces = new Map();

function wayOf(lesson: LineLesson, k: number): Way {
  const { plan, lineId } = madeLine(lesson, k);
  const { reads, report } = taught(lesson, plan, lineId, {})!;
  return { reads, severity: report.severity };
}

const api = {
  /** @param own the user's own line; null for the made one @param way which way of several */
  begin(id: LessonId, own: LineOf | null, way: number): Begun {
    const lesson = lineLesson(id)!;
    pieces.clear();
    const fits = own !== null && canShow(lesson, own.plan, own.lineId);
    on = fits ? own : madeLine(lesson, way);
    return {
      own: fits,
      knobs: knobsOn(lesson, on.plan, on.lineId).map(({ knob: { on: _, ...knob }, value, behind }) => ({
        ...knob,
        value,
        behind
      })),
      measure: lesson.measure,
      drawsResponse: lesson.draws === 'response',
      ways: lesson.ways.length > 1 ? lesson.ways.map((_, k) => wayOf(lesson, k)) : [],
      sounds: lesson.sound !== null
    };
  },
  /** Null where it cannot be solved. */
  taught: (id: LessonId, turned: Turned): Taught | null =>
    on && taught(lineLesson(id)!, on.plan, on.lineId, turned, pieces),
  sweep: (id: LessonId, turned: Turned): Sweep | null => on && sweepOf(lineLesson(id)!, on.plan, on.lineId, turned),
  /** The line as it is turned, as it sounds. @param rate samples a second */
  sound(id: LessonId, turned: Turned, rate: number): Float32Array | null {
    const lesson = lineLesson(id)!;
    if (!on || !lesson.sound) return null;
    const plan = turnedPlan(lesson, on.plan, on.lineId, turned);
    const line = resolve(plan).line(on.lineId)!;
    const how = { rate, noises: lesson.sound.noises, amp: false };
    const samples = throughLine(how, { plan, line }, madeSound(lesson.sound.id, rate), pieces);
    return transfer(samples, [samples.buffer]);
  },
  answers: (id: LessonId): { options: readonly Option[]; right: number } => answered(lineLesson(id)!),
  exercises: (id: LessonId): Exercise[] => casesOf(id).map(exerciseOf)
};
export type LessonApi = typeof api;
expose(api);
