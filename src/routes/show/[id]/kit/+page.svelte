<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import ShowKit from '$lib/show/compare/ShowKit.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.kitGuanxi2(data.name)}</title></svelte:head>
<ShowKit />
