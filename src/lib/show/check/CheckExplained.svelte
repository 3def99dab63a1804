<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { type Cause, grouped } from '$core/linecheck/cause';
  import type { PairCause } from '$core/linecheck/pair';
  import { type Computed, Failed } from '$lib/show/session/failed';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import { formatNumber } from '$core/units/format';
  import { differenceText, pairCauseText, quickCheck, sureText } from '$core/words/check';

  interface Props {
    /** Gain beyond what is expected, dB. */
    over: number;
    moreHum: boolean;
    pairOff: boolean;
    /** Null while they are being solved. */
    causes: Computed<readonly Cause[]>;
    pairCauses: Computed<readonly PairCause[]>;
    /** It does not sound as it should: that it is as planned explains nothing. */
    wrong: boolean;
    /** Where it distorts first; null where it does not distort. */
    clips: string | null;
    /** Where the hum is traced, with what is known of it. */
    traceAt: string;
    nameOf: (line: string) => string;
    onfound: (text: string) => void;
  }
  /** What is other than planned, and what would explain it best. */
  const { over, moreHum, pairOff, causes, pairCauses, wrong, clips, traceAt, nameOf, onfound }: Props = $props();

  const listOf = <T,>(computed: Computed<readonly T[]>): readonly T[] =>
    computed === null || computed instanceof Failed ? [] : computed;
  const failed = $derived([causes, pairCauses].find((c) => c instanceof Failed));
  const WORTH_NAMING = 0.05;
  const MOST = 4;
  const lines = $derived([
    ...grouped(listOf(causes))
      .filter((c) => c.share >= WORTH_NAMING && !(wrong && c.what.code === 'as-planned'))
      .slice(0, MOST)
      .map((c) => ({ what: c.what, text: differenceText(c.what, nameOf), share: c.share })),
    ...(pairOff ? listOf(pairCauses) : [])
      .filter((c) => c.share >= WORTH_NAMING && c.what.code !== 'as-planned')
      .slice(0, MOST)
      .map((c) => ({ what: c.what, text: pairCauseText(c, nameOf), share: c.share }))
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
  {#if moreHum}
    <p class="font-semibold">{says.moreHumThanForeseen}</p>
    <a class="inline-flex min-h-11 items-center text-primary underline" href={traceAt}>{says.traceThisHum}</a>
  {/if}
  {#if pairOff}<p class="font-semibold">{says.theTwoSidesDoNotDo}</p>{/if}
  {#if clips}<p class="pb-1" data-clips>{clips}</p>{/if}
  {#if failed instanceof Failed}
    <NotComputed {failed} what={says.whatExplainsIt} />
  {:else if (causes ?? pairCauses) === null}
    <p class="text-quiet">{says.solvingWhatItMayBe}</p>
  {:else}
    <ul>
      {#each lines as c, k (k)}
        {@const check = quickCheck(c.what)}
        <li class="grid grid-cols-[1fr_auto] items-start gap-x-2 py-1" data-cause={c.what.code}>
          <span
            >{c.text} <span class="text-quiet">({sureText(c)})</span>{#if check}<span class="block text-quiet"
                >{check}</span
              >{/if}</span
          >
          {#if c.what.code !== 'as-planned'}
            <button type="button" class="btn min-h-11 px-2" onclick={() => onfound(c.text)}>{says.thatWasIt}</button>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>
