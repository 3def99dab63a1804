<script lang="ts">
  import LineCheck from '$lib/show/check/LineCheck.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, line check · Guanxi</title></svelte:head>
<LineCheck readings={data.readings} photos={data.photos} />
