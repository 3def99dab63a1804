<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import Drill from '$lib/drill/Drill.svelte';
  import Header from '$lib/ui/Header.svelte';
</script>

<svelte:head><title>{says.drillGuanxi}</title></svelte:head>
<Header />
<Drill />
