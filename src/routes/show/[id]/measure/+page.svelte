<script lang="ts">
  import { measure as says } from '$core/words/screen/measure';
  import Measure from '$lib/show/measure/Measure.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.page(data.name)}</title></svelte:head>
<Measure />
