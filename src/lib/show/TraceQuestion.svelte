<script lang="ts">
  import type { Sound } from '$core/trace/hypotheses';
  import type { Word } from '$core/trace/infer';
  import type { Question, Suspect } from '$core/trace/view';
  import { askText, whyAsk, wordText } from '$core/words/tracing';
  import { toast } from 'svelte-sonner';
  import { playExample } from './play';

  interface Props {
    question: Question;
    mainsHz: number;
    name: (s: Suspect) => string;
    onanswer: (is: Word) => void;
    onskip: () => void;
  }
  /** One test a screen: what to do, why this one, and what each answer would mean. */
  const { question, mainsHz, name, onanswer, onskip }: Props = $props();

  async function play(sound: Sound): Promise<void> {
    if (!(await playExample(sound, mainsHz))) toast.error('No sound can be played here.');
  }
</script>

<section data-ask={question.ask}>
  <h2 class="text-[1.5em] leading-snug font-bold">{askText(question.ask)}</h2>
  <p class="pt-1 leading-snug text-quiet">{whyAsk(question, name)}</p>
  <ul class="mt-4 grid gap-2">
    {#each question.answers as answer (answer.is)}
      <li class="flex gap-2">
        {#if question.ask === 'sound'}
          <button
            type="button"
            class="btn min-h-14 w-16"
            aria-label="Hear {wordText(question.ask, answer.is)}"
            onclick={() => void play(answer.is as Sound)}>hear</button
          >
        {/if}
        <button
          type="button"
          class="btn h-auto min-h-14 flex-1 flex-col items-start justify-center gap-0 px-4 py-2 text-left leading-snug"
          data-answer={answer.is}
          onclick={() => onanswer(answer.is)}
        >
          <span class="text-[1.1em]">{wordText(question.ask, answer.is)}</span>
          <span class="text-[0.86em] font-normal text-quiet">speaks for: {name(answer.suspect)}</span>
        </button>
      </li>
    {/each}
  </ul>
  <button type="button" class="btn mt-2 min-h-12 w-full btn-ghost" onclick={onskip}>Not sure, or not now</button>
</section>
