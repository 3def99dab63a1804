<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Paper from '$lib/show/paper/Paper.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.paperGuanxi(data.name)}</title></svelte:head>
<Paper printed={data.printed} ticks={data.ticks} />
