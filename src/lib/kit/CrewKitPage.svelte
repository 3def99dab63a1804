<script lang="ts">
  import { kit as says } from '$core/words/screen/kit';
  import { TYPED_BUT_TICKS, unlessTyping } from '$lib/ui/keys';
  import type { Kit, KitItem } from '$core/kit/schema';
  import { CONDITION_NAMES } from '$core/words/names';
  import { kitItemName } from '$core/words/routes';
  import { Feed } from '$lib/live/feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import type { KitChange } from '$lib/protocol/kit';
  import NotMerged from '$lib/ui/NotMerged.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import Header from '$lib/ui/Header.svelte';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { CrewKit } from './crew-kit.svelte';
  import KitTable from './KitTable.svelte';

  interface Props {
    kit: Kit;
    crewId: string;
  }
  const { kit, crewId }: Props = $props();
  const crew = untrack(() => new CrewKit(kit, crewId, browserRows));
  let history = $state.raw<{ id: string; events: Event[] | null } | null>(null);
  interface Event {
    at: string;
    by: string | null;
    before: KitItem | null;
    after: KitItem | null;
  }
  const STATUS = {
    saved: says.saved,
    saving: says.saving,
    retrying: says.notSavedRetrying,
    'signed-out': says.notSavedSignInAgainIn,
    gone: says.notSaved
  } as const;

  onMount(() => {
    const feed = new Feed('/api/live');
    void crew.open(feed);
    feed.open();
    const when = (act: () => void) => unlessTyping(act, TYPED_BUT_TICKS);
    const stop = tinykeys(window, {
      '$mod+z': when(undo),
      '$mod+Shift+z': when(redo),
      '$mod+Shift+Z': when(redo),
      '$mod+y': when(redo)
    });
    return () => {
      stop();
      crew.close();
      feed.close();
    };
  });
  const undo = (): void => void toast(crew.undo() ? says.undone : says.nothingMoreThere);
  const redo = (): void => void toast(crew.redo() ? says.redone : says.nothingMoreThere);

  async function look(id: string): Promise<void> {
    history = { id, events: null };
    const response = await fetch(`/api/kit/${id}`).catch(() => null);
    if (!response?.ok) {
      history = null;
      toast.error(says.theHistoryCannotBeReachedJust);
      return;
    }
    history = { id, events: ((await response.json()) as { history: Event[] }).history };
  }
  const stepText = (changes: readonly KitChange[]): string => {
    const [{ from, to }] = changes;
    const what = kitItemName((to ?? from)!);
    return changes.length > 1 ? says.andMore(what, changes.length - 1) : what;
  };
  /** What an event changed, field by field. */
  function told({ before, after }: Event): string {
    if (!before) return says.writtenDownOfThem(after?.count ?? 0);
    if (!after) return says.takenOut;
    const parts: string[] = [];
    if (before.count !== after.count) parts.push(`${before.count} → ${after.count}`);
    if (before.condition !== after.condition)
      parts.push(`${CONDITION_NAMES[before.condition]} → ${CONDITION_NAMES[after.condition]}`);
    if (before.place !== after.place) parts.push(says.movedTo(after.place || says.nowhereInParticular));
    if (before.name !== after.name) parts.push(after.name ? says.called(after.name) : says.noOwnName);
    if (before.note !== after.note) parts.push(after.note ? `note: ${after.note}` : says.noteTakenOut);
    return parts.join(', ') || says.changed;
  }
</script>

<Header status={STATUS[crew.save]} statusTone={crew.save === 'retrying' ? 'text-warning font-semibold' : 'text-quiet'}>
  {#snippet extra()}
    <button
      type="button"
      class="text-quiet hover:text-base-content disabled:opacity-40"
      disabled={crew.undoable === 0}
      onclick={undo}>{says.undo}</button
    >
    <button
      type="button"
      class="text-quiet hover:text-base-content disabled:opacity-40 max-sm:hidden"
      disabled={crew.redoable === 0}
      onclick={redo}>{says.redo}</button
    >
  {/snippet}
</Header>
<NotMerged
  items={crew.aside.map(({ item, why }) => ({ id: item.id, what: stepText(item.changes), why, item }))}
  ondecide={(k, mine) => crew.decide(k, mine)}
/>
<main class="pb-12">
  <h1 class="px-5 pt-4 text-[1.35em] font-bold max-sm:px-3.5">{says.theCrewsKit}</h1>
  <KitTable kit={crew.kit} onchange={(changes) => crew.do(changes)} onhistory={(id) => void look(id)} />
</main>
{#if history}
  <Dialog title={says.whatBecameOfIt} onclose={() => (history = null)}>
    {#if history.events === null}<p class="text-quiet" role="status">{says.lookingItUp}</p>
    {:else}
      <ol>
        {#each history.events as event, k (k)}
          <li class="border-base-300 py-1.5 [&+li]:border-t">
            <span class="num text-quiet">{event.at.slice(0, 16).replace('T', ' ')}</span>
            {told(event)}{event.by ? `, ${event.by}` : ''}
          </li>
        {:else}<li class="text-quiet">{says.itCameWithTheFirstList}</li>{/each}
      </ol>
    {/if}
  </Dialog>
{/if}
