<script lang="ts">
  import CrewPage from '$lib/crew/CrewPage.svelte';
  import Header from '$lib/ui/Header.svelte';

  const { data } = $props();
</script>

<svelte:head><title>Crew · Guanxi</title></svelte:head>
<Header />
<CrewPage {data} />
