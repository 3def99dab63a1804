<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import VenuesPage from '$lib/venue/VenuesPage.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.venuesGuanxi}</title></svelte:head>
<VenuesPage there={data.venues} crewId={data.crewId} mayChange={data.mayChange} />
