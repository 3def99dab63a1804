<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import { heardOfPlaceText } from '$core/words/venue';
  import type { LogEntry } from '$core/log/entry';
  import { formatQuantity } from '$core/units/format';
  import type { Venue } from '$core/venue/schema';
  import { hearOfPlace } from '$core/venue/typed';
  import Header from '$lib/ui/Header.svelte';
  import { dateTime, dayOf } from '$lib/ui/when';
  import { followCrew } from '$lib/live/crew-feed';
  import PictureStrip from '$lib/memory/PictureStrip.svelte';
  import { browserRows } from '$lib/outbox/browser-rows';
  import type { PictureThere } from '$lib/protocol/pictures';
  import type { VenueOf } from '$lib/protocol/venues';
  import { onMount, untrack } from 'svelte';
  import { CrewVenues } from './crew-venues.svelte';
  import VenueAside from './VenueAside.svelte';
  import VenueBoxes from './VenueBoxes.svelte';
  import VenueFacts from './VenueFacts.svelte';

  interface Props {
    id: string;
    there: readonly VenueOf[];
    shows: readonly { readonly id: string; readonly name: string; readonly changedAt: Date }[];
    traces: readonly LogEntry[];
    pictures: readonly PictureThere[];
    crewId: string;
    mayChange: boolean;
  }
  /** All that is known of a place; what a person knows of it is typed here, the rest comes from shows. */
  const { id, there, shows, traces, pictures, crewId, mayChange }: Props = $props();
  const venues = untrack(() => new CrewVenues(crewId, null, browserRows, { here: null, other: null, venues: there }));
  const venue = $derived(venues.of(id)!.venue);
  let typed = $state('');
  let unclear = $state(false);
  const heard = $derived(typed.trim() === '' ? null : hearOfPlace(venue, typed));
  const told = $derived(says.keeping[venues.lane.state]);
  onMount(() => followCrew(venues));

  function put(change: Partial<Venue>): void {
    venues.put(id, { ...venue, ...change });
  }
  function write(event: SubmitEvent): void {
    event.preventDefault();
    unclear = typed.trim() !== '' && !heard;
    if (!heard) return;
    put(heard.venue);
    typed = '';
  }
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-6 px-5 py-5 max-sm:px-3.5">
  <p class="flex flex-wrap gap-x-4">
    <a class="link" href="/memory/venues">{says.venues}</a><span class="text-quiet" role="status">{told}</span>
  </p>
  <VenueAside {venues} />
  <h1 class="text-[1.3em] font-bold">{venue.name}</h1>
  {#if mayChange}
    <form class="grid gap-1" onsubmit={write}>
      <label class="font-semibold" for="known">{says.known}</label>
      <div class="flex flex-wrap gap-2">
        <input
          id="known"
          class="input min-w-0 flex-1 basis-72"
          autocomplete="off"
          maxlength="200"
          placeholder={says.typeIt}
          bind:value={typed}
          oninput={() => (unclear = false)}
        />
        <button class="btn btn-primary" disabled={typed.trim() === ''}>{says.add}</button>
      </div>
      <p class="min-h-[1.4em] {unclear ? 'text-warning' : 'text-quiet'}" role="status">
        {unclear ? says.notUnderstood : heard ? says.readAs(heardOfPlaceText(heard)) : says.typeItTeach}
      </p>
    </form>
  {/if}
  <VenueFacts {venue} {mayChange} onput={put} />
  <PictureStrip of="venue" {id} name={venue.name} {pictures} {crewId} {mayChange} />
  <VenueBoxes {venue} {mayChange} onput={put} />
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
