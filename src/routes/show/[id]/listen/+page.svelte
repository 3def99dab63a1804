<script lang="ts">
  import Listen from '$lib/show/listen/Listen.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, listen · Guanxi</title></svelte:head>
<Listen />
