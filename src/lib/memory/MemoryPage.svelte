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

  type Choice = { readonly id: string; readonly name: string };
  interface Props {
    page: LogPage;
    /** What the address asks for. */
    ask: Readonly<Partial<Record<'q' | 'kind' | 'show' | 'venue' | 'unit' | 'by', string>>>;
    shows: readonly Choice[];
    venues: readonly Choice[];
    units: readonly Choice[];
    /** Names of instruments: what was logged of one is found by its name. */
    instruments: readonly string[];
    people: readonly string[];
  }
  /** One field over everything that was logged at any show. */
  const { page, ask, shows, venues, units, instruments, people }: Props = $props();
  let [q, kind] = $state(untrack(() => [ask.q ?? '', ask.kind ?? '']));
  const chosen = $state(
    untrack(() => ({ show: ask.show ?? '', venue: ask.venue ?? '', unit: ask.unit ?? '', by: ask.by ?? '' }))
  );
  let instrument = $state('');
  const CHOICES = $derived(
    [
      { key: 'show' as const, label: says.whichShow, all: says.everyShow, list: shows },
      { key: 'venue' as const, label: says.whichVenue, all: says.everyVenue, list: venues },
      { key: 'unit' as const, label: says.whichUnit, all: says.everyUnit, list: units },
      { key: 'by' as const, label: says.byWhom, all: says.everybody, list: people.map((name) => ({ id: name, name })) }
    ].filter(({ list }) => list.length > 0)
  );
  let entries = $state.raw<readonly LogEntry[]>(untrack(() => page.entries));
  let more = $state(untrack(() => page.more));
  let unheard = $state(false);
  let turn = 0;

  async function fetchPage(older: boolean): Promise<void> {
    const now = ++turn;
    // An instrument is asked for by its name, with whatever else is searched.
    const words = [q, instrument].filter((w) => w !== '').join(' ');
    const found = await fetchLog({ q: words, kind, ...$state.snapshot(chosen) }, older ? entries.at(-1) : undefined);
    // Somebody has typed on meanwhile.
    if (now !== turn) return;
    unheard = found === null;
    if (found) [entries, more] = [older ? [...entries, ...found.entries] : found.entries, found.more];
  }
  const filtered = $derived(
    q !== '' || kind !== '' || instrument !== '' || Object.values(chosen).some((v) => v !== '')
  );
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
      {#snippet more(again)}
        {#each CHOICES as { key, label, all, list } (key)}
          <select class="select h-12 w-auto max-w-44 pr-8" aria-label={label} bind:value={chosen[key]} onchange={again}>
            <option value="">{all}</option>
            {#each list as { id, name } (id)}<option value={id}>{name}</option>{/each}
          </select>
        {/each}
        {#if instruments.length > 0}
          <select
            class="select h-12 w-auto max-w-44 pr-8"
            aria-label={says.whichInstrument}
            bind:value={instrument}
            onchange={again}
          >
            <option value="">{says.everyInstrument}</option>
            {#each instruments as name (name)}<option value={name}>{name}</option>{/each}
          </select>
        {/if}
      {/snippet}
    </LogSearch>
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
