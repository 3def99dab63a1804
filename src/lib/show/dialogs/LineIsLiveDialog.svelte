<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { gatesFor, type Step } from '$core/linecheck/gates';
  import { applyEdit } from '$core/plan/edit';
  import type { Line } from '$core/plan/lines';
  import type { Op, Plan } from '$core/plan/schema';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { untrack } from 'svelte';
  import CheckGates from '$lib/show/check/CheckGates.svelte';
  import { applyRemedy, lineName } from '$lib/show/session/edits';

  interface Props {
    plan: Plan;
    line: Line;
    ops: readonly Op[];
    /** Makes the change in the plan. */
    onchange: () => void;
    onclose: () => void;
  }
  /** A line that has been checked is live: what is safe to do first stands in front of the change, and what follows behind it. */
  const { plan, line, ops, onchange, onclose }: Props = $props();

  // As they are when it is opened: the change itself must not move them.
  const gates = untrack(() => {
    const then = applyEdit(plan, applyRemedy(line, ops));
    return gatesFor(plan, line, ops, then.ok ? then.plan : plan);
  });
  const name = untrack(() => lineName(line));
  let before = $state.raw<ReadonlySet<Step>>(new Set());
  let after = $state.raw<ReadonlySet<Step>>(new Set());
  let changed = $state(false);
  const ready = $derived(gates.before.every((s) => before.has(s)));
</script>

<Dialog title={says.isLive(name)} {onclose}>
  <p>{says.itHasBeenCheckedTodayBefore}</p>
  <CheckGates steps={gates.before} passed={before} onpass={(now) => (before = now)} />
  <button
    type="button"
    class="btn mt-3 min-h-12 w-full btn-primary"
    disabled={!ready || changed}
    onclick={() => {
      onchange();
      changed = true;
    }}>{changed ? says.changedInThePlan : ready ? says.changeIt : says.stepsFirst}</button
  >
  {#if changed}
    <p class="pt-3">{says.onceItIsDoneOnThe}</p>
    <CheckGates steps={gates.after} passed={after} onpass={(now) => (after = now)} />
  {/if}
</Dialog>
