<script lang="ts">
  import { goto } from '$app/navigation';
  import { log as logSays } from '$core/words/screen/log';
  import { players as says } from '$core/words/screen/players';
  import { ownedName } from '$core/players/named';
  import type { readInstrumentLine } from '$core/players/read-line';
  import { type Instrument, PLAYER_LIMITS } from '$core/players/schema';
  import { readWants } from '$core/players/wants';
  import { modelName } from '$core/words/names';
  import { ownValuesText } from '$core/words/players';
  import { CrewPlayers } from '$lib/players/crew-players.svelte';
  import { followCrew } from '$lib/live/crew-feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import type { WorkedBefore } from '$lib/protocol/log';
  import type { PictureThere } from '$lib/protocol/pictures';
  import type { Players } from '$lib/protocol/players';
  import Fact from '$lib/ui/Fact.svelte';
  import Header from '$lib/ui/Header.svelte';
  import { dateTime } from '$lib/ui/when';
  import { onMount, untrack } from 'svelte';
  import PictureStrip from './PictureStrip.svelte';
  import NotTaken from './NotTaken.svelte';
  import WorkedList from './WorkedList.svelte';

  interface Props {
    id: string;
    there: Players;
    worked: readonly WorkedBefore[];
    pictures: readonly PictureThere[];
    crewId: string;
    mayChange: boolean;
  }
  /** One instrument: how it is typed, what is wanted for it, and how it was set when it worked. */
  const { id, there, worked, pictures, crewId, mayChange }: Props = $props();
  const crew = untrack(() => new CrewPlayers(crewId, browserRows, there));
  const instrument = $derived(crew.instrument(id));
  /** Its line while it is being typed; null as long as it is as it was. */
  let typed = $state<string | null>(null);
  /** Reads lines; comes behind the page. */
  let reader = $state.raw<typeof readInstrumentLine | null>(null);
  const read = $derived(typed === null || !reader ? null : reader(typed));
  const wants = $derived(readWants(instrument?.wants ?? '').flatMap((w) => (w.code === 'other' ? [] : [w.text])));

  onMount(() => {
    void import('$core/players/read-line').then((m) => (reader = m.readInstrumentLine));
    return followCrew(crew);
  });
  const put = (change: Partial<Instrument>): void => {
    if (instrument) crew.putInstrument({ ...instrument, ...change }, id);
  };
  function putLine(): void {
    const now = read;
    if (!instrument || typed === null || !now) return;
    // Values of another class are not its own any more.
    put({ line: typed.trim(), ...now, own: now.model === instrument.model ? instrument.own : null });
    typed = null;
  }
  async function takeOut(): Promise<void> {
    crew.putInstrument(null, id);
    await goto('/memory/players');
  }
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-5 px-5 py-5 max-sm:px-3.5">
  <p><a class="link" href="/memory/players">{says.players}</a></p>
  <NotTaken {crew} />
  {#if instrument}
    <div>
      <h1 class="text-[1.35em] font-bold">{ownedName(instrument)}</h1>
      <p class="text-quiet">{modelName(instrument.model)}</p>
      {#if instrument.own}<p class="text-quiet">{says.ownValues(ownValuesText(instrument.own))}</p>{/if}
    </div>
    <div class="grid grid-cols-2 gap-x-6 gap-y-3 max-sm:grid-cols-1">
      <Fact
        name={says.name}
        value={instrument.name}
        most={PLAYER_LIMITS.name}
        disabled={!mayChange}
        onset={(name) => name && put({ name })}
      />
      <Fact
        name={says.whose}
        value={instrument.player}
        most={PLAYER_LIMITS.name}
        disabled={!mayChange}
        onset={(player) => put({ player })}
      />
      <form
        class="col-span-full grid gap-0.5"
        onsubmit={(event) => {
          event.preventDefault();
          putLine();
        }}
      >
        <label class="text-[0.93em] text-quiet" for="its-line">{says.line}</label>
        <input
          id="its-line"
          class="h-9 w-full border-b border-base-300 bg-transparent hover:border-base-content focus:border-primary max-sm:h-11"
          autocomplete="off"
          spellcheck="false"
          maxlength={PLAYER_LIMITS.line}
          disabled={!mayChange}
          value={typed ?? instrument.line}
          oninput={(event) => (typed = event.currentTarget.value)}
          onchange={putLine}
        />
        <p class="min-h-[1.4em] {typed !== null && !read ? 'text-warning' : 'text-quiet'}" role="status">
          {typed === null ? '' : read ? says.reads(modelName(read.model)) : says.doesNotRead}
        </p>
      </form>
      <div class="grid content-start">
        <Fact
          name={says.wantsOf}
          value={instrument.wants}
          most={PLAYER_LIMITS.wants}
          example={says.wantsFor}
          disabled={!mayChange}
          onset={(to) => put({ wants: to })}
        />
        {#if wants.length > 0}<p class="pt-1 text-[0.93em] text-quiet">{says.understood} {wants.join(', ')}</p>{/if}
      </div>
      <Fact
        long
        name={says.note}
        value={instrument.note}
        most={PLAYER_LIMITS.note}
        disabled={!mayChange}
        onset={(note) => put({ note })}
      />
    </div>
    <PictureStrip of="instrument" {id} name={instrument.name} {pictures} {crewId} {mayChange} />
  {:else}
    <p class="text-quiet">{says.gone}</p>
  {/if}
  {#if instrument?.heard && instrument.heard.length > 0}
    <section>
      <h2 class="heading">{says.byEar}</h2>
      <ul data-by-ear>
        {#each instrument.heard as h (h.at)}
          <li class="border-b border-base-300 py-1.5 leading-snug">
            {h.text} <span class="text-quiet">{dateTime(h.at)}</span>
          </li>
        {/each}
      </ul>
    </section>
  {/if}
  <section>
    <h2 class="heading">{says.worked}</h2>
    {#if worked.length === 0}<p class="max-w-[60ch] text-quiet">{says.workedTeach}</p>{/if}
    <WorkedList {worked} named={false} />
    {#if instrument}
      <p class="pt-2">
        <a class="link" href="/memory?q={encodeURIComponent(instrument.name)}">{logSays.allInTheLog}</a>
      </p>
    {/if}
  </section>
  {#if instrument && mayChange}
    <p>
      <button type="button" class="py-1 text-quiet hover:text-error" onclick={() => void takeOut()}
        >{says.takeOut}</button
      >
    </p>
  {/if}
</main>
