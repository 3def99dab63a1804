<script lang="ts">
  import Grounds from '$lib/show/grounds/Grounds.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, earth · Guanxi</title></svelte:head>
<Grounds />
