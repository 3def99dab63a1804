import type { Hypothesis } from './hypotheses';
import { type Answer, Trace, type Ask } from './infer';
import { Stagehand } from './stagehand';
import type { FaultyRig } from './rigs';

/** A trace that went on until it was sure enough, or nothing more would tell. */

export interface Traced {
  readonly asks: readonly Ask[];
  readonly minutes: number;
  readonly cause: Hypothesis;
  readonly share: number;
}
/** Sure enough to stop; and as long as anybody asks. */
export const SURE = 0.9;
/** That it is nothing of all this is never as sure, and asked for no longer. */
const SURE_OF_NONE = 0.8;
const MOST_ASKS = 12;
/** A question that tells less than this is not asked, bits. */
export const LEAST_BITS = 0.05;
/** Goes through a trace of a simulated rig by what tells most. */
export const traced = (
  rig: FaultyRig,
  hand: Stagehand = new Stagehand(rig),
  trace: Trace = new Trace(rig.plan, rig.line)
): Traced => tracedBy(trace, (ask) => hand.answer(ask));

/** Goes through a trace by what tells most. @param says what somebody at the rig answers; null when they cannot tell */
export function tracedBy(trace: Trace, says: (ask: Ask) => Answer | null): Traced {
  const answers: Answer[] = [];
  const skipped = new Set<Ask>();
  const asks: Ask[] = [];
  let minutes = 0;
  for (;;) {
    const beliefs = trace.beliefs(answers);
    const [{ hypothesis, share }] = beliefs;
    const sure = share >= (hypothesis.code === 'none' ? SURE_OF_NONE : SURE);
    const [next] = sure || asks.length >= MOST_ASKS ? [] : trace.next(beliefs, answers, skipped);
    if (!next || next.bits < LEAST_BITS) return { asks, minutes, cause: hypothesis, share };
    asks.push(next.ask);
    minutes += next.minutes;
    const answer = says(next.ask);
    if (answer) answers.push(answer);
    else skipped.add(next.ask);
  }
}

/** What is customary: lift everything, then change leads, then whatever is left; what made it quiet is taken for the cause. */
export const customary = (rig: FaultyRig, hand: Stagehand = new Stagehand(rig)): Traced =>
  customaryBy(new Trace(rig.plan, rig.line), (ask) => hand.answer(ask));

/** The same for any trace. @param says as of `tracedBy` */
export function customaryBy(trace: Trace, says: (ask: Ask) => Answer | null): Traced {
  const order: readonly Ask[] = [
    'lift',
    'swap-lead',
    'swap-run',
    'other-input',
    'other-supply',
    'source-battery',
    'box-battery',
    'dimmers-off',
    'turn',
    'touch'
  ];
  const means: Readonly<Partial<Record<Ask, readonly Hypothesis['code'][]>>> = {
    lift: ['loop'],
    'swap-lead': ['shield', 'contact', 'leg'],
    'swap-run': ['leg', 'shield', 'contact'],
    'other-input': ['wrong-input', 'pin-1'],
    'other-supply': ['loop'],
    'source-battery': ['supply'],
    'box-battery': ['starved'],
    'dimmers-off': ['dimmers'],
    turn: ['pickup'],
    touch: ['electric']
  };
  const cable = (ask: Ask): string => trace.line.cables[ask === 'swap-lead' ? 0 : trace.line.cables.length - 1];
  const asks: Ask[] = [];
  let minutes = 0;
  for (const ask of order) {
    const probe = trace.probes.find((p) => p.id === ask);
    if (!probe) continue;
    asks.push(ask);
    minutes += probe.minutes;
    const answer = says(ask);
    if (answer?.is !== 'gone' && answer?.is !== 'much-less') continue;
    const fits = trace.hypotheses.filter(
      (h) => means[ask]?.includes(h.code) && (!ask.startsWith('swap') || h.of === cable(ask))
    );
    const best = fits.sort((a, b) => b.prior - a.prior)[0];
    if (best) return { asks, minutes, cause: best, share: 0.5 };
  }
  return { asks, minutes, cause: [...trace.hypotheses].sort((a, b) => b.prior - a.prior)[0], share: 0.3 };
}
