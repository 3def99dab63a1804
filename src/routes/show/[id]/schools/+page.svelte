<script lang="ts">
  import Schools from '$lib/show/Schools.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{data.name}, schools · Guanxi</title></svelte:head>
<Schools />
