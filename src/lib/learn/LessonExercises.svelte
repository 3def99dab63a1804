<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { sentence } from '$core/words/findings';
  import { codeName } from '$core/words/codes';
  import { SEVERITY_NAMES } from '$core/words/names';
  import type { Exercise } from '$core/lessons/question';
  import type { Code } from '$core/judge/types';
  import Mark from '$lib/ui/Mark.svelte';

  /** Cases of the casebook: what is wrong here? The same judge answers. */
  const { exercises }: { exercises: readonly Exercise[] } = $props();
  let at = $state(0);
  let chosen = $state<Code | null>(null);
  const is = $derived(exercises[at]);
  const found = $derived(chosen === is?.finding.code);

  function next(): void {
    at = (at + 1) % exercises.length;
    chosen = null;
  }
</script>

{#if is}
  <section data-exercise={is.case.id} aria-labelledby="exercise">
    <h2 class="heading flex" id="exercise">
      {says.exercises}
      {#if exercises.length > 1}<span class="ml-auto font-normal text-quiet"
          >{says.exercise(at + 1, exercises.length)}</span
        >{/if}
    </h2>
    <p class="num pb-2">{is.case.says}</p>
    <ul class="flex flex-wrap gap-2">
      {#each is.choices as code (code)}
        <li>
          <button
            type="button"
            class="btn h-auto min-h-11 px-3 py-1.5 leading-snug font-normal {chosen === code ? 'btn-primary' : ''}"
            aria-pressed={chosen === code}
            onclick={() => (chosen = code)}>{codeName(code)}</button
          >
        </li>
      {/each}
    </ul>
    <div role="status" class="pt-2 leading-snug">
      {#if chosen !== null}
        <p data-exercise-answer={found}>
          <strong>{found ? says.yes : says.no}</strong>
          {#if found}
            <Mark severity={is.finding.severity} /><span class="sr-only">{SEVERITY_NAMES[is.finding.severity]}: </span>
            {sentence(is.finding)}
          {/if}
        </p>
        {#if found}
          <p class="pt-1">
            <span class="text-quiet">{says.doneRight}:</span> <span class="num">{is.right.says}</span>
            <Mark severity={is.right.report.severity} /><span class="sr-only"
              >{SEVERITY_NAMES[is.right.report.severity]}</span
            >
          </p>
        {/if}
      {/if}
    </div>
    {#if exercises.length > 1}
      <button type="button" class="btn mt-2" onclick={next}>{says.nextCase}</button>
    {/if}
  </section>
{/if}
