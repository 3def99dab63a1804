<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import LessonList from '$lib/learn/LessonList.svelte';
  import Header from '$lib/ui/Header.svelte';
</script>

<svelte:head><title>{says.page(says.title)}</title></svelte:head>
<Header />
<LessonList />
