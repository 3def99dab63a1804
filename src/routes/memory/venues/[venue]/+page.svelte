<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import VenuePage from '$lib/venue/VenuePage.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.venueGuanxi(data.name)}</title></svelte:head>
{#key data.id}
  <VenuePage
    {...{ id: data.id, there: data.venues, shows: data.shows, traces: data.traces, pictures: data.pictures }}
    crewId={data.crewId}
    mayChange={data.mayChange}
  />
{/key}
