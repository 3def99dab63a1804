<script lang="ts">
  import { kitFor } from '$core/advise/stock';
  import { board as says } from '$core/words/screen/board';
  import { page } from '$app/state';
  import { CatchingUp } from '$lib/live/catching-up';
  import type { Checked } from '$lib/protocol/readings';
  import type { LineReport } from '$core/judge/judge';
  import { verdict } from '$core/words/findings';
  import { SEVERITY_NAMES } from '$core/words/names';
  import { lineName } from '$lib/show/session/edits';
  import { useShow } from '$lib/show/session/context';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import { onMount, untrack } from 'svelte';
  import { bracketOf } from './board';
  import { listen } from './board-keys';
  import { Board, provideBoard } from './board-state.svelte';
  import BoardDialogs from './BoardDialogs.svelte';
  import BoardHead from './BoardHead.svelte';
  import { fetchRest } from './fetch-rest';
  import { bringIntoView } from './in-view';
  import LineRow from './LineRow.svelte';
  import TypeField from './TypeField.svelte';

  interface Props {
    live: readonly string[];
    checked: readonly Checked[];
    /** What the server has judged of a revision, sent along. */
    early: { readonly revision: number; readonly rows: readonly LineReport[] };
  }
  const { live, checked: sent, early }: Props = $props();
  let checked = $state.raw(untrack(() => sent));
  const show = useShow();
  const judging = $derived(show.judging);
  const board = provideBoard(
    new Board(
      show,
      () => live,
      () => checked,
      untrack(() => early)
    )
  );
  const news = new CatchingUp(async () => {
    const answer = await fetch(`/api/shows/${show.id}/readings?left`);
    if (answer.ok) ({ checked } = (await answer.json()) as { checked: readonly Checked[] });
  });

  /** There is room for the log beside the board, for those that it is for. */
  let wide = $state(false);
  /** First steps, on a show that nothing stands in yet. */
  let touring = $state(false);
  $effect(() => void (show.at = board.openId));
  onMount(() => {
    // A label's code names the line that it is on.
    const wanted = page.url.searchParams.get('line');
    if (wanted && board.lines.some((l) => l.id === wanted)) void board.open(wanted);
    void fetchRest();
    const room = matchMedia('(min-width: 1680px)');
    const look = (): void => void (wide = room.matches && show.crewId !== '');
    look();
    room.addEventListener('change', look);
    // On a new show there is nothing to look at: one begins to type.
    if (board.lines.length === 0) {
      board.field?.focus();
      void import('./tour-kept').then(({ tourKept }) => (touring = show.mayChange && !tourKept.left()));
    }
    show.help = () => (board.dialog = { kind: 'keys' });
    const stop = listen(board);
    news.follow(show.feed, 'readings', ({ show: of }) => of === show.id);
    return () => {
      room.removeEventListener('change', look);
      news.close();
      stop();
      show.help = null;
      board.tolerance.cancel();
    };
  });

  // The worker's own share of what is fetched behind the first view; asked again when it is needed, should it fail.
  $effect(() => void judging?.ready().catch(() => undefined));

  /** The verdict of what was just said or changed, for those who hear the page. */
  let spoken = $state('');
  $effect(() => {
    const line = board.lines.find((l) => l.id === board.watched);
    const report = line && (board.reports.get(line.id) as LineReport | undefined);
    if (!line || !report || judging?.busy) return;
    spoken = says.nowIs(lineName(line), SEVERITY_NAMES[report.severity], verdict(report));
  });

  // Remedies follow the open line's report.
  $effect(() => {
    const [report, kit] = [board.openReport, kitFor(board.plan, show.crewKit)];
    untrack(() =>
      board.answers.askRemedies(judging, board.plan, report, kit, () => report && void bringIntoView(report.id))
    );
  });
  $effect(() => {
    const report = board.panel === 'hum' ? board.openReport : undefined;
    untrack(() => board.answers.askLoops(judging, board.plan, report));
  });
</script>

<p class="sr-only" role="log" aria-live="polite" data-spoken>{spoken}</p>
<div class={wide ? 'flex items-start' : ''}>
  <main class="min-w-0 flex-1">
    <h1 class="sr-only print:not-sr-only print:px-5 print:pt-4 print:text-[1.4em] print:font-bold">
      {says.lines(show.name)}
    </h1>
    {#if touring}{#await import('./Tour.svelte') then { default: Tour }}<Tour
          onleave={() => (touring = false)}
        />{/await}{/if}
    {#if show.mayChange}<TypeField bind:this={board.field} />{/if}
    {#if judging?.unjudged}
      <div class="px-5"><NotComputed failed={judging.unjudged} what={says.theLines} /></div>
    {/if}
    {#if judging?.failed}<p class="px-5 pt-2 text-error" role="alert">{judging.failed}</p>{/if}

    {#if board.lines.length === 0}
      <div class="px-5 py-16 text-center">
        <p class="text-[1.2em] font-semibold">{says.noLinesYet}</p>
        <p class="pt-1 text-quiet">{says.sayTheFirstOneAboveAs}</p>
        <ul class="mx-auto grid max-w-[34em] gap-2 pt-5 text-left">
          {#each says.firstLines as example (example)}
            <li>
              <button
                type="button"
                class="w-full rounded-[9px] border border-base-300 bg-card px-3 py-2.5 text-left hover:border-primary"
                onclick={() => void board.field?.put(example, true)}>{example}</button
              >
            </li>
          {/each}
          <li class="flex flex-wrap gap-x-6 gap-y-1 pt-2">
            <button type="button" class="text-primary underline" onclick={() => (board.list = '')}
              >{says.pasteAnInputList}</button
            >
            <button type="button" class="text-primary underline" onclick={() => (board.list = says.sampleList)}
              >{says.trySampleList}</button
            >
            <button type="button" class="text-primary underline" onclick={() => (board.dialog = { kind: 'new' })}
              >{says.pickFromLists}</button
            >
            <a class="text-primary underline" href="/">{says.startFromAShow}</a>
          </li>
        </ul>
      </div>
    {:else}
      <BoardHead />
      <ol class="border-primary max-[1200px]:border-t-2">
        {#each board.rows as line, k (line.id)}
          {@const open = board.openId === line.id}
          <li
            data-row={line.id}
            onfocusin={() => (board.currentId = line.id)}
            class="border-b border-base-300 {open ? 'border-b-0' : ''}"
          >
            <LineRow {line} second={board.folded.second.get(line.id)} bracket={bracketOf(board.rows, k)} />
            {#if open}
              {#await import('$lib/show/line/OpenLine.svelte') then { default: OpenLine }}<OpenLine {line} />{/await}
            {/if}
          </li>
        {/each}
      </ol>
      {#if board.rows.length === 0}
        <p class="px-5 py-10 text-center text-quiet">
          {says.noLineIsLikeThat}
          <button type="button" class="text-primary underline" onclick={() => (board.filter = null)}
            >{says.showAll}</button
          >
        </p>
      {/if}
    {/if}
  </main>
  {#if wide}
    {#await import('$lib/show/log/BesideLog.svelte') then { default: BesideLog }}<BesideLog />{/await}
  {/if}
</div>

{#if board.list !== null}
  {#await import('./ListDialog.svelte') then { default: ListDialog }}
    <ListDialog text={board.list} onadd={(specs) => board.addList(specs)} onclose={() => (board.list = null)} />
  {/await}
{/if}
<BoardDialogs />
