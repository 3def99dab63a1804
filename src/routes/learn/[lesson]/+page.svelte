<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { LESSON_TITLES } from '$core/words/lesson-titles';
  import LessonPage from '$lib/learn/LessonPage.svelte';
  import Header from '$lib/ui/Header.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.page(LESSON_TITLES[data.lesson])}</title></svelte:head>
<Header />
{#key data.lesson}
  <LessonPage id={data.lesson} list="/learn" next={(id) => `/learn/${id}`} />
{/key}
