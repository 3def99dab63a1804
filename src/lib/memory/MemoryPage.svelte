<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { isTyped, type LogEntry, stands } from '$core/log/entry';
  import { KIND_NAMES } from '$core/words/log';
  import type { LogPage } from '$lib/protocol/log';
  import { fetchLog } from '$lib/show/log/fetch-log';
  import LogSearch from '$lib/show/log/LogSearch.svelte';
  import ReadAs from '$lib/show/log/ReadAs.svelte';
  import Header from '$lib/ui/Header.svelte';
  import { dateTime } from '$lib/ui/when';
  import { untrack } from 'svelte';

  interface Props {
    page: LogPage;
    shows: readonly { readonly id: string; readonly name: string }[];
    venues: readonly { readonly id: string; readonly name: string }[];
    people: readonly string[];
  }
  /** One field over everything that was logged at any show. */
  const { page, shows, venues, people }: Props = $props();
  let [q, kind, show, venue, by] = $state(['', '', '', '', '']);
  let entries = $state.raw<readonly LogEntry[]>(untrack(() => page.entries));
  let more = $state(untrack(() => page.more));
  let unheard = $state(false);
  let turn = 0;

  async function fetchPage(older: boolean): Promise<void> {
    const now = ++turn;
    const found = await fetchLog({ q, kind, show, venue, by }, older ? entries.at(-1) : undefined);
    // Somebody has typed on meanwhile.
    if (now !== turn) return;
    unheard = found === null;
    if (found) [entries, more] = [older ? [...entries, ...found.entries] : found.entries, found.more];
  }
  const filtered = $derived(q !== '' || venue !== '' || kind !== '' || show !== '' || by !== '');
</script>

<Header />
<main class="mx-auto grid max-w-[860px] gap-4 px-5 py-5 max-sm:px-3.5">
  <h1 class="text-[1.3em] font-bold">{says.memory}</h1>
  <div class="flex flex-wrap gap-2">
    <LogSearch
      bind:q
      bind:kind
      label={says.searchMemory}
      kindLabel={says.whatKind}
      large
      onask={() => void fetchPage(false)}
    >
      {#snippet more(ask)}
        <select class="select h-12 w-auto" aria-label={says.whichShow} bind:value={show} onchange={ask}>
          <option value="">{says.everyShow}</option>
          {#each shows as s (s.id)}<option value={s.id}>{s.name}</option>{/each}
        </select>
        {#if venues.length > 0}
          <select class="select h-12 w-auto" aria-label={says.whichVenue} bind:value={venue} onchange={ask}>
            <option value="">{says.everyVenue}</option>
            {#each venues as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
          </select>
        {/if}
      {/snippet}
    </LogSearch>
    {#if people.length > 1}
      <select
        class="select h-12 w-auto"
        aria-label={says.byWhom}
        bind:value={by}
        onchange={() => void fetchPage(false)}
      >
        <option value="">{says.everybody}</option>
        {#each people as person (person)}<option value={person}>{person}</option>{/each}
      </select>
    {/if}
  </div>
  {#if unheard}<p class="text-warning" role="status">{says.memoryCannotBeReached}</p>{/if}
  {#if entries.length === 0}
    <p class="max-w-[60ch] py-6 text-quiet">
      {filtered ? says.nothingFound(q === '' ? says.thisChoice : q) : says.teachMemory}
    </p>
  {/if}
  <ol aria-live="polite">
    {#each entries as e (e.id)}
      <li class="border-b border-base-300 py-2 leading-snug" data-entry={e.kind}>
        <p class="[overflow-wrap:anywhere] {isTyped(e.kind) ? 'font-semibold' : ''}">
          {stands(e)}
        </p>
        <p class="flex flex-wrap items-center gap-x-2 gap-y-1 pt-0.5 text-[0.93em] text-quiet">
          <a class="link" href="/show/{e.show}/log">{e.place}</a>
          <span>{[dateTime(e.at), KIND_NAMES[e.kind], e.by].filter((t) => t !== null).join(', ')}</span>
          <ReadAs facts={{ ...e.facts, lines: [] }} tags={e.tags} lineName={() => null} />
        </p>
      </li>
    {/each}
  </ol>
  {#if more}<button type="button" class="btn justify-self-start" onclick={() => void fetchPage(true)}
      >{says.older}</button
    >{/if}
</main>
