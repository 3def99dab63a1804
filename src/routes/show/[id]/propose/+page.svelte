<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Propose from '$lib/show/compare/Propose.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.proposalGuanxi(data.name)}</title></svelte:head>
<Propose />
