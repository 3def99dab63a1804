<script lang="ts">
  import { formatNumber } from '$core/units/format';
  import { sureText } from '$core/words/check';
  import { counted } from '$core/words/screen/counted';
  import { trace as says } from '$core/words/screen/trace';
  import { cureOfAsk } from '$core/words/tracing';
  import { dateTime } from '$lib/ui/when';
  import TraceReported from './TraceReported.svelte';
  import type { Found } from './trace-log.svelte';

  interface Props {
    record: Found;
    /** Of the line. */
    name: string;
  }
  /** A noise that was traced: what it was, and opened how it was found and what cured it. */
  const { record: r, name }: Props = $props();
  const told = $derived([
    ...r.answers.map((answer) => ({ ask: answer.ask, answer })),
    ...(r.skipped ?? []).map((ask) => ({ ask, answer: null }))
  ]);
</script>

<details>
  <summary class="cursor-pointer">
    <span class="font-semibold">{name}</span>: {r.cause}
    <span class="block text-[0.93em] text-quiet"
      >{sureText(r)}, {r.answers.length}
      {counted.answer(r.answers.length)}, {dateTime(r.at)}{r.by ? `, ${r.by}` : ''}{r.seconds === undefined
        ? ''
        : `, ${says.tookMinutes(formatNumber(Math.max(r.seconds / 60, 1)))}`}</span
    >
  </summary>
  {#if r.cured !== undefined}
    <p class="pt-2">{r.cured ? says.curedBy(cureOfAsk(r.cured)) : says.nothingCuredIt}</p>
  {/if}
  {#if r.note}<p class="pt-2 whitespace-pre-line">{r.note}</p>{/if}
  {#if r.besides && r.besides.length > 0}
    <h3 class="heading mt-3">{says.orElse}</h3>
    <ul>
      {#each r.besides as s (s.cause)}
        <li class="py-0.5 leading-snug">{says.percentOf(s.cause, formatNumber(s.share * 100))}</li>
      {/each}
    </ul>
  {/if}
  {#if told.length > 0}<TraceReported title={says.whatWasReported} {told} />{/if}
</details>
