<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import CrewPage from '$lib/crew/CrewPage.svelte';
  import Header from '$lib/ui/Header.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.crewGuanxi}</title></svelte:head>
<Header />
<CrewPage {data} />
