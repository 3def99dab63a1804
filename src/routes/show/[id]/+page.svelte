<script lang="ts">
  import LineBoard from '$lib/show/LineBoard.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, lines · Guanxi</title></svelte:head>
<LineBoard live={data.live} />
