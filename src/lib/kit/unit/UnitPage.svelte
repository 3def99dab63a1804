<script lang="ts">
  import { kit as kitSays } from '$core/words/screen/kit';
  import { unit as says } from '$core/words/screen/unit';
  import type { LogEntry } from '$core/log/entry';
  import { runsOnBattery } from '$core/kit/batteries';
  import { livedOn, readLife } from '$core/kit/life';
  import { type Kit, type KitItem, KIT_LIMITS, unitOf } from '$core/kit/schema';
  import { labelTaken, numbered } from '$core/kit/units';
  import { heardText, kindOf } from '$core/words/kit-life';
  import { followCrew } from '$lib/live/crew-feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import { request } from '$lib/outbox/outcome';
  import { changesTo, freshId } from '$lib/kit/changes';
  import { CrewKit } from '$lib/kit/crew-kit.svelte';
  import { STATUS } from '$lib/kit/save-words';
  import PictureStrip from '$lib/memory/PictureStrip.svelte';
  import type { PictureThere } from '$lib/protocol/pictures';
  import type { KitEvent } from '$lib/protocol/kit';
  import Fact from '$lib/ui/Fact.svelte';
  import Header from '$lib/ui/Header.svelte';
  import { today } from '$lib/ui/when';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import UnitFacts from './UnitFacts.svelte';
  import UnitLife from './UnitLife.svelte';

  interface Props {
    id: string;
    kit: Kit;
    history: readonly KitEvent[];
    notes: readonly LogEntry[];
    pictures: readonly PictureThere[];
    crewId: string;
    mayChange: boolean;
  }
  /** One thing of the kit with its life: what it is and where, what is typed of it, and all that became of it. */
  const { id, kit, history, notes, pictures, crewId, mayChange }: Props = $props();
  const crew = untrack(() => new CrewKit(kit, crewId, browserRows));
  let events = $state.raw(untrack(() => history));
  let typed = $state('');
  const item = $derived(crew.kit[id] as KitItem | undefined);
  const last = $derived(item ?? events.find((e) => e.before)?.before ?? null);
  const unit = $derived(last && unitOf(last));
  const heard = $derived(typed.trim() === '' ? null : readLife(typed));

  onMount(() => followCrew(crew));
  // What has been saved, here or elsewhere, is part of its life.
  let asked = untrack(() => item);
  $effect(() => {
    const now = item;
    if (crew.save !== 'saved') return;
    if (now === asked && said === 0) return;
    [asked, said] = [now, 0];
    void request('GET', `/api/kit/${id}`, undefined).then(async (answer) => {
      if (answer?.ok) events = ((await answer.json()) as { history: KitEvent[] }).history;
    });
  });
  /** How much was said since its life was asked for. */
  let said = $state(0);

  function say(text: string): void {
    if (!item || text.trim() === '') return;
    crew.do([{ id, from: item, to: livedOn(item, readLife(text), today()), said: text.trim() }]);
    said++;
    typed = '';
  }
  function edit(change: Partial<KitItem>): void {
    if (!item) return;
    const next = { ...item, ...change } as KitItem;
    const label = unitOf(next)?.label;
    if (label !== undefined && labelTaken(crew.kit, label, id)) {
      toast.error(kitSays.isThereAlready(label));
      return;
    }
    crew.do(changesTo(crew.kit, { ...crew.kit, [id]: next }));
  }
  function number(): void {
    const next = numbered(crew.kit, id, '', freshId);
    if (next) crew.do(changesTo(crew.kit, next));
  }
</script>

<Header status={STATUS[crew.save]} statusTone={crew.save === 'retrying' ? 'text-warning font-semibold' : 'text-quiet'}>
  {#snippet extra()}
    <button
      type="button"
      class="text-quiet hover:text-base-content disabled:opacity-40"
      disabled={crew.undoable === 0}
      onclick={() => crew.undo()}>{kitSays.undo}</button
    >
  {/snippet}
</Header>
<main class="mx-auto grid max-w-[860px] gap-5 px-5 py-5 max-sm:px-3.5">
  <p class="flex flex-wrap gap-x-4">
    <a class="link" href="/kit">{says.kit}</a>
    {#if unit}<a class="ml-auto link" href="/api/kit/labels?of={id}" target="_blank">{kitSays.labels}</a>{/if}
  </p>
  {#if last}
    <div>
      <h1 class="flex flex-wrap items-baseline gap-x-3 text-[1.35em] font-bold">
        {#if unit}<span class="rounded border-2 border-base-content px-2 leading-snug">{unit.label}</span>{/if}
        <span>{last.count > 1 ? `${last.count} × ` : ''}{kindOf(last)}</span>
      </h1>
      <UnitFacts item={last} />
    </div>
  {/if}
  {#if !item}
    <p class="text-quiet">{says.gone}</p>
  {:else if mayChange}
    <form
      class="grid gap-2"
      onsubmit={(event) => {
        event.preventDefault();
        say(typed);
      }}
    >
      <label class="sr-only" for="life">{says.whatHappened}</label>
      <div class="flex flex-wrap gap-2">
        <input
          id="life"
          class="input min-w-0 flex-1 basis-60"
          autocomplete="off"
          maxlength={KIT_LIMITS.note}
          placeholder={says.whatHappenedFor}
          bind:value={typed}
        />
        <button class="btn btn-primary" disabled={typed.trim() === ''}>{says.write}</button>
      </div>
      <p class="min-h-[1.4em] text-quiet" role="status">{heard ? says.readAs(heardText(heard)) : ''}</p>
      <p class="flex flex-wrap gap-2">
        {#if item.condition === 'works'}
          <button type="button" class="btn" onclick={() => say(says.fails)}>{says.fails}</button>
          <button type="button" class="btn" onclick={() => say(says.tested)}>{says.tested}</button>
        {:else}
          <button type="button" class="btn" onclick={() => say(says.works)}>{says.works}</button>
        {/if}
        {#if runsOnBattery(item) && unit}
          <button type="button" class="btn" onclick={() => say(says.newBattery)}>{says.newBattery}</button>
        {/if}
      </p>
    </form>
    <div class="grid grid-cols-2 gap-x-6 gap-y-3 max-sm:grid-cols-1">
      {#if unit && item.kind !== 'battery'}
        <Fact
          name={says.number}
          value={unit.label}
          most={KIT_LIMITS.label}
          onset={(label) => label && edit({ unit: { ...unit, label } })}
        />
        <Fact
          name={says.serial}
          value={unit.serial}
          most={KIT_LIMITS.serial}
          onset={(serial) => edit({ unit: { ...unit, serial } })}
        />
      {:else if item.kind !== 'battery'}
        <p class="col-span-full text-quiet">
          {says.noNumber}
          <button type="button" class="link" onclick={number}
            >{item.count === 1 ? says.numberIt : kitSays.numberThem}</button
          >
        </p>
      {/if}
      <Fact name={says.whereItIs} value={item.place} most={KIT_LIMITS.text} onset={(place) => edit({ place })} />
      <Fact long name={says.noteOnIt} value={item.note} most={KIT_LIMITS.note} onset={(note) => edit({ note })} />
    </div>
  {/if}
  {#if last}<PictureStrip
      of="unit"
      {id}
      name={kindOf(last)}
      {pictures}
      {crewId}
      mayChange={mayChange && item !== undefined}
    />{/if}
  <UnitLife {events} {notes} />
</main>
