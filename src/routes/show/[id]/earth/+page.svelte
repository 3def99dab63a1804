<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Grounds from '$lib/show/grounds/Grounds.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.earthGuanxi(data.name)}</title></svelte:head>
<Grounds />
