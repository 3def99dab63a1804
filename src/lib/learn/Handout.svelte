<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { LESSON_TITLES } from '$core/words/lesson-titles';
  import { LESSON_TEXTS } from '$core/words/lessons';
  import { LESSON_IDS } from '$core/lessons/types';
  import { onMount } from 'svelte';
  import { LessonDesk } from './lesson-desk.svelte';
  import LessonChart from './LessonChart.svelte';
  import LessonReading from './LessonReading.svelte';

  /** All lessons on paper, with their figures as they stand on the made lines. */
  let desks = $state.raw<readonly LessonDesk[]>([]);
  onMount(() => {
    const all = LESSON_IDS.filter((id) => id !== 'fair-listening').map((id) => new LessonDesk(id, null));
    desks = all;
    // One after the other: as many threads as lessons would only stand in each other's way.
    void (async () => {
      for (const desk of all) await desk.begin(false);
    })();
    return () => all.forEach((desk) => desk.close());
  });
  const deskOf = (id: string): LessonDesk | undefined => desks.find((d) => d.id === id);
</script>

<main class="mx-auto max-w-4xl px-5 py-5 max-sm:px-3.5">
  <div class="no-print flex gap-5 pb-3">
    <a class="link" href="/learn">{says.all}</a>
    <button type="button" class="btn btn-sm" onclick={() => window.print()}>{says.print}</button>
  </div>
  <h1 class="text-[1.8em] leading-tight font-bold">{says.handoutTitle}</h1>
  {#each LESSON_IDS as id, k (id)}
    {@const told = LESSON_TEXTS[id]}
    {@const desk = deskOf(id)}
    <article class="break-inside-avoid border-t border-base-300 py-4" data-handout={id}>
      <h2 class="text-[1.2em] font-bold">{k + 1}. {LESSON_TITLES[id]}</h2>
      <div class="grid gap-1.5 pt-1 leading-snug">
        {#each told.idea as text (text)}<p>{text}</p>{/each}
        {#if desk?.begun}
          <LessonChart {desk} height="h-[150px]" />
          <LessonReading {desk} />
        {/if}
        <p>
          <span class="text-quiet">{says.said}:</span> “{told.said}” <span class="text-quiet">{says.so}:</span>
          {told.so}
        </p>
      </div>
    </article>
  {/each}
</main>
