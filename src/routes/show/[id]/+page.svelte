<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import LineBoard from '$lib/show/board/LineBoard.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.linesGuanxi(data.name)}</title></svelte:head>
<LineBoard live={data.live} checked={data.checked} early={data.early} />
