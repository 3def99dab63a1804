<script lang="ts">
  import { tour as says } from '$core/words/screen/tour';
  import { problems } from '$core/judge/judge';
  import { useShow } from '$lib/show/session/context';
  import { useBoard } from './board-state.svelte';
  import { tourKept } from './tour-kept';

  /** Four steps on a first show of one's own, each done by doing it; it can be left at any time, and does not come back. */
  const { onleave }: { onleave: () => void } = $props();
  const board = useBoard();
  const show = useShow();
  /** Lines with something to fix when the tour saw them. */
  let wrong = $state(0);
  let opened = $state(false);
  let fixed = $state(false);
  const found = $derived(
    board.lines.reduce((sum, l) => {
      const report = show.judging?.reports.get(l.id);
      return sum + (report ? problems(report).length : 0);
    }, 0)
  );
  $effect(() => {
    if (board.openId !== null) opened = true;
  });
  $effect(() => {
    // A fix takes something away from what was found; more lines only add.
    if (opened && found < wrong) fixed = true;
    wrong = found;
  });
  const step = $derived(board.lines.length === 0 ? 0 : !opened ? 1 : !fixed && found > 0 ? 2 : 3);
  function leave(): void {
    tourKept.leave();
    onleave();
  }
</script>

<aside
  class="mx-5 mt-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 rounded-[9px] border border-primary bg-card px-4 py-2.5 leading-snug max-sm:mx-3.5"
  aria-label={says.tour}
  data-tour={step}
>
  <span class="text-quiet">{says.step(step + 1, says.steps.length)}</span>
  <span aria-live="polite" class="font-semibold">{says.steps[step]}</span>
  <button type="button" class="ml-auto link" onclick={leave}>{step === 3 ? says.done : says.leave}</button>
</aside>
