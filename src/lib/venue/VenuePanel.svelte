<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import { atSocketText, knownLevelsText, knownRunsText, socketText } from '$core/words/venue';
  import { socketsOf } from '$core/venue/line-sockets';
  import { learn, meet } from '$core/venue/meet';
  import { blankVenue } from '$core/venue/schema';
  import type { Places } from '$lib/protocol/venues';
  import { useShow } from '$lib/show/session/context';
  import { uuid } from '$lib/uuid';
  import { CrewVenues } from './crew-venues.svelte';
  import VenueAside from './VenueAside.svelte';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';

  /** Where the show is played: what is known of the place, taken into the show and given back to it. */
  const { places }: { places: Places } = $props();
  const show = useShow();
  const plan = $derived(show.session.plan);
  const venues = untrack(() => new CrewVenues(show.crewId, show.id, show.rows, places));
  const here = $derived(venues.here);
  const other = $derived(venues.other);
  const kept = $derived(['retrying', 'signed-out'].includes(venues.lane.state) && says.keeping[venues.lane.state]);
  /** Which of the two nights is being said. */
  let choosing = $state<'here' | 'other' | null>(null);
  let typed = $state('');
  onMount(() => {
    void venues.open(show.feed);
    return () => venues.close();
  });
  const met = $derived(here && meet(plan, here.venue, () => `v${uuid().slice(0, 8)}`));
  const wrong = $derived(here ? socketsOf(plan, here.venue).filter((s) => s.wrong !== null) : []);
  const bad = $derived(here?.venue.sockets.filter((s) => s.is !== 'note').map(socketText) ?? []);

  function ask(which: 'here' | 'other'): void {
    [choosing, typed] = [which, (which === 'here' ? here : other)?.venue.name ?? ''];
  }
  function choose(event: SubmitEvent): void {
    event.preventDefault();
    const name = typed.trim();
    const known = venues.all.find((v) => v.venue.name.toLowerCase() === name.toLowerCase());
    const id = name === '' ? null : (known?.id ?? uuid());
    // A new place begins with what this show knows of it; one where nobody has been yet, with nothing.
    if (id && !known) venues.put(id, choosing === 'here' ? learn(blankVenue(name), plan) : blankVenue(name));
    if (choosing === 'here') venues.playAt(id, other?.id === id ? null : (other?.id ?? null));
    else venues.playAt(here?.id ?? null, id === here?.id ? null : id);
    choosing = null;
  }
  function use(): void {
    const { name } = here!.venue;
    show.session.do({ id: uuid(), label: { code: 'venue', subject: name.slice(0, 80) }, ops: [...met!.ops!] });
    toast.success(says.used(name));
  }
  function remember(): void {
    venues.put(here!.id, learn(here!.venue, plan));
    toast.success(says.remembered(here!.venue.name));
  }
</script>

<section class="grid gap-1 rounded-box border border-base-300 p-3 leading-snug" aria-label={says.playedAt} data-venue>
  <VenueAside {venues} />
  {#if choosing !== null}
    <form class="flex flex-wrap gap-2" onsubmit={choose}>
      <label class="w-full font-semibold" for="venue-name">{choosing === 'here' ? says.whereIsIt : says.alsoAt}</label>
      <input
        id="venue-name"
        class="input min-w-0 flex-1 basis-60"
        list="venues"
        maxlength="80"
        autocomplete="off"
        placeholder={says.pick}
        bind:value={typed}
      />
      <datalist id="venues">
        {#each venues.all as v (v.id)}<option value={v.venue.name}></option>{/each}
      </datalist>
      <button class="btn btn-primary">{says.isHere}</button>
    </form>
  {:else}
    <p class="flex flex-wrap gap-x-3">
      <span>{says.playedAt} <strong>{here?.venue.name ?? says.nowhere}</strong></span>
      {#if here}<a class="link" href="/memory/venues/{here.id}">{says.open}</a>{/if}
      {#if show.mayChange}
        <button type="button" class="link" onclick={() => ask('here')}>{here ? says.change : says.whereIsIt}</button>
        {#if here && !other}<button type="button" class="link" onclick={() => ask('other')}>{says.alsoAt}</button>{/if}
      {/if}
    </p>
    {#if here && other}
      {@const [tonight, next] = [here, other]}
      <p class="flex flex-wrap gap-x-3" data-other-night>
        <span>{says.otherNight(other.venue.name)}</span>
        {#if show.mayChange}
          <button type="button" class="link" onclick={() => venues.playAt(next.id, tonight.id)}
            >{says.tonightThere}</button
          >
          <button type="button" class="link" onclick={() => venues.playAt(tonight.id, null)}>{says.onlyHere}</button>
        {/if}
      </p>
    {/if}
    {#if kept}<p class="text-quiet">{kept}</p>{/if}
  {/if}
  {#if here && met && choosing === null}
    {#if bad.length > 0}<p data-bad>{says.deadHere(bad.join('; '))}</p>{/if}
    {#if wrong.length > 0}<p class="font-semibold text-warning">
        {says.socketsHere(wrong.map(atSocketText).join('; '))}
      </p>{/if}
    {#if here.venue.electrician}<p>{says.electricianHere(here.venue.electrician)}</p>{/if}
    {#if met.ops === null}
      <p class="text-quiet">{says.cannotBeUsed}</p>
    {:else if met.ops.length > 0}
      {#if met.otherwise.length > 0}<p>{says.knowsSupplies(met.otherwise.join(', '))}</p>{/if}
      {#if met.brings.length > 0}<p>{says.bringsSupplies(met.brings.join(', '))}</p>{/if}
      {#if met.runs.length > 0}<p>{says.runsHere(knownRunsText(met.runs))}</p>{/if}
      {#if met.levels.length > 0}<p>{says.levelsHere(knownLevelsText(met.levels))}</p>{/if}
      {#if met.room}<p>{says.otherRoom}</p>{/if}
    {:else}
      <p class="text-quiet">{says.agrees}</p>
    {/if}
    {#if met.unknown.length > 0}<p>{says.doesNotKnow(met.unknown.join(', '))}</p>{/if}
    {#if show.mayChange && (met.unknown.length > 0 || met.ops === null || met.ops.length > 0)}
      <p class="flex flex-wrap gap-2 pt-1">
        {#if met.ops && met.ops.length > 0}<button type="button" class="btn btn-primary btn-sm" onclick={use}
            >{says.useThem}</button
          >{/if}
        <button type="button" class="btn btn-sm" onclick={remember}>{says.remember}</button>
      </p>
    {/if}
  {/if}
</section>
