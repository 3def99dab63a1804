<script lang="ts">
  import Earth from '$lib/show/Earth.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, earth · Guanxi</title></svelte:head>
<Earth />
