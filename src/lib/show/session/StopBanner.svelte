<script lang="ts">
  import { session as says } from '$core/words/screen/session';
  import { dateTime } from '$lib/ui/when';
  import { useShow } from './context';

  const show = useShow();
  const open = $derived(show.stops.open);
  const newest = $derived(open[0]);
  const where = (lineId: string | null): string =>
    (lineId && show.session.plan.lines[lineId]?.name) || says.somewhereOnStage;

  let clearing = $state(false);
</script>

{#if newest}
  <section
    class="sticky top-0 z-40 border-y-4 border-danger bg-card px-5 py-3 max-sm:px-3.5"
    role="alert"
    aria-label={says.stopOfTheCrew}
    data-stop
  >
    <h2 class="text-[1.6em] leading-tight font-bold text-danger">{says.stopAt(where(newest.lineId))}</h2>
    <p class="pt-1 font-semibold">{says.keepAwayKeepOthersAway}</p>
    <p class="pt-1">{says.electricianFirst}</p>
    <p class="flex flex-wrap items-center gap-x-4 gap-y-2 pt-2 text-quiet">
      <span
        >{says.calledBy(newest.by ?? says.thisDevice, dateTime(new Date(newest.at).toISOString()))}{open.length > 1
          ? says.andMoreStops(open.length - 1)
          : ''}</span
      >
      {#if show.stops.mayClear(newest)}
        <button
          type="button"
          class="btn border-2 border-danger btn-sm max-sm:min-h-11"
          onclick={() => (clearing = true)}>{says.clearTheStop}</button
        >
      {/if}
    </p>
  </section>
{/if}
{#if clearing && newest}
  {#await import('./StopClear.svelte') then { default: StopClear }}<StopClear
      onclose={() => (clearing = false)}
    />{/await}
{/if}
