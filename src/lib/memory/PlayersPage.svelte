<script lang="ts">
  import { players as says } from '$core/words/screen/players';
  import { nameKey } from '$core/text/names';
  import { PLAYER_LIMITS } from '$core/players/schema';
  import { CrewPlayers } from '$lib/players/crew-players.svelte';
  import { followCrew } from '$lib/live/crew-feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import type { Players } from '$lib/protocol/players';
  import Header from '$lib/ui/Header.svelte';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import InstrumentList from './InstrumentList.svelte';
  import NotTaken from './NotTaken.svelte';
  import PlayerCard from './PlayerCard.svelte';

  interface Props {
    there: Players;
    crewId: string;
    mayChange: boolean;
  }
  /** Everybody who plays, with what they play and what they want for it. */
  const { there, crewId, mayChange }: Props = $props();
  const crew = untrack(() => new CrewPlayers(crewId, browserRows, there));
  let name = $state('');
  const all = $derived(crew.all);
  /** Whose no player is written down of: the crew’s own, and those of people nobody has written down. */
  const others = $derived(
    all.instruments.filter(({ instrument }) => !all.players.some(({ player }) => player.name === instrument.player))
  );

  onMount(() => followCrew(crew));
  function add(event: SubmitEvent): void {
    event.preventDefault();
    const given = name.trim();
    if (given === '') return;
    if (all.players.some(({ player }) => nameKey(player.name) === nameKey(given))) {
      toast.error(says.isThereAlready(given));
      return;
    }
    crew.putPlayer({ name: given, position: '', wants: '', note: '' });
    name = '';
  }
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-6 px-5 py-5 max-sm:px-3.5">
  <h1 class="text-[1.3em] font-bold">{says.title}</h1>
  <NotTaken {crew} />
  {#if mayChange}
    <form class="flex flex-wrap gap-2" onsubmit={add}>
      <input
        class="input min-w-0 flex-1 basis-60"
        aria-label={says.nameOfPlayer}
        placeholder={says.nameOfPlayer}
        maxlength={PLAYER_LIMITS.name}
        bind:value={name}
      />
      <button class="btn" disabled={name.trim() === ''}>{says.addPlayer}</button>
    </form>
  {/if}
  {#if all.players.length === 0 && others.length === 0}
    <p class="max-w-[60ch] text-quiet">{says.teach}</p>
  {/if}
  {#each all.players as { id, player } (id)}
    <PlayerCard
      {id}
      {player}
      instruments={all.instruments.filter((i) => i.instrument.player === player.name)}
      {crew}
      {mayChange}
    />
  {/each}
  {#if others.length > 0}
    <section>
      <h2 class="heading">{says.ofNobody}</h2>
      <InstrumentList instruments={others} />
    </section>
  {/if}
</main>
