<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import TraceNoise from '$lib/show/trace/TraceNoise.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.traceGuanxi(data.name)}</title></svelte:head>
<TraceNoise traces={data.traces} />
