<script lang="ts">
  import { focusIfLost } from '$lib/ui/focus-if-lost';
  import { trace as says } from '$core/words/screen/trace';
  import type { Word } from '$core/trace/infer';
  import type { Question, Suspect } from '$core/trace/view';
  import { askText, whyAsk, wordText } from '$core/words/tracing';

  interface Props {
    question: Question;
    name: (s: Suspect) => string;
    onanswer: (is: Word) => void;
    onskip: () => void;
  }
  /** One test a screen: what to do, why this one, and what each answer would mean. */
  const { question, name, onanswer, onskip }: Props = $props();
  let asked: HTMLElement;
  // The answer that was pressed is gone with its question.
  $effect(() => {
    void question.ask;
    void focusIfLost(() => asked);
  });
</script>

<section bind:this={asked} tabindex="-1" class="outline-none" data-ask={question.ask}>
  <h2 class="text-[1.5em] leading-snug font-bold">{askText(question.ask)}</h2>
  <p class="pt-1 leading-snug text-quiet">{whyAsk(question, name)}</p>
  <ul class="mt-4 grid gap-2">
    {#each question.answers as answer (answer.is)}
      <li class="flex">
        <button
          type="button"
          class="btn h-auto min-h-14 flex-1 flex-col items-start justify-center gap-0 px-4 py-2 text-left leading-snug"
          data-answer={answer.is}
          onclick={() => onanswer(answer.is)}
        >
          <span class="text-[1.1em]">{wordText(question.ask, answer.is)}</span>
          <span class="text-[0.86em] font-normal text-quiet">{says.speaksFor(name(answer.suspect))}</span>
        </button>
      </li>
    {/each}
  </ul>
  <button type="button" class="btn mt-2 min-h-12 w-full btn-ghost" onclick={onskip}>{says.notSureOrNotNow}</button>
</section>
