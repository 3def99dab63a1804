<script lang="ts">
  import { kit as says } from '$core/words/screen/kit';
  import { TYPED_BUT_TICKS, unlessTyping } from '$lib/ui/keys';
  import type { Kit } from '$core/kit/schema';
  import { kitItemName } from '$core/words/routes';
  import { followCrew } from '$lib/live/crew-feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import type { KitChange } from '$lib/protocol/kit';
  import NotMerged from '$lib/ui/NotMerged.svelte';
  import Header from '$lib/ui/Header.svelte';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { tinykeys } from 'tinykeys';
  import { CrewKit } from './crew-kit.svelte';
  import KitTable from './KitTable.svelte';
  import { STATUS } from './save-words';

  interface Props {
    kit: Kit;
    crewId: string;
  }
  const { kit, crewId }: Props = $props();
  const crew = untrack(() => new CrewKit(kit, crewId, browserRows));

  onMount(() => {
    const leave = followCrew(crew);
    const when = (act: () => void) => unlessTyping(act, TYPED_BUT_TICKS);
    const stop = tinykeys(window, {
      '$mod+z': when(undo),
      '$mod+Shift+z': when(redo),
      '$mod+Shift+Z': when(redo),
      '$mod+y': when(redo)
    });
    return () => {
      stop();
      leave();
    };
  });
  const undo = (): void => void toast(crew.undo() ? says.undone : says.nothingMoreThere);
  const redo = (): void => void toast(crew.redo() ? says.redone : says.nothingMoreThere);

  const stepText = (changes: readonly KitChange[]): string => {
    const [{ from, to }] = changes;
    const what = kitItemName((to ?? from)!);
    return changes.length > 1 ? says.andMore(what, changes.length - 1) : what;
  };
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
  <KitTable kit={crew.kit} onchange={(changes) => crew.do(changes)} lives />
</main>
