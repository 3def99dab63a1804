<script lang="ts">
  import { players as says } from '$core/words/screen/players';
  import type { KnownInstrument } from '$core/players/named';
  import { type Player, PLAYER_LIMITS } from '$core/players/schema';
  import type { CrewPlayers } from '$lib/players/crew-players.svelte';
  import { CREW_HEADER } from '$lib/protocol/kit';
  import { request } from '$lib/outbox/outcome';
  import Fact from '$lib/ui/Fact.svelte';
  import { toast } from 'svelte-sonner';
  import InstrumentList from './InstrumentList.svelte';

  interface Props {
    id: string;
    player: Player;
    instruments: readonly KnownInstrument[];
    crew: CrewPlayers;
    mayChange: boolean;
  }
  /** Somebody who plays: where they stand, what they want, what they play. What is typed is kept as one leaves the field. */
  const { id, player, instruments, crew, mayChange }: Props = $props();
  let forgetting = $state(false);

  const FIELDS = [
    ['position', says.position, '', PLAYER_LIMITS.name],
    ['wants', says.wants, says.wantsFor, PLAYER_LIMITS.wants],
    ['note', says.note, '', PLAYER_LIMITS.note]
  ] as const;
  async function forget(): Promise<void> {
    forgetting = false;
    const answer = await request('DELETE', `/api/players/${id}`, undefined, undefined, { [CREW_HEADER]: crew.crewId });
    if (!answer?.ok) toast.error(says.notForgotten);
  }
</script>

<section class="grid gap-2" aria-labelledby="player-{id}" data-player>
  <div class="flex flex-wrap items-baseline gap-x-4 border-b-2 border-primary pb-1">
    <h2 id="player-{id}" class="text-[1.15em] font-bold">{player.name}</h2>
    {#if mayChange}
      {#if forgetting}
        <span class="basis-full leading-snug">{says.forgetWhat(player.name)}</span>
        <button type="button" class="py-1 font-semibold text-error" onclick={() => void forget()}
          >{says.yesForget(player.name)}</button
        >
        <button type="button" class="py-1 text-quiet" onclick={() => (forgetting = false)}>{says.keep}</button>
      {:else}
        <button type="button" class="ml-auto py-1 text-quiet hover:text-error" onclick={() => (forgetting = true)}
          >{says.forget}<span class="sr-only"> {player.name}</span></button
        >
      {/if}
    {/if}
  </div>
  <div class="grid grid-cols-3 gap-x-6 gap-y-3 max-sm:grid-cols-1">
    {#each FIELDS as [field, name, example, most] (field)}
      <Fact
        {name}
        value={player[field]}
        {most}
        {example}
        disabled={!mayChange}
        onset={(to) => crew.putPlayer({ ...player, [field]: to }, id)}
      />
    {/each}
  </div>
  <InstrumentList {instruments} />
</section>
