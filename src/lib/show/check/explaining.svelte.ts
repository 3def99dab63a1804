import type { Cause } from '$core/linecheck/cause';
import type { Asked } from '$core/linecheck/explain';
import type { PairCause } from '$core/linecheck/pair';
import type { PairReading } from '$core/linecheck/pair-reading';
import type { Pair } from '$core/judge/pairs';
import type { Plan } from '$core/plan/schema';
import { asFailed, type Computed } from '$lib/show/session/failed';
import type { Judging } from '$lib/show/session/judging.svelte';

interface By {
  readonly judging: Judging;
  readonly plan: Plan;
}

/** What is other than planned, explained by solving what it may be; the newest question counts. Made while a component is. */
export class Explaining {
  causes = $state.raw<Computed<readonly Cause[]>>(null);
  pairCauses = $state.raw<Computed<readonly PairCause[]>>(null);

  /**
   * @param by what solves, null before the page runs in a browser
   * @param line the line and what was read of it, null while it is as planned
   * @param pair the same of two sides of a pair
   */
  constructor(
    by: () => By | null,
    line: () => { readonly lineId: string; readonly reading: Asked } | null,
    pair: () => { readonly pair: Pair; readonly read: PairReading } | null
  ) {
    newest(
      by,
      line,
      ({ judging, plan }, { lineId, reading }) => judging.explain(plan, lineId, reading),
      (found) => (this.causes = found),
      'explain'
    );
    newest(
      by,
      pair,
      ({ judging, plan }, { pair: of, read }) => judging.explainPair(plan, of, read),
      (found) => (this.pairCauses = found),
      'explainPair'
    );
  }
}

/** Asks whenever the question changes; an answer to an older one is left. What stood before stays until then, unless there is nothing to ask. */
function newest<Q, A>(
  by: () => By | null,
  question: () => Q | null,
  ask: (by: By, question: Q) => Promise<A>,
  give: (answer: Computed<A>) => void,
  what: string
): void {
  let turn = 0;
  $effect(() => {
    const [solves, asked] = [by(), question()];
    const mine = ++turn;
    if (!solves || asked === null) return give(null);
    void ask(solves, asked)
      .then((found) => mine === turn && give(found))
      .catch((reason: unknown) => mine === turn && give(asFailed(reason, what)));
  });
}
