<script lang="ts">
  import type { Lesson, Score } from '$core/trace/drill';
  import { formatNumber } from '$core/units/format';
  import { LESSON_TEXTS } from '$core/words/drill';
  import { counted } from '$core/words/screen/counted';
  import { drill as says } from '$core/words/screen/drill';
  import { cureOfAsk } from '$core/words/tracing';
  import type { Snippet } from 'svelte';

  interface Props {
    score: Score;
    /** What it was, in words. */
    hidden: string;
    tests: number;
    lesson: Lesson | null;
    children: Snippet;
  }
  /** How a rig was traced, beside the shortest way. */
  const { score, hidden, tests, lesson, children }: Props = $props();
</script>

<div
  class="mt-4 border-l-4 pl-4 {score.right ? 'border-primary' : 'border-error'}"
  role="status"
  data-score={score.points}
>
  <p class="text-[1.3em] font-bold">{score.right ? says.foundPoints(score.points) : says.notThat}</p>
  <p class="pt-1">{hidden}</p>
  <p class="pt-1 text-quiet">
    {says.minutesByWhichTheEvidenceHad(
      tests,
      counted.test(tests),
      formatNumber(score.minutes, 1),
      formatNumber(score.share * 100),
      score.best.asks.length,
      formatNumber(score.best.minutes, 1),
      score.best.asks.map((a) => cureOfAsk(a).replace(/[.?]$/, '').toLowerCase()).join('; ')
    )}
  </p>
  {#if score.cure}<p class="pt-1">{says.curedBy(cureOfAsk(score.cure).replace(/[.?]$/, ''))}</p>{/if}
  {#if lesson}<p class="pt-2 leading-snug">
      <strong>{LESSON_TEXTS[lesson].title}.</strong>
      {LESSON_TEXTS[lesson].teaches}
    </p>{/if}
  <div class="flex flex-wrap gap-2 pt-3">
    {@render children()}
  </div>
</div>
