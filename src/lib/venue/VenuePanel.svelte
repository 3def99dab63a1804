<script lang="ts">
  import { venue as says } from '$core/words/screen/venue';
  import { atSocketText, knownRunsText, socketText } from '$core/words/venue';
  import { socketsOf } from '$core/venue/line-sockets';
  import { learn, meet } from '$core/venue/meet';
  import { blankVenue, type Venue } from '$core/venue/schema';
  import { CatchingUp } from '$lib/live/catching-up';
  import { request } from '$lib/outbox/outcome';
  import type { VenueOf } from '$lib/protocol/venues';
  import { useShow } from '$lib/show/session/context';
  import { uuid } from '$lib/uuid';
  import { putVenue } from './put-venue';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';

  /** Where the show is played: what is known of the place, taken into the show and given back to it. */
  const show = useShow();
  const plan = $derived(show.session.plan);
  let here = $state.raw<{ id: string; venue: Venue } | null>(null);
  let venues = $state.raw<readonly VenueOf[]>([]);
  let loaded = $state(false);
  let choosing = $state(false);
  let typed = $state('');
  const path = `/api/shows/${show.id}/venue`;
  const news = new CatchingUp(async () => {
    const answer = await request('GET', path, undefined);
    if (!answer?.ok) return;
    ({ here, venues } = (await answer.json()) as { here: typeof here; venues: VenueOf[] });
    loaded = true;
  });
  onMount(() => {
    news.follow(show.feed, 'venues', () => true);
    void news.now();
    return () => news.close();
  });
  const met = $derived(here && meet(plan, here.venue, () => `v${uuid().slice(0, 8)}`));
  const wrong = $derived(here ? socketsOf(plan, here.venue).filter((s) => s.wrong !== null) : []);
  const bad = $derived(here?.venue.sockets.filter((s) => s.is !== 'note').map(socketText) ?? []);

  async function put(id: string, from: Venue | null, to: Venue): Promise<boolean> {
    const not = await putVenue(id, from, to);
    if (not) toast.error(not.why);
    return not === null;
  }
  async function choose(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const name = typed.trim();
    const known = venues.find((v) => v.venue.name.toLowerCase() === name.toLowerCase());
    const id = name === '' ? null : (known?.id ?? uuid());
    // A new place begins with what this show knows of it.
    if (id && !known && !(await put(id, null, learn(blankVenue(name), plan)))) return;
    const answer = await request('PUT', path, JSON.stringify({ venue: id }));
    if (!answer?.ok) {
      toast.error(says.cannotBeSaved);
      return;
    }
    choosing = false;
    await news.now();
  }
  function use(): void {
    const { name } = here!.venue;
    show.session.do({ id: uuid(), label: { code: 'venue', subject: name.slice(0, 80) }, ops: [...met!.ops!] });
    toast.success(says.used(name));
  }
  async function remember(): Promise<void> {
    if (await put(here!.id, here!.venue, learn(here!.venue, plan))) toast.success(says.remembered(here!.venue.name));
    await news.now();
  }
</script>

{#if loaded}
  <section class="grid gap-1 rounded-box border border-base-300 p-3 leading-snug" aria-label={says.playedAt} data-venue>
    {#if choosing}
      <form class="flex flex-wrap gap-2" onsubmit={choose}>
        <label class="w-full font-semibold" for="venue-name">{says.whereIsIt}</label>
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
          {#each venues as v (v.id)}<option value={v.venue.name}></option>{/each}
        </datalist>
        <button class="btn btn-primary">{says.isHere}</button>
      </form>
    {:else}
      <p class="flex flex-wrap gap-x-3">
        <span>{says.playedAt} <strong>{here?.venue.name ?? says.nowhere}</strong></span>
        {#if here}<a class="link" href="/memory/venues/{here.id}">{says.open}</a>{/if}
        {#if show.mayChange}
          <button type="button" class="link" onclick={() => ((choosing = true), (typed = here?.venue.name ?? ''))}
            >{here ? says.change : says.whereIsIt}</button
          >
        {/if}
      </p>
    {/if}
    {#if here && met && !choosing}
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
          <button type="button" class="btn btn-sm" onclick={() => void remember()}>{says.remember}</button>
        </p>
      {/if}
    {/if}
  </section>
{/if}
