<script lang="ts">
  import TraceNoise from '$lib/show/trace/TraceNoise.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, trace · Guanxi</title></svelte:head>
<TraceNoise traces={data.traces} />
