<script lang="ts">
  import LineBoard from '$lib/show/board/LineBoard.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, lines · Guanxi</title></svelte:head>
<LineBoard live={data.live} />
