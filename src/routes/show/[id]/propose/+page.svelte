<script lang="ts">
  import Propose from '$lib/show/compare/Propose.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, proposal · Guanxi</title></svelte:head>
<Propose />
