<script lang="ts">
  import { counted } from '$core/words/screen/counted';
  import { venue as says } from '$core/words/screen/venue';
  import { socketText } from '$core/words/venue';
  import { blankVenue } from '$core/venue/schema';
  import type { VenueOf } from '$lib/protocol/venues';
  import Header from '$lib/ui/Header.svelte';
  import { uuid } from '$lib/uuid';
  import { followCrew } from '$lib/live/crew-feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import { CrewVenues } from './crew-venues.svelte';
  import VenueAside from './VenueAside.svelte';
  import { onMount, untrack } from 'svelte';

  interface Props {
    there: readonly VenueOf[];
    crewId: string;
    mayChange: boolean;
  }
  const { there, crewId, mayChange }: Props = $props();
  const places = untrack(() => new CrewVenues(crewId, null, browserRows, { here: null, other: null, venues: there }));
  const venues = $derived(places.all);
  onMount(() => followCrew(places));
  let name = $state('');

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (name.trim() === '') return;
    places.put(uuid(), blankVenue(name.trim()));
    name = '';
  }
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-4 px-5 py-5 max-sm:px-3.5">
  <h1 class="text-[1.3em] font-bold">{says.venues}</h1>
  <VenueAside venues={places} />
  {#if places.lane.state !== 'saved'}<p class="text-quiet" role="status">{says.keeping[places.lane.state]}</p>{/if}
  {#if venues.length === 0}
    <div class="grid max-w-[60ch] gap-2 py-4">
      <p class="font-semibold">{says.noneYet}</p>
      <p class="text-quiet">{says.teach}</p>
    </div>
  {/if}
  <ul>
    {#each venues as { id, venue, shows } (id)}
      <li class="border-b border-base-300 py-2 leading-snug">
        <a class="link font-semibold" href="/memory/venues/{id}">{venue.name}</a>
        <span class="block text-[0.93em] text-quiet"
          >{[
            says.shows(shows, counted.show(shows)),
            ...(venue.supplies.length > 0
              ? [says.shows(venue.supplies.length, counted.supply(venue.supplies.length))]
              : []),
            ...venue.sockets.map(socketText)
          ].join(', ')}</span
        >
      </li>
    {/each}
  </ul>
  {#if mayChange}
    <form class="flex flex-wrap gap-2" onsubmit={add}>
      <input
        class="input min-w-0 flex-1 basis-60"
        aria-label={says.newVenue}
        placeholder={says.newVenue}
        maxlength="80"
        bind:value={name}
      />
      <button class="btn btn-primary">{says.add}</button>
    </form>
  {/if}
</main>
