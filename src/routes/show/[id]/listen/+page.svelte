<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Hear from '$lib/show/listen/Hear.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.listenGuanxi(data.name)}</title></svelte:head>
<Hear originForOthers={data.originForOthers} />
