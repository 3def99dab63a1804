<script lang="ts">
  import { pages as says } from '$core/words/screen/pages';
  import LineCheck from '$lib/show/check/LineCheck.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.lineCheckGuanxi(data.name)}</title></svelte:head>
<LineCheck readings={data.readings} photos={data.photos} />
