<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import ShowLog from '$lib/show/log/ShowLog.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.logGuanxi(data.name)}</title></svelte:head>
<ShowLog page={data.log} places={data.places} />
