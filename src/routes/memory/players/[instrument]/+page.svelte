<script lang="ts">
  import InstrumentPage from '$lib/memory/InstrumentPage.svelte';
  import { ownedName } from '$core/players/named';
  import { players as says } from '$core/words/screen/players';

  const { data } = $props();
  const found = $derived(data.players.instruments.find((i) => i.id === data.id));
</script>

<svelte:head><title>{says.guanxi(found ? ownedName(found.instrument) : says.instrument)}</title></svelte:head>
{#key data.id}
  <InstrumentPage
    id={data.id}
    there={data.players}
    worked={data.worked}
    pictures={data.pictures}
    crewId={data.crewId}
    mayChange={data.mayChange}
  />
{/key}
