<script lang="ts">
  import { BETWEEN } from '$core/words/screen/shown';
  import { lessons as says } from '$core/words/screen/lessons';
  import { figureName, figureValue, formulaText, readingText, READS } from '$core/words/lesson-figures';
  import { verdict } from '$core/words/findings';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import type { LessonDesk } from './lesson-desk.svelte';

  /** What the network says of the line as it is turned, the formula with the numbers in it, and the judge. */
  const { desk }: { desk: LessonDesk } = $props();
  const now = $derived(desk.now);
  const measure = $derived(desk.begun!.measure);
  const byHand = $derived(now?.byHand ? formulaText(desk.id, measure, now.byHand) : null);
</script>

{#if now}
  <div class="grid grid-cols-[auto_1fr] items-baseline gap-x-6 gap-y-3 max-sm:grid-cols-1">
    <p data-reads>
      <span class="block text-[0.93em] text-quiet">{READS[desk.id]}</span>
      <span class="num text-[2em] leading-tight font-bold">{readingText(desk.id, measure, now.reads)}</span>
    </p>
    {#if byHand}
      <p class="leading-snug" data-by-hand>
        <span class="block text-[0.93em] text-quiet">{says.byHand}: {byHand.formula}</span>
        <span class="num">
          {#each byHand.inputs as [name, value], k (name)}{#if k > 0}{BETWEEN}{/if}<span class="whitespace-nowrap"
              ><span class="text-quiet">{name}</span> {value}</span
            >{/each}
          <span class="whitespace-nowrap">→ <strong>{byHand.result}</strong></span>
        </span>
      </p>
    {/if}
  </div>
  <p class="flex flex-wrap items-center gap-x-5 gap-y-1">
    <span class="flex items-center gap-1.5" data-judged={now.report.severity}
      ><Mark severity={now.report.severity} /><span class="text-quiet">{says.verdict}</span>
      <span class={SEVERITY_TEXT[now.report.severity]}>{verdict(now.report)}</span></span
    >
    {#each now.figures as figure (figure.name)}
      <span class="whitespace-nowrap"
        ><span class="text-quiet">{figureName(desk.id, figure.name)}</span>
        <span class="num">{figureValue(figure)}</span></span
      >
    {/each}
  </p>
{:else if desk.failed}
  <p role="alert">{says.failed}</p>
{:else}
  <p class="text-quiet" aria-live="polite">{says.computing}</p>
{/if}
