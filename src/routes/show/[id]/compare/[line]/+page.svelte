<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import { page } from '$app/state';
  import Compare from '$lib/show/compare/Compare.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.waysGuanxi(data.name)}</title></svelte:head>
{#key page.params.line}
  <Compare lineId={page.params.line ?? ''} />
{/key}
