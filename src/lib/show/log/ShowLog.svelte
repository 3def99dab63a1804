<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { recallOps } from '$core/log/recall';
  import { resolve } from '$core/plan/resolved';
  import type { Plan } from '$core/plan/schema';
  import type { LogPage } from '$lib/protocol/log';
  import type { Places } from '$lib/protocol/venues';
  import { request } from '$lib/outbox/outcome';
  import { lineName } from '$lib/show/session/edits';
  import { useShow } from '$lib/show/session/context';
  import VenuePanel from '$lib/venue/VenuePanel.svelte';
  import { dayOf } from '$lib/ui/when';
  import { uuid } from '$lib/uuid';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import LogField from './LogField.svelte';
  import LogRow from './LogRow.svelte';
  import LogSearch from './LogSearch.svelte';
  import { LogBook, type Shown } from './log-book.svelte';

  const { page, places }: { page: LogPage; places: Places } = $props();
  const show = useShow();
  const plan = $derived(show.session.plan);
  const lines = $derived(resolve(plan).lines.map((l) => ({ id: l.id, name: lineName(l), channel: l.info?.channel })));
  const book = untrack(() => new LogBook(show.id, show.name, page, show.rows, () => lines));
  let q = $state('');
  let kind = $state('');

  onMount(() => {
    void book.open(show.feed);
    return () => book.close();
  });

  /** Times of a file are those of whoever takes it along. */
  const file = (as: string): string =>
    `/api/shows/${show.id}/log/file/${as}?zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`;
  const name = (id: string): string | null => lines.find((l) => l.id === id)?.name ?? null;
  const next = $derived(book.lastTake && { take: book.lastTake.take! + 1, song: book.lastTake.song });
  const days = $derived.by(() => {
    const out: { day: string; entries: Shown[] }[] = [];
    for (const entry of book.list) {
      const day = dayOf(entry.at);
      const last = out.at(-1);
      if (last?.day === day) last.entries.push(entry);
      else out.push({ day, entries: [entry] });
    }
    return out;
  });
  const takeName = ({ facts }: Shown): string =>
    facts.song ? says.takeOf(facts.take!, facts.song) : says.take(facts.take!);

  /** Sets the lines of a take as they were then, as one edit. */
  async function recall(entry: Shown): Promise<void> {
    const answer = await request('GET', `/api/shows/${show.id}/revisions/${entry.facts.revision ?? 0}`, undefined);
    if (!answer?.ok) {
      toast.error(answer ? says.tooLongAgo : says.cannotBeReached);
      return;
    }
    const { plan: then } = (await answer.json()) as { plan: Plan };
    const ops = recallOps(plan, then, entry.facts.lines ?? lines.map((l) => l.id));
    if (!ops) toast.error(says.showHasChanged);
    else if (ops.length === 0) toast(says.isSetLikeThat);
    else {
      const what = takeName(entry);
      show.session.do({ id: uuid(), label: { code: 'recall', subject: what }, ops });
      toast.success(says.set(what));
    }
  }
</script>

<main class="mx-auto grid max-w-[860px] gap-4 px-5 py-5 max-sm:px-3.5">
  <h1 class="sr-only">{says.logGuanxi(show.name)}</h1>
  {#if show.mayChange}
    <LogField {lines} lineName={name} {next} onwrite={(text) => book.write(text, show.session.revision)} />
  {/if}
  <VenuePanel {places} />
  {#if book.lane.aside.length > 0}
    <div class="rounded-box border border-warning p-3" role="alert">
      <p class="font-semibold">{says.refused}</p>
      {#each book.lane.aside as { item, why } (item.id)}
        <p class="flex flex-wrap gap-x-3 pt-1">
          <span class="min-w-0 [overflow-wrap:anywhere]">“{item.text}” <span class="text-quiet">{why}</span></span>
          <button type="button" class="link" onclick={() => book.lane.letGo(item)}>{says.letItGo}</button>
        </p>
      {/each}
    </div>
  {/if}
  <div class="flex flex-wrap items-center gap-2">
    <LogSearch
      bind:q
      bind:kind
      label={says.search}
      kindLabel={says.everything}
      onask={() => void book.ask({ q, kind })}
    />
    <span class="flex gap-3 text-quiet">
      {says.asFile}
      <a class="link" href={file('md')} download>{says.markdown}</a>
      <a class="link" href={file('csv')} download>{says.csv}</a>
      <a class="link" href={file('pdf')} download>{says.pdf}</a>
      <a class="link" href={file('report')} download>{says.report}</a>
    </span>
  </div>
  {#if book.unheard}<p class="text-warning" role="status">{says.cannotBeReached}</p>{/if}
  {#if book.list.length === 0}
    {#if q === '' && kind === ''}
      <div class="grid max-w-[60ch] gap-2 py-6">
        <p class="text-[1.1em] font-semibold">{says.nothingYet}</p>
        <p class="text-quiet">{says.teach}</p>
      </div>
    {:else}
      <p class="py-6 text-quiet">{says.nothingFound(q === '' ? kind : q)}</p>
    {/if}
  {/if}
  {#each days as { day, entries } (day)}
    <section>
      <h2 class="heading">{day}</h2>
      <ol>
        {#each entries as entry (entry.id)}
          <LogRow
            {entry}
            lineName={name}
            mayChange={show.mayChange}
            oncorrect={(text) => book.write(text, show.session.revision, entry.id)}
            onrecall={show.mayChange && entry.kind === 'take' && !entry.waiting ? () => recall(entry) : null}
          />
        {/each}
      </ol>
    </section>
  {/each}
  {#if book.more}<button type="button" class="btn justify-self-start" onclick={() => void book.older()}
      >{says.older}</button
    >{/if}
</main>
