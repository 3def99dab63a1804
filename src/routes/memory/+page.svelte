<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import MemoryPage from '$lib/memory/MemoryPage.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.memoryGuanxi}</title></svelte:head>
<MemoryPage
  page={data.log}
  ask={data.ask}
  shows={data.shows}
  venues={data.venues}
  units={data.units}
  instruments={data.instruments}
  people={data.people}
/>
