<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import VenuePage from '$lib/venue/VenuePage.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.venueGuanxi(data.venue.name)}</title></svelte:head>
{#key data.id}
  <VenuePage id={data.id} venue={data.venue} shows={data.shows} traces={data.traces} mayChange={data.mayChange} />
{/key}
