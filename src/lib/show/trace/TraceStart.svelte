<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import { formatNumber } from '$core/units/format';
  import { CAUTION_TEXTS } from '$core/words/check';
  import { trace as says } from '$core/words/screen/trace';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import TraceFound from './TraceFound.svelte';
  import type { Found } from './trace-log.svelte';

  interface Props {
    lines: readonly Line[];
    found: readonly Found[];
    onpick: (line: string) => void;
  }
  /** Which line it is, and what was found before. */
  const { lines, found, onpick }: Props = $props();
  const show = useShow();
  const plan = $derived(show.session.plan);
  const reports = $derived(show.judging?.reports ?? new Map());
</script>

<div class="grid gap-x-10 gap-y-6 md:grid-cols-2">
  <section>
    <h2 class="text-[1.5em] font-bold">{says.whichLineMakesTheNoise}</h2>
    <p class="text-quiet">{says.theLoudestWillDo(CAUTION_TEXTS.tingle)}</p>
    <ul class="mt-3 grid gap-2">
      {#each lines as l (l.id)}
        {@const hum = reports.get(l.id)?.hum}
        <li>
          <button
            type="button"
            class="btn h-auto min-h-14 w-full justify-between gap-3 px-4 py-2 text-left"
            onclick={() => onpick(l.id)}
            ><span class="min-w-0">{l.info?.channel ? `${l.info.channel}  ` : ''}{lineName(l)}</span>{#if hum}<span
                class="num shrink-0 text-[0.86em] font-normal text-quiet max-sm:w-[18ch]"
                >{says.humForeseenDbUnder(formatNumber(hum.below))}</span
              >{/if}</button
          >
        </li>
      {:else}
        <li class="py-8 text-quiet">
          {says.noCompleteLineYet} <a class="text-primary underline" href="/show/{show.id}">{says.sayOne}</a>.
        </li>
      {/each}
    </ul>
  </section>
  <section>
    <h2 class="heading border-b border-base-300 pb-1">{says.foundBefore}</h2>
    <ul>
      {#each found as r (r.id)}
        <li class="border-b border-base-300 py-2 leading-snug" data-found>
          <TraceFound record={r} name={plan.lines[r.lineId]?.name ?? says.aLineThatIsGone} />
        </li>
      {:else}
        <li class="py-2 text-quiet">{says.nothingYetWhatIsFoundIs}</li>
      {/each}
    </ul>
    <p class="pt-3 text-quiet">
      {says.aRecordingOfItOrThe}
      <a class="underline" href="/show/{show.id}/analyse">{says.listenToIt}</a>{says.toPractiseWithoutAStage}
      <a class="underline" href="/drill">{says.drill}</a>.
    </p>
  </section>
</div>
