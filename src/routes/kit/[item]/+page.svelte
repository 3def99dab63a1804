<script lang="ts">
  import UnitPage from '$lib/kit/unit/UnitPage.svelte';
  import { pages as says } from '$core/words/screen/pages';
  import { kitCalled } from '$core/words/kit-life';

  const { data } = $props();
  const item = $derived(data.kit[data.id] ?? data.history.find((e) => e.before)?.before ?? null);
</script>

<svelte:head><title>{says.unitGuanxi(item ? kitCalled(item) : data.id)}</title></svelte:head>
{#key data.id}
  <UnitPage
    id={data.id}
    kit={data.kit}
    history={data.history}
    notes={data.notes}
    pictures={data.pictures}
    crewId={data.crewId}
    mayChange={data.mayChange}
  />
{/key}
