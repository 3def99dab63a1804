<script lang="ts">
  import { log as says } from '$core/words/screen/log';
  import { resolve } from '$core/plan/resolved';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import { keptChoice } from '$lib/ui/kept-choice.svelte';
  import { onMount, untrack } from 'svelte';
  import LogField from './LogField.svelte';
  import LogRow from './LogRow.svelte';
  import { LogBook } from './log-book.svelte';

  /** The log beside the board, where there is room: what happens is typed without leaving it, and what others do is seen. */
  const show = useShow();
  const lines = $derived(
    resolve(show.session.plan).lines.map((l) => ({ id: l.id, name: lineName(l), channel: l.info?.channel }))
  );
  const book = untrack(() => new LogBook(show.id, show.name, { entries: [], more: false }, show.rows, () => lines));
  const name = (id: string): string | null => lines.find((l) => l.id === id)?.name ?? null;
  const next = $derived(book.lastTake && { take: book.lastTake.take! + 1, song: book.lastTake.song });
  const hidden = keptChoice('log-beside-hidden');
  /** Of the log, so much stands here; all of it has a page of its own. */
  const MOST = 60;
  onMount(() => {
    void book.open(show.feed);
    void book.ask({ q: '', kind: '' });
    return () => book.close();
  });
</script>

{#if hidden.on}
  <button
    type="button"
    class="no-print fixed top-16 right-0 z-20 rounded-l-[9px] border border-r-0 border-base-300 bg-card px-2 py-3 text-quiet hover:text-base-content"
    style="writing-mode: vertical-rl"
    onclick={() => (hidden.on = false)}>{says.logBeside}</button
  >
{:else}
  <aside
    class="no-print sticky top-0 grid max-h-dvh min-h-[calc(100dvh-48px)] w-[380px] shrink-0 content-start gap-2 overflow-y-auto border-l border-base-300 px-4 pt-2.5 pb-8"
    aria-label={says.logBeside}
    data-log-beside
  >
    <p class="flex items-baseline gap-x-3">
      <a class="link font-semibold" href="/show/{show.id}/log">{says.logBeside}</a>
      <button type="button" class="ml-auto text-quiet hover:text-base-content" onclick={() => (hidden.on = true)}
        >{says.hideIt}</button
      >
    </p>
    {#if show.mayChange}
      <LogField {lines} lineName={name} {next} short onwrite={(text) => book.write(text, show.session.revision)} />
    {/if}
    {#if book.unheard}<p class="text-warning" role="status">{says.cannotBeReached}</p>{/if}
    <ol>
      {#each book.list.slice(0, MOST) as entry (entry.id)}
        <LogRow
          {entry}
          lineName={name}
          mayChange={show.mayChange}
          oncorrect={(text) => book.write(text, show.session.revision, entry.id)}
          onrecall={null}
        />
      {:else}<li class="text-quiet">{says.nothingYet}</li>
      {/each}
    </ol>
  </aside>
{/if}
