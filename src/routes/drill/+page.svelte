<script lang="ts">
  import Drill from '$lib/drill/Drill.svelte';
  import Header from '$lib/ui/Header.svelte';
</script>

<svelte:head><title>Drill · Guanxi</title></svelte:head>
<Header />
<Drill />
