<script lang="ts">
  import { FORMULA } from '$core/text/cells';
  import { paper as says } from '$core/words/screen/paper';
  import { kitFor } from '$core/advise/stock';
  import { labelsOf } from '$core/paper/cables';
  import { cardsOf } from '$core/paper/patch';
  import { rowsOfSheet, sheetName, sheetOf } from '$core/paper/sheets';
  import { type PaperInput, SHEET_IDS, type SheetId } from '$core/paper/types';
  import type { LineReport } from '$core/judge/judge';
  import { renew } from '$lib/ui/renew';
  import { page } from '$app/state';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { useShow } from '$lib/show/session/context';
  import type { Printed } from '$lib/protocol/shows';
  import { Ticks } from './ticks.svelte';
  import PaperCards from './PaperCards.svelte';
  import PaperLabels from './PaperLabels.svelte';
  import PaperSheet from './PaperSheet.svelte';
  import { saveFile } from '$lib/ui/save-file';

  interface Props {
    printed: Printed | null;
    ticks: readonly string[];
  }
  const { printed, ticks }: Props = $props();

  const show = useShow();
  const { session } = show;
  const plan = $derived(session.plan);
  type View = SheetId | 'cards' | 'labels';
  /** Sheets by their names; cards behind the settings they show, labels behind the packing. */
  const VIEWS: readonly (readonly [View, string])[] = SHEET_IDS.flatMap((id): (readonly [View, string])[] => [
    [id, sheetName(id)],
    ...(id === 'boxes'
      ? ([['cards', says.cards]] as const)
      : id === 'packing'
        ? ([['labels', says.labels]] as const)
        : [])
  ]);
  let view = $state<View>('patch');
  let size = $state<'A4' | 'LETTER'>('A4');
  let marks = $state(true);
  const ticked = untrack(() => new Ticks(show.id, ticks, show.rows));
  /** Loads anew what was printed; where the network goes in the middle of it, what is shown stays. */
  const again = (): Promise<boolean> => renew(() => true);
  onMount(() => {
    void ticked.open(show.feed);
    const stop = show.feed.on('prints', ({ show: id }) => id === show.id && void again());
    return () => {
      stop();
      ticked.close();
    };
  });

  const reports = $derived(show.judging?.reports ?? new Map());
  const input = $derived<PaperInput>({ plan, kit: kitFor(plan, show.crewKit), reports });
  /** Of what was printed: judged only where there is something to mark against. */
  let then = $state.raw<ReadonlyMap<string, LineReport> | null>(null);
  $effect(() => {
    const of = printed?.plan;
    then = null;
    if (of) void show.judging?.reportsOf(of).then((list) => (then = new Map(list.map((r) => [r.id, r]))));
  });
  const before = $derived<PaperInput | undefined>(
    printed && marks && then ? { plan: printed.plan, kit: printed.kit, reports: then } : undefined
  );
  const sheet = $derived(
    (SHEET_IDS as readonly string[]).includes(view) ? sheetOf(view as SheetId, input, before) : null
  );
  const stamp = $derived(
    printed ? new Date(printed.at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' }) : ''
  );
  const pdfOf = (what: View | 'all'): string =>
    `/api/shows/${show.id}/paper/${what}.pdf?size=${size}&marks=${printed && marks ? 'yes' : 'no'}`;
  const waiting = $derived(session.save !== 'saved');

  async function csv(): Promise<void> {
    if (!sheet) return;
    const { default: Papa } = await import('papaparse');
    // A byte-order mark, or spreadsheets read the signs wrongly.
    const text = Papa.unparse(rowsOfSheet(sheet), { escapeFormulae: FORMULA });
    saveFile(`${show.name} ${view}.csv`, 'text/csv', '\ufeff', text);
  }

  function mayChange(): boolean {
    if (!show.mayChange) toast.error(says.youMayLookAtThisShow);
    return show.mayChange;
  }

  /** Remembers what is on paper now: the next one marks what has changed. */
  async function keep(): Promise<void> {
    if (!mayChange()) return;
    const answer = await fetch(`/api/shows/${show.id}/print`, { method: 'POST' }).catch(() => null);
    if (!answer?.ok) toast.error(says.notNotedAsPrintedTheServer);
    else {
      const { revision: at } = (await answer.json()) as { revision: number };
      toast(says.revisionIsNotedAsPrintedWhat(at));
      await again();
    }
  }

  function tick(key: string, on: boolean): void {
    if (mayChange()) void ticked.put(key, on);
  }
</script>

<main class="pb-16">
  <h1 class="sr-only">{says.paper(show.name)}</h1>
  <div class="no-print flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-base-300 px-5 py-2.5 max-sm:px-3.5">
    <nav aria-label={says.sheets} class="flex min-w-0 gap-1 overflow-x-auto max-sm:-mx-2">
      {#each VIEWS as [id, name] (id)}
        <button
          type="button"
          class="rounded-lg px-2.5 py-1.5 whitespace-nowrap {view === id
            ? 'bg-base-200 font-semibold'
            : 'text-quiet hover:text-base-content'}"
          aria-current={view === id ? 'page' : undefined}
          onclick={() => (view = id)}>{name}</button
        >
      {/each}
    </nav>
    <div class="ml-auto flex flex-wrap items-center gap-2">
      {#if printed && sheet}
        <label class="flex cursor-pointer items-center gap-2 text-quiet">
          <input type="checkbox" class="checkbox checkbox-sm" bind:checked={marks} />
          {says.markWhatChangedSinceRevision(printed.revision, stamp)}
        </label>
      {/if}
      <select class="select w-24 select-sm" aria-label={says.paperSize} bind:value={size}>
        <option value="A4">A4</option>
        <option value="LETTER">{says.letter}</option>
      </select>
      <a
        class="btn btn-sm {waiting ? 'btn-disabled' : ''}"
        href={pdfOf(view)}
        target="_blank"
        rel="noopener"
        aria-disabled={waiting}
        title={waiting ? says.changesAreStillBeingSaved : undefined}>{says.pdf}</a
      >
      <a
        class="btn btn-sm {waiting ? 'btn-disabled' : ''}"
        href={pdfOf('all')}
        target="_blank"
        rel="noopener"
        aria-disabled={waiting}
        title={waiting ? says.changesAreStillBeingSaved : says.everySheetCardsAndLabelsOne}>{says.allAsPdf}</a
      >
      {#if sheet}<button type="button" class="btn btn-sm" onclick={() => void csv()}>{says.csv}</button>{/if}
      <button type="button" class="btn btn-sm" onclick={() => window.print()}>{says.print}</button>
      <button type="button" class="btn btn-outline btn-primary btn-sm" onclick={() => void keep()}
        >{says.noteAsPrinted}</button
      >
    </div>
  </div>
  {#if Object.keys(plan.lines).length === 0}
    <p class="px-5 py-16 text-center text-quiet">
      {says.noLinesYetSoThereIs} <a class="text-primary underline" href="/show/{show.id}">{says.sayOne}</a>.
    </p>
  {:else}
    {#if ['retrying', 'signed-out'].includes(ticked.lane.state)}
      {@const n = ticked.lane.kept}
      <p class="no-print px-5 pt-3 text-warning" role="status">
        {n}
        {n === 1 ? says.tickWaits : says.ticksWait}
        {#if ticked.lane.state === 'signed-out'}{says.toBeSentYouAreSigned}
          <a class="underline" href="/sign-in?to=/show/{show.id}/paper" data-sveltekit-reload>{says.signIn}</a>.
        {:else}{says.forTheNetworkKeptOnThis}{/if}
      </p>
    {/if}
    <div class="px-5 pt-4 max-sm:px-2">
      <article class="paper" data-sheet={view}>
        <header class="flex justify-between gap-4 text-[0.86em]">
          <strong>{show.name}</strong><span>{says.revision(session.revision)}</span>
        </header>
        {#if sheet}
          <PaperSheet {sheet} since={before && printed ? printed.revision : null} ticked={ticked.set} ontick={tick} />
        {:else if view === 'cards'}
          <PaperCards cards={cardsOf(input)} />
        {:else}
          <PaperLabels labels={labelsOf(input)} address={says.showLine(page.url.origin, show.id)} />
        {/if}
      </article>
    </div>
  {/if}
</main>
