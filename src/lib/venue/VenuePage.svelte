<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import { ROOM_NAMES } from '$core/words/names';
  import { socketName, socketText } from '$core/words/venue';
  import type { LogEntry } from '$core/log/entry';
  import { formatQuantity } from '$core/units/format';
  import { hearOf } from '$core/venue/meet';
  import { type Venue, VENUE_LIMITS, type VenueSocket } from '$core/venue/schema';
  import Header from '$lib/ui/Header.svelte';
  import { dateTime, dayOf } from '$lib/ui/when';
  import { untrack } from 'svelte';
  import { putVenue } from './put-venue';

  interface Props {
    id: string;
    venue: Venue;
    shows: readonly { readonly id: string; readonly name: string; readonly changedAt: Date }[];
    traces: readonly LogEntry[];
    mayChange: boolean;
  }
  /** All that is known of a place; what a person knows of it is typed here, the rest comes from shows. */
  const { id, venue: given, shows, traces, mayChange }: Props = $props();
  let kept = $state.raw(untrack(() => given));
  let venue = $state(untrack(() => structuredClone(given)));
  let told = $state<string | null>(null);
  let typed = $state('');
  let unclear = $state(false);
  const ROOMS = Object.keys(ROOM_NAMES) as (keyof typeof ROOM_NAMES)[];

  async function save(): Promise<void> {
    told = null;
    const to = $state.snapshot(venue) as Venue;
    const not = await putVenue(id, kept, to);
    [kept, told] = not ? [not.now ?? kept, not.why] : [to, says.saved];
  }
  function addSocket(event: SubmitEvent): void {
    event.preventDefault();
    const next = hearOf($state.snapshot(venue) as Venue, typed);
    unclear = next === null;
    if (!next) return;
    [venue, typed] = [next, ''];
    void save();
  }
  function mended(socket: VenueSocket): void {
    venue.sockets = venue.sockets.filter((s) => s !== socket);
    void save();
  }
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-5 px-5 py-5 max-sm:px-3.5">
  <p><a class="link" href="/memory/venues">{says.venues}</a></p>
  <h1 class="text-[1.3em] font-bold">{kept.name}</h1>
  <form
    class="grid grid-cols-2 gap-3 max-sm:grid-cols-1"
    onsubmit={(event) => {
      event.preventDefault();
      void save();
    }}
  >
    <label class="grid gap-1"
      ><span class="font-semibold">{says.name}</span><input
        class="input w-full"
        required
        maxlength={VENUE_LIMITS.name}
        disabled={!mayChange}
        bind:value={venue.name}
      /></label
    >
    <label class="grid gap-1"
      ><span class="font-semibold">{says.electrician}</span><input
        class="input w-full"
        maxlength="200"
        placeholder={says.whoMayOpen}
        disabled={!mayChange}
        bind:value={venue.electrician}
      /></label
    >
    <label class="grid gap-1"
      ><span class="font-semibold">{says.mains}</span><select
        class="select w-full"
        disabled={!mayChange}
        bind:value={venue.mainsHz}
        ><option value={50}>{says.fifty}</option><option value={60}>{says.sixty}</option></select
      ></label
    >
    <label class="grid gap-1"
      ><span class="font-semibold">{says.room}</span><select
        class="select w-full"
        disabled={!mayChange}
        bind:value={venue.room}
        ><option value={null}>{says.notSaid}</option>{#each ROOMS as room (room)}<option value={room}
            >{ROOM_NAMES[room]}</option
          >{/each}</select
      ></label
    >
    <label class="col-span-full grid gap-1"
      ><span class="font-semibold">{says.note}</span><textarea
        class="textarea min-h-24 w-full"
        maxlength={VENUE_LIMITS.note}
        placeholder={says.loadIn}
        disabled={!mayChange}
        bind:value={venue.note}></textarea></label
    >
    {#if mayChange}
      <p class="col-span-full flex flex-wrap items-center gap-3">
        <button class="btn btn-primary">{says.save}</button><span role="status">{told ?? ''}</span>
      </p>
    {/if}
  </form>
  <section class="grid gap-1">
    <h2 class="heading">{says.sockets}</h2>
    {#if venue.sockets.length === 0}<p class="text-quiet">{says.socketsTeach}</p>{/if}
    <ul>
      {#each venue.sockets as socket (`${socket.box} ${socket.socket}`)}
        <li class="flex flex-wrap gap-x-3 border-b border-base-300 py-1.5">
          {socketText(socket)}
          {#if mayChange}<button type="button" class="link text-quiet" onclick={() => mended(socket)}
              >{says.worksAgain(socketName(socket))}</button
            >{/if}
        </li>
      {/each}
    </ul>
    {#if mayChange}
      <form class="flex flex-wrap gap-2 pt-1" onsubmit={addSocket}>
        <input
          class="input min-w-0 flex-1 basis-60"
          aria-label={says.addSocket}
          placeholder={says.forSocket}
          maxlength="200"
          bind:value={typed}
        />
        <button class="btn">{says.add}</button>
      </form>
      {#if unclear}<p class="text-warning" role="alert">{says.socketNotUnderstood}</p>{/if}
    {/if}
  </section>
  <section>
    <h2 class="heading">{says.supplies}</h2>
    {#if venue.supplies.length === 0}<p class="text-quiet">{says.suppliesTeach}</p>{/if}
    <ul>
      {#each venue.supplies as s (s.name)}
        <li class="border-b border-base-300 py-1.5">
          <strong>{s.name}</strong>
          <span class="text-quiet"
            >{[
              s.place,
              says.supplySays(formatQuantity('voltage', s.emf, 2), formatQuantity('resistance', s.ohm, 2)),
              s.dimmers ? says.dimmers : ''
            ]
              .filter(Boolean)
              .join(', ')}</span
          >
        </li>
      {/each}
    </ul>
  </section>
  <section>
    <h2 class="heading">{says.found}</h2>
    {#if traces.length === 0}<p class="text-quiet">{says.nothingFound}</p>{/if}
    <ul>
      {#each traces as t (t.id)}
        <li class="border-b border-base-300 py-1.5 leading-snug">
          {t.text}
          <span class="block text-[0.93em] text-quiet">{t.place}, {dateTime(t.at)}</span>
        </li>
      {/each}
    </ul>
  </section>
  <section>
    <h2 class="heading">{says.playedHere}</h2>
    {#if shows.length === 0}<p class="text-quiet">{says.noShow}</p>{/if}
    <ul>
      {#each shows as s (s.id)}
        <li class="border-b border-base-300 py-1.5">
          <a class="link" href="/show/{s.id}">{s.name}</a>
          <span class="text-quiet">{dayOf(new Date(s.changedAt).toISOString())}</span>
        </li>
      {/each}
    </ul>
  </section>
</main>
