<script lang="ts">
  import RulesOfThumb from '$lib/show/compare/RulesOfThumb.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, schools · Guanxi</title></svelte:head>
<RulesOfThumb />
