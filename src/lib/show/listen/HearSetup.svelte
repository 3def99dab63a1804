<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { SOUND_IDS, type SoundId } from '$core/hear/sounds';
  import { SOUND_NAMES } from '$core/words/hear';
  import { lineName } from '$lib/show/session/edits';
  import { toast } from 'svelte-sonner';
  import type { HearDesk } from './hear-desk.svelte';

  /** Which line, what is played, and what is around it. */
  const { desk }: { desk: HearDesk } = $props();
  async function file(files: FileList | null, as: 'own' | 'bed'): Promise<void> {
    const why = files?.[0] ? await desk.takeRecording(files[0], as) : null;
    if (why) toast.error(why);
  }
</script>

<div class="flex flex-wrap items-end gap-x-5 gap-y-3">
  <label class="grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{says.whichLine}</span>
    <select class="select w-56" value={desk.line?.id} onchange={(event) => void desk.take(event.currentTarget.value)}>
      {#each desk.lines as l (l.id)}<option value={l.id}>{lineName(l)}</option>{/each}
    </select></label
  >
  <label class="grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{says.whatPlays}</span>
    <select
      class="select w-64"
      value={desk.sound}
      onchange={(event) => (desk.chosenSound = event.currentTarget.value as SoundId | 'own')}
    >
      {#each SOUND_IDS as id (id)}<option value={id}>{SOUND_NAMES[id]}</option>{/each}
      {#if desk.own}<option value="own">{says.ownPlays(desk.own.name)}</option>{/if}
    </select></label
  >
  {#if desk.sound === 'own'}
    <label class="grid gap-0.5"
      ><span class="text-[0.93em] text-quiet">{says.recordedThrough}</span>
      <select class="select w-64" bind:value={desk.ownThrough}>
        {#each desk.ways as w (w.key)}<option value={w.key}>{w.key === 'nothing' ? says.itIsDry : w.name}</option
          >{/each}
      </select></label
    >
  {/if}
  <label class="grid gap-0.5"
    ><span class="text-[0.93em] text-quiet">{says.around}</span>
    <select class="select w-56" bind:value={desk.mix}>
      <option value="alone">{says.alone}</option>
      {#if desk.lines.length > 1}<option value="lines">{says.withOthers}</option>{/if}
      {#if desk.bed}<option value="own">{says.withBed(desk.bed.name)}</option>{/if}
    </select></label
  >
</div>
<div class="-mt-2 flex flex-wrap gap-x-5">
  {@render picker('own', says.ownFile)}{@render picker('bed', says.bedFile)}
</div>

{#snippet picker(as: 'own' | 'bed', name: string)}
  <label class="link cursor-pointer py-2"
    >{name}<input
      type="file"
      accept="audio/*"
      class="sr-only"
      onchange={(event) => void file(event.currentTarget.files, as)}
    /></label
  >
{/snippet}
