<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import RulesOfThumb from '$lib/show/compare/RulesOfThumb.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.schoolsGuanxi(data.name)}</title></svelte:head>
<RulesOfThumb />
