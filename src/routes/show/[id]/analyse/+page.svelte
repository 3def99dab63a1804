<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Analyse from '$lib/show/analyse/Analyse.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.analyseGuanxi(data.name)}</title></svelte:head>
<Analyse />
