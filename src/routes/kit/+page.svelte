<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import CrewKitPage from '$lib/kit/CrewKitPage.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.kitGuanxi}</title></svelte:head>
<CrewKitPage kit={data.kit} crewId={data.crewId} />
