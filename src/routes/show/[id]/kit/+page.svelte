<script lang="ts">
  import ShowKit from '$lib/show/compare/ShowKit.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, kit · Guanxi</title></svelte:head>
<ShowKit />
