<script lang="ts">
  import { page } from '$app/state';
  import Compare from '$lib/show/compare/Compare.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, ways · Guanxi</title></svelte:head>
{#key page.params.line}
  <Compare lineId={page.params.line ?? ''} />
{/key}
