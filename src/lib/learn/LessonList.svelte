<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { LESSON_TITLES } from '$core/words/lesson-titles';
  import { LESSON_IDS } from '$core/lessons/types';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { Progress } from './progress.svelte';

  /** All lessons, in their order, with those that are done. */
  const progress = new Progress();
  onMount(() => progress.read());
  function forget(): void {
    progress.forget();
    toast(says.forgotten);
  }
</script>

<main class="mx-auto grid max-w-5xl gap-5 px-5 py-5 max-sm:px-3.5">
  <header class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
    <h1 class="text-[1.8em] leading-tight font-bold">{says.title}</h1>
    <p class="text-quiet">{says.intro}</p>
    <p class="ml-auto" data-progress>{says.ofAll(progress.done.size, LESSON_IDS.length)}</p>
  </header>
  <ol class="grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
    {#each LESSON_IDS as id, k (id)}
      <li class="border-b border-base-300">
        <a class="flex min-h-12 items-baseline gap-3 py-3 leading-snug hover:text-primary" href="/learn/{id}"
          ><span class="num w-6 text-right text-quiet">{k + 1}</span>
          <span class="font-semibold">{LESSON_TITLES[id]}</span>
          {#if progress.done.has(id)}<span class="ml-auto text-success">{says.done}</span>{/if}</a
        >
      </li>
    {/each}
  </ol>
  <p class="flex flex-wrap gap-x-5 gap-y-1">
    <a class="link" href="/drill">{says.exam}</a>
    <a class="link" href="/learn/handout">{says.handout}</a>
    {#if progress.done.size > 0}<button type="button" class="link" onclick={forget}>{says.forget}</button>{/if}
    <span class="text-quiet">{says.kept}</span>
  </p>
</main>
