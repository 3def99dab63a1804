import type { Plan } from '$core/plan/schema';
import { type Asked, drillRig, type Lesson, lessonRig, type Score, scoreOf } from '$core/trace/drill';
import { type Answer, type Ask, Trace } from '$core/trace/infer';
import { type FaultyRig, Stagehand } from '$core/trace/rigs';
import { type TraceView, traceView } from '$core/trace/view';
import { type Analysis, analyse } from '$core/sound/analyse';
import { noiseOf } from '$core/sound/noise';
import { expose } from 'comlink';

/** A rig with a hidden fault: it stays here, and the screen asks. */
let rig: FaultyRig;
let hand: Stagehand;
let trace: Trace;

/** Of a recording of a drill's noise. */
const SECONDS = 4;

const api = {
  begin(seed: number, level: number, lesson: Lesson | null): { plan: Plan; lineId: string; view: TraceView } {
    rig = lesson ? lessonRig(lesson) : drillRig(seed, level);
    hand = new Stagehand(rig);
    trace = new Trace(rig.plan, rig.line);
    return { plan: rig.plan, lineId: rig.line.id, view: traceView(trace, [], []) };
  },
  /** What somebody at the rig tells; null when they cannot. */
  ask: (ask: Ask): Answer | null => hand.answer(ask),
  /** The line's noise as samples, and what is in it. */
  listen(rate: number): { samples: Float32Array; found: Analysis } {
    const { heard, sound } = hand.sound();
    const samples = noiseOf(heard, sound, rig.plan.policy.mainsHz, rate, SECONDS);
    return { samples, found: analyse(samples, rate) };
  },
  view: (answers: Answer[], skipped: Ask[]): TraceView => traceView(trace, answers, skipped),
  finish: (
    asked: Asked[],
    causeId: string
  ): { score: Score; hidden: { id: string; code: string; of: string | null } } => ({
    score: scoreOf(rig, asked, causeId),
    hidden: { id: rig.hidden.id, code: rig.hidden.code, of: rig.hidden.of }
  })
};
export type DrillApi = typeof api;
expose(api);
