<script lang="ts">
  import WorkedPage from '$lib/memory/WorkedPage.svelte';
  import { players as says } from '$core/words/screen/players';

  const { data } = $props();
</script>

<svelte:head><title>{says.guanxi(says.settings)}</title></svelte:head>
<WorkedPage worked={data.worked} ask={data.ask} venues={data.venues} />
