<script lang="ts">
  import PlayersPage from '$lib/memory/PlayersPage.svelte';
  import { players as says } from '$core/words/screen/players';

  const { data } = $props();
</script>

<svelte:head><title>{says.guanxi(says.title)}</title></svelte:head>
<PlayersPage there={data.players} crewId={data.crewId} mayChange={data.mayChange} />
