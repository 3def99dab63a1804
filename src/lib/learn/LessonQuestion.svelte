<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { LESSON_TEXTS } from '$core/words/lessons';
  import { verdict } from '$core/words/findings';
  import type { LessonId } from '$core/lessons/types';
  import Mark from '$lib/ui/Mark.svelte';
  import type { LessonApi } from './lesson.worker';

  interface Props {
    id: LessonId;
    /** What the judge says of each way; null where the lesson is not about a line. */
    answers: (() => Promise<Awaited<ReturnType<LessonApi['answers']>>>) | null;
    onright: () => void;
  }
  /** The decision at the end. */
  const { id, answers, onright }: Props = $props();
  const told = $derived(LESSON_TEXTS[id]);
  type Judged = Awaited<ReturnType<LessonApi['answers']>>;
  let judged = $state.raw<Judged | null>(null);
  let chosen = $state<number | null>(null);
  /** Without a line the first is right. */
  const right = $derived(judged?.right ?? 0);

  async function choose(k: number): Promise<void> {
    if (answers) judged ??= await answers();
    chosen = k;
    if (k === (judged?.right ?? 0)) onright();
  }
</script>

<section class="rounded-[7px] border border-base-300 bg-card p-4" aria-labelledby="decide-{id}">
  <h2 class="heading" id="decide-{id}">{says.decide}</h2>
  <p class="pb-2 text-[1.1em] leading-snug font-semibold">{told.asks}</p>
  <ul class="grid gap-2">
    {#each told.options as text, k (text)}
      {@const of = judged?.options[k]}
      <li>
        <button
          type="button"
          class="btn h-auto min-h-11 w-full justify-start px-3 py-2 text-left leading-snug font-normal {chosen === k
            ? 'btn-primary'
            : ''}"
          aria-pressed={chosen === k}
          onclick={() => void choose(k)}
          data-option={k}
          >{text}{#if of && chosen !== null}<span class="ml-auto flex items-baseline gap-1.5 pl-3 whitespace-nowrap"
              ><Mark severity={of.report.severity} />{verdict(of.report)}</span
            >{/if}</button
        >
      </li>
    {/each}
  </ul>
  <p class="pt-3 leading-snug" role="status" data-answer={chosen === null ? undefined : chosen === right}>
    {#if chosen !== null}
      <strong>{chosen === right ? says.right : says.notBest}</strong>
      {#if chosen === right}{told.because}{/if}
    {/if}
  </p>
</section>
