<script lang="ts">
  import { upper } from '$core/words/article';
  import { grounds as says } from '$core/words/screen/grounds';
  import { modelAt } from '$core/plan/devices';
  import { type Link, LINKS } from '$core/gear/links';
  import { choicesOf, DeviceSettings } from '$core/gear/catalogue';
  import { MAX_METRES } from '$core/gear/cables';
  import type { EarthMap, EarthPoint } from '$core/trace/map';
  import type { Edit, Plan } from '$core/plan/schema';
  import { CABLE_NAMES, choiceName, modelName } from '$core/words/names';
  import { EARTH_STAYS, feedText, LINK_NAMES } from '$core/words/trace';
  import { untrack } from 'svelte';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { addLink, dropLink, setCable, setDevice, setHostSupply, setSupply, setTouch } from '$lib/show/session/edits';

  interface Props {
    plan: Plan;
    map: EarthMap;
    point: EarthPoint;
    name: string;
    nameOf: (id: string) => string;
    onedit: (edit: Edit | null) => boolean;
    onclose: () => void;
  }
  /** One chassis: where it is plugged in, and what its shields do. What changes is seen on the map at once. */
  const { plan, map, point, name, nameOf, onedit, onclose }: Props = $props();

  const [kind, id] = $derived(point.id.split(':') as ['host' | 'device', string]);
  const supplies = $derived(Object.entries(plan.supplies).map(([value, s]) => ({ value, text: s.name })));
  const threads = $derived(kind === 'device' ? map.threads.filter((t) => t.from === point.id) : []);
  const cables = $derived([...new Set(threads.flatMap((t) => t.cables))]);
  const boxes = $derived(
    [...new Set(cables.map((c) => plan.cables[c].to.device))].filter(
      (d) => 'lift' in modelAt(plan, d).options && modelAt(plan, d).family === 'box'
    )
  );
  const feeds = $derived(kind === 'device' ? choicesOf(modelAt(plan, id), 'feed') : []);
  /** What of it may touch metal: the chassis itself, a box without mains of its own on its way, the far plug of a lead. */
  const metal = $derived(
    kind === 'host'
      ? []
      : [
          { what: point.id, text: says.itsChassis },
          ...boxes.map((b) => ({ what: `device:${b}`, text: upper(modelName(plan.devices[b].model)) })),
          ...cables.map((c) => ({
            what: `cable:${c}`,
            text: says.plugOfThe(CABLE_NAMES[plan.cables[c].kind])
          }))
        ]
  );
  const others = $derived([
    { value: '', text: 'nothing' },
    ...supplies.map(({ value, text }) => ({ value: `supply:${value}`, text: says.metalEarthedAt(text) })),
    ...map.points.filter((p) => p.id !== point.id).map((p) => ({ value: p.id, text: nameOf(p.id) }))
  ]);
  const touched = (what: string): string =>
    Object.values(plan.touches ?? {}).find((t) => t.a === what && !t.by)?.b ?? '';
  /** Of this chassis, cables that are not for sound. */
  const links = $derived(Object.entries(plan.touches ?? {}).filter(([, t]) => t.a === point.id && t.by));
  const otherName = (to: string): string => others.find(({ value }) => value === to)?.text ?? to;
  let linkBy = $state<Link>('usb');
  let linkTo = $state('');
  let linking = $state(false);
  let refused = $state(false);
  $effect(() => {
    void id;
    refused = false;
    linkTo = '';
    linking = untrack(() => links.length > 0);
  });
</script>

<section class="border-t border-base-300 pt-3" aria-label={name}>
  <div class="flex items-start justify-between gap-3">
    <h2 class="font-bold">{name} <span class="font-normal text-quiet">{feedText(point)}</span></h2>
    <button type="button" class="px-1 text-quiet hover:text-base-content" onclick={onclose}>{says.close}</button>
  </div>
  {#if kind === 'host'}
    <ChoiceField
      label={says.onSupply}
      value={plan.hosts[id].supply ?? ''}
      choices={[...(plan.hosts[id].supply ? [] : [{ value: '', text: says.notSaid }]), ...supplies]}
      onset={(value) => onedit(setHostSupply(plan, id, value))}
    />
  {:else}
    {#if feeds.length > 1}
      <ChoiceField
        label={says.fedBy}
        value={point.feed}
        choices={feeds.map((value) => ({ value, text: choiceName('feed', value) }))}
        onset={(value) => onedit(setDevice(plan, id, name, 'feed', value))}
      />
    {/if}
    {#if point.feed.startsWith('mains')}
      <ChoiceField
        label={says.onSupply}
        value={point.supply ?? ''}
        choices={[...(point.supply ? [] : [{ value: '', text: says.notSaid }]), ...supplies]}
        onset={(value) => onedit(setSupply(plan, id, name, value))}
      />
    {/if}
  {/if}
  {#each boxes as box (box)}
    {@const read = new DeviceSettings(modelAt(plan, box), plan.devices[box].settings)}
    <ChoiceField
      label={says.groundAtThe(modelName(plan.devices[box].model))}
      value={read.choice('lift')}
      choices={choicesOf(modelAt(plan, box), 'lift').map((value) => ({
        value,
        text: choiceName('lift', value)
      }))}
      onset={(value) => onedit(setDevice(plan, box, name, 'lift', value))}
    />
  {/each}
  {#each cables as cable (cable)}
    <QuantityField
      label={CABLE_NAMES[plan.cables[cable].kind]}
      kind="length"
      value={plan.cables[cable].metres}
      low={0}
      high={MAX_METRES}
      onset={(metres) => onedit(setCable(plan, cable, name, { metres }))}
    />
  {/each}
  {#if metal.length > 0}
    <details class="py-1" open={metal.some((m) => touched(m.what))}>
      <summary class="cursor-pointer py-1">{says.whatTouchesMetalRackRailsA}</summary>
      {#each metal as { what, text } (what)}
        <ChoiceField
          label={text}
          value={touched(what)}
          choices={others}
          onset={(other) => onedit(setTouch(plan, what, name, other))}
        />
      {/each}
    </details>
  {/if}
  {#if kind === 'device'}
    <details class="py-1" bind:open={linking}>
      <summary class="cursor-pointer py-1">{says.otherCables}</summary>
      <ul>
        {#each links as [link, { by, b }] (link)}
          <li class="flex items-center justify-between gap-3 py-1">
            <span>{upper(LINK_NAMES[by!])} → {otherName(b)}</span>
            <button
              type="button"
              class="px-1 text-quiet underline hover:text-base-content"
              onclick={() => onedit(dropLink(plan, link, name))}
              aria-label={says.takeOut(LINK_NAMES[by!], otherName(b))}>{says.remove}</button
            >
          </li>
        {/each}
      </ul>
      <form
        class="flex flex-wrap items-end gap-2 py-1"
        onsubmit={(event) => {
          event.preventDefault();
          if (linkTo && onedit(addLink(plan, point.id, name, linkBy, linkTo))) linkTo = '';
        }}
      >
        <label class="grow"
          ><span class="block text-[0.93em] text-quiet">{says.what}</span><select
            class="select w-full select-sm"
            aria-label={says.what}
            bind:value={linkBy}
            >{#each LINKS as by (by)}<option value={by}>{LINK_NAMES[by]}</option>{/each}</select
          ></label
        >
        <label class="grow"
          ><span class="block text-[0.93em] text-quiet">{says.to}</span><select
            class="select w-full select-sm"
            aria-label={says.to}
            bind:value={linkTo}
            >{#each others as { value, text } (value)}<option {value}>{value ? text : ''}</option>{/each}</select
          ></label
        >
        <button class="btn btn-outline btn-sm" disabled={!linkTo}>{says.add}</button>
      </form>
    </details>
  {/if}
  {#if point.feed === 'mains-1'}
    {#if refused}
      <div class="mt-1 border-l-4 border-danger pl-3" role="alert">
        {#each EARTH_STAYS as text (text)}<p class="py-0.5 leading-snug">{text}</p>{/each}
      </div>
    {:else}
      <button type="button" class="py-2 text-quiet underline hover:text-base-content" onclick={() => (refused = true)}
        >{says.liftItsMainsEarth}</button
      >
    {/if}
  {/if}
</section>
