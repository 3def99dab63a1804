<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Listen from '$lib/show/listen/Listen.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.listenGuanxi(data.name)}</title></svelte:head>
<Listen />
