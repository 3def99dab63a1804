<script lang="ts">
  import type { Ask } from '$core/trace/infer';
  import type { Question } from '$core/trace/view';
  import { askText } from '$core/words/tracing';

  interface Props {
    questions: readonly Question[];
    /** What stands at the right of each. */
    figure: (q: Question) => string;
    disabled?: boolean;
    onpick: (ask: Ask, minutes: number) => void;
  }
  /** What can be tried, to pick from. */
  const { questions, figure, disabled = false, onpick }: Props = $props();
</script>

<ul class="grid gap-1.5">
  {#each questions as q (q.ask)}
    <li>
      <button
        type="button"
        class="btn h-auto min-h-12 w-full justify-between gap-3 px-4 py-2 text-left font-normal"
        {disabled}
        data-do={q.ask}
        onclick={() => onpick(q.ask, q.minutes)}
        ><span>{askText(q.ask)}</span><span class="num whitespace-nowrap text-quiet">{figure(q)}</span></button
      >
    </li>
  {/each}
</ul>
