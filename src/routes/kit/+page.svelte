<script lang="ts">
  import CrewKitPage from '$lib/kit/CrewKitPage.svelte';

  const { data } = $props();
</script>

<svelte:head><title>Kit · Guanxi</title></svelte:head>
<CrewKitPage kit={data.kit} crewId={data.crewId} />
