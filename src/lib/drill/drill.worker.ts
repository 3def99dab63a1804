import { judgeWhole } from '$core/judge/judge';
import { SolvedRig } from '$core/judge/solved-rig';
import type { Plan } from '$core/plan/schema';
import { type Asked, drillRig, type Lesson, lessonRig, type Score, scoreOf } from '$core/trace/drill';
import { type Answer, type Ask, soundIn, Trace } from '$core/trace/infer';
import { type FaultyRig } from '$core/trace/rigs';
import { Stagehand } from '$core/trace/stagehand';
import { type EarthMap, earthMap } from '$core/trace/map';
import { type TraceView, traceView } from '$core/trace/view';
import { toDbu } from '$core/units/quantity';
import { type Analysis, analyse } from '$core/sound/analyse';
import { noiseBeside, noiseOf } from '$core/sound/noise';
import { expose } from 'comlink';

/** A rig with a hidden fault: it stays here, and the screen asks. */
let rig: FaultyRig;
let hand: Stagehand;
let trace: Trace;

/** A rig as it is handed to somebody: as planned, and what its line reads at the input with nobody playing, dBu, weighted by the ear. */
export interface DrillRig {
  readonly plan: Plan;
  readonly lineId: string;
  readonly view: TraceView;
  readonly map: EarthMap;
  readonly reads: number;
  readonly foreseen: number;
}

/** Of a recording of a drill's noise. */
const SECONDS = 4;

const api = {
  begin(seed: number, level: number, lesson: Lesson | null): DrillRig {
    rig = lesson ? lessonRig(lesson) : drillRig(seed, level);
    hand = new Stagehand(rig);
    const whole = new SolvedRig(rig.plan);
    trace = new Trace(rig.plan, rig.line, whole);
    const dbuOf = ({ power }: { power: number }): number => toDbu(Math.sqrt(power));
    return {
      plan: rig.plan,
      lineId: rig.line.id,
      view: traceView(trace, [], []),
      map: earthMap(whole, new Map(judgeWhole(whole).map((r) => [r.id, r]))),
      reads: dbuOf(hand.sound().heard),
      foreseen: dbuOf(trace.heardIn({ plan: rig.plan })!)
    };
  },
  /** What somebody at the rig tells; null when they cannot. */
  ask: (ask: Ask): Answer | null => hand.answer(ask),
  /** The line's noise as samples, and what is in it. */
  listen(rate: number): { samples: Float32Array; found: Analysis } {
    const { heard, sound } = hand.sound();
    const samples = noiseOf(heard, sound, rig.plan.policy.mainsHz, rate, SECONDS);
    return { samples, found: analyse(samples, rate) };
  },
  /** The same while a test is done, at the gain at which the noise is heard; null where it cannot be done here. */
  listenAfter(ask: Ask, rate: number): { samples: Float32Array; found: Analysis } | null {
    const { heard, sound } = hand.sound();
    const after = hand.after(ask);
    if (!after) return null;
    const then = soundIn(rig.hidden, after);
    const [, samples] = noiseBeside(heard, after, [sound, then], rig.plan.policy.mainsHz, rate, SECONDS);
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
