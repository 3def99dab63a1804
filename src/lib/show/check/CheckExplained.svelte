<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { type Cause, grouped } from '$core/linecheck/cause';
  import type { PairCause } from '$core/linecheck/pair';
  import { type Computed, Failed } from '$lib/show/session/failed';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import { formatNumber } from '$core/units/format';
  import { differenceText, pairCauseText, sureText } from '$core/words/check';

  interface Props {
    /** Gain beyond what is expected, dB. */
    over: number;
    moreHum: boolean;
    pairOff: boolean;
    /** Null while they are being solved. */
    causes: Computed<readonly Cause[]>;
    pairCauses: Computed<readonly PairCause[]>;
    nameOf: (line: string) => string;
  }
  /** What is other than planned, and what would explain it best. */
  const { over, moreHum, pairOff, causes, pairCauses, nameOf }: Props = $props();

  const listOf = <T,>(computed: Computed<readonly T[]>): readonly T[] =>
    computed === null || computed instanceof Failed ? [] : computed;
  const failed = $derived([causes, pairCauses].find((c) => c instanceof Failed));
  const WORTH_NAMING = 0.08;
  const lines = $derived([
    ...grouped(listOf(causes))
      .filter((c) => c.share >= WORTH_NAMING)
      .slice(0, 3)
      .map((c) => ({ code: c.what.code, text: differenceText(c.what, nameOf), share: c.share })),
    ...(pairOff ? listOf(pairCauses) : [])
      .filter((c) => c.share >= WORTH_NAMING && c.what.code !== 'as-planned')
      .slice(0, 4)
      .map((c) => ({ code: c.what.code, text: pairCauseText(c, nameOf), share: c.share }))
  ]);
</script>

<section
  class="mt-3 rounded-[9px] border-l-4 border-warning bg-base-200 px-3 py-2 leading-snug"
  aria-live="polite"
  data-explained
>
  {#if over !== 0}
    <p class="font-semibold">
      {says.dbGainThanExpected(formatNumber(Math.abs(over)), over > 0 ? says.more : says.less)}
    </p>
  {/if}
  {#if moreHum}<p class="font-semibold">{says.moreHumThanForeseen}</p>{/if}
  {#if pairOff}<p class="font-semibold">{says.theTwoSidesDoNotDo}</p>{/if}
  {#if failed instanceof Failed}
    <NotComputed {failed} what={says.whatExplainsIt} />
  {:else if (causes ?? pairCauses) === null}
    <p class="text-quiet">{says.solvingWhatItMayBe}</p>
  {:else}
    <ul>
      {#each lines as c, k (k)}
        <li class="py-0.5" data-cause={c.code}>{c.text} <span class="text-quiet">({sureText(c)})</span></li>
      {/each}
    </ul>
  {/if}
</section>
