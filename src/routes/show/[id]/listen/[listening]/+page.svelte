<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import PlayerTest from '$lib/show/listen/PlayerTest.svelte';

  const { data } = $props();
</script>

<svelte:head><title>{says.whichDoYouLike(data.listening.called)}</title></svelte:head>
{#key data.listening.id}<PlayerTest showId={data.id} listening={data.listening} />{/key}
