import type { CauseCode, Hypothesis } from '../../trace/hypotheses';
import { isTold, Trace } from '../../trace/infer';
import { customaryBy, tracedBy, type Traced } from '../../trace/traced';
import type { Fault } from './faults';
import { type Found, foundAt } from './people';

/** What a trace makes of the stages of the second simulator. */

/** A cable that is broken is one cable, whichever conductor it is; of all else it matters which of several is meant. */
const CABLE: ReadonlySet<CauseCode> = new Set(['contact', 'shield', 'leg']);

function names(cause: Hypothesis, fault: Fault): boolean {
  if (cause.code !== fault.code && !fault.also.includes(cause.code)) return false;
  if (cause.of === null || fault.of === null || fault.code === 'dimmers') return true;
  return cause.of === fault.of || (cause.code !== fault.code && !CABLE.has(cause.code));
}

/** Whether what was named is there; of two faults either will do, and both together if one of them is. */
function isRight({ faults }: Found, { cause }: Traced): boolean {
  if (cause.code === 'several') return faults.length > 1 && faults.some((f) => cause.id.includes(f.code));
  return faults.some((f) => names(cause, f));
}

/** Tests that were tried; what is only asked takes nobody's hands. */
const triesOf = ({ asks }: Traced): number => asks.filter((ask) => !isTold(ask)).length;

export interface Score {
  readonly rigs: number;
  readonly right: number;
  /** Right, or "none of these" told. */
  readonly honest: number;
  readonly byCustom: number;
  readonly medianTests: number;
  readonly medianTestsByCustom: number;
  /** Shares of right ones, and how many, of what was told so surely: 90 % and more, 70 to 90 %. */
  readonly sure: { readonly told: number; readonly right: number };
  readonly likely: { readonly told: number; readonly right: number };
}

const middle = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1];

/** @param from first seed */
export function scoreOf(count: number, from = 1): Score {
  let [right, honest, byCustom] = [0, 0, 0];
  const sure = { told: 0, right: 0 };
  const likely = { told: 0, right: 0 };
  const tests: number[] = [];
  const customTests: number[] = [];
  for (let seed = from; seed < from + count; seed++) {
    const found = foundAt(seed);
    const trace = new Trace(found.stage.plan, found.line);
    const told = tracedBy(trace, found.answer);
    const ok = isRight(found, told);
    if (ok) right++;
    if (ok || told.cause.code === 'none') honest++;
    tests.push(triesOf(told));
    const custom = customaryBy(trace, found.answer);
    if (isRight(found, custom)) byCustom++;
    customTests.push(triesOf(custom));
    const claim = told.share >= 0.9 ? sure : told.share >= 0.7 ? likely : null;
    if (!claim) continue;
    claim.told++;
    if (ok) claim.right++;
  }
  return {
    rigs: count,
    right: right / count,
    honest: honest / count,
    byCustom: byCustom / count,
    medianTests: middle(tests),
    medianTestsByCustom: middle(customTests),
    sure: { ...sure, right: sure.right / sure.told },
    likely: { ...likely, right: likely.right / likely.told }
  };
}
