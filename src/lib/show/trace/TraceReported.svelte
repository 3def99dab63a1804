<script lang="ts">
  import { trace as says } from '$core/words/screen/trace';
  import type { Answer, Ask } from '$core/trace/infer';
  import type { Snippet } from 'svelte';
  import { answerText, cureOfAsk } from '$core/words/tracing';

  interface Told {
    readonly ask: Ask;
    /** Null where it could not be told. */
    readonly answer: Answer | null;
  }
  interface Props {
    title: string;
    told: readonly Told[];
    /** What is said below each. */
    beside?: Snippet<[number]>;
  }
  /** What was asked and tried so far, and what came of it. */
  const { title, told, beside }: Props = $props();
</script>

<h2 class="heading mt-4 border-b border-base-300 pb-1">{title}</h2>
<ol>
  {#each told as t, k (t.ask)}
    <li class="border-b border-base-300 py-1.5 leading-snug" data-asked={t.ask}>
      {cureOfAsk(t.ask)}
      <span class="font-semibold">{t.answer ? answerText(t.answer) : says.cannotBeTold}</span>
      {@render beside?.(k)}
    </li>
  {/each}
</ol>
