<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { LESSON_TITLES } from '$core/words/lesson-titles';
  import { page } from '$app/state';
  import LessonOnLine from '$lib/learn/LessonOnLine.svelte';

  const { data } = $props();
  const line = $derived(page.url.searchParams.get('line'));
</script>

<svelte:head><title>{says.page(LESSON_TITLES[data.lesson])}</title></svelte:head>
{#key `${data.lesson} ${line}`}
  <LessonOnLine lesson={data.lesson} {line} />
{/key}
