<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import type { CrewVenues } from './crew-venues.svelte';

  /** Changes of places that did not go through: somebody else has said something else of the same, or the server refused them. */
  const { venues }: { venues: CrewVenues } = $props();
</script>

{#each venues.lane.aside as { item, why } (item.step)}
  <p class="flex flex-wrap gap-x-3 rounded-box border border-warning p-3" role="alert">
    <span>{item.kind === 'venue' ? `${item.change.to.name}: ` : ''}{why}</span>
    {#if item.kind === 'venue' && why === says.changedSince}
      <button type="button" class="link" onclick={() => venues.keepMine(item)}>{says.saveMine}</button>
    {/if}
    <button type="button" class="link" onclick={() => venues.lane.letGo(item)}>{says.takeTheirs}</button>
  </p>
{/each}
