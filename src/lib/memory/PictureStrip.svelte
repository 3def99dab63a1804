<script lang="ts">
  import { pictures as says } from '$core/words/screen/pictures';
  import { followCrew } from '$lib/live/crew-feed';
  import { browserRows } from '$lib/outbox/browser-rows';
  import type { PictureOf, PictureThere } from '$lib/protocol/pictures';
  import { shrink } from '$lib/ui/shrink';
  import { dateTime } from '$lib/ui/when';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { Pictures } from './pictures.svelte';

  interface Props {
    of: PictureOf;
    id: string;
    name: string;
    pictures: readonly PictureThere[];
    crewId: string;
    mayChange: boolean;
  }
  /** Pictures of a place, an instrument or a thing: each opens in full; another is taken with one press. */
  const { of, id, name, pictures: there, crewId, mayChange }: Props = $props();
  const all = untrack(() => new Pictures(crewId, { of, id }, browserRows, there));
  onMount(() => followCrew(all));
  let picker = $state<HTMLInputElement>();

  async function add(file: File | undefined): Promise<void> {
    if (picker) picker.value = '';
    const data = file && (await shrink(file).catch(() => null));
    if (data) await all.add(data);
    else if (file) toast.error(says.noPicture);
  }
  /** Taken out at once; it can be put back while the toast stands. */
  async function takeOut(one: { readonly id: string; readonly source: string }): Promise<void> {
    const kept = await fetch(one.source).then(
      async (answer) => shrink(await answer.blob()),
      () => null
    );
    await all.drop(one.id);
    toast(says.takenOut, kept ? { action: { label: says.undo, onClick: () => void all.add(kept) } } : {});
  }
</script>

<section class="grid gap-2" data-pictures>
  {#each all.lane.aside as { item, why } (item.step)}
    <p class="flex flex-wrap gap-x-3 rounded-box border border-warning p-3" role="alert">
      {why} <button type="button" class="link" onclick={() => all.lane.letGo(item)}>{says.letGo}</button>
    </p>
  {/each}
  {#if all.list.length > 0}
    <ul class="flex gap-3 overflow-x-auto" aria-label={says.picturesOf(name)}>
      {#each all.list as p, k (p.id)}
        <li class="grid shrink-0 justify-items-start gap-0.5">
          <a href={p.source} target="_blank" rel="noopener">
            <img class="h-32 rounded-[7px]" src={p.source} alt="{name}, {dateTime(p.at)}" loading="lazy" />
          </a>
          {#if mayChange}<button
              type="button"
              class="link py-1 text-[0.93em] text-quiet"
              aria-label={says.takeOutOne(k + 1, dateTime(p.at))}
              onclick={() => void takeOut(p)}>{says.takeOut}</button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
  {#if mayChange}
    <p>
      <button type="button" class="btn" onclick={() => picker?.click()}>{says.add}</button>
      {#if all.lane.waiting.length > 0}<span class="pl-3 text-quiet" role="status">{says.onItsWay}</span>{/if}
      <input
        bind:this={picker}
        type="file"
        accept="image/*"
        class="hidden"
        aria-label={says.pictureOf(name)}
        onchange={(event) => void add(event.currentTarget.files?.[0])}
      />
    </p>
  {/if}
</section>
