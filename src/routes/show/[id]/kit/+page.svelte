<script lang="ts">
  import ShowKit from '$lib/show/ShowKit.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, kit · Guanxi</title></svelte:head>
<ShowKit />
