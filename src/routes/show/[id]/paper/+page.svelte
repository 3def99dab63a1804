<script lang="ts">
  import Paper from '$lib/show/paper/Paper.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, paper · Guanxi</title></svelte:head>
<Paper printed={data.printed} ticks={data.ticks} />
