<script lang="ts">
  import { players as says } from '$core/words/screen/players';
  import type { CrewPlayers } from '$lib/players/crew-players.svelte';

  /** Changes that the server did not take, with what they were. */
  const { crew }: { crew: CrewPlayers } = $props();
</script>

{#each crew.lane.aside as { item, why } (item.step)}
  <p class="flex flex-wrap gap-x-3 rounded-box border border-warning p-3" role="alert">
    <span>{item.change.to?.name ?? item.change.from?.name}: {why}</span>
    <button type="button" class="link" onclick={() => crew.lane.letGo(item)}>{says.letGo}</button>
  </p>
{/each}
