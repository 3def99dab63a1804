<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';

  import { record, type Recording } from '$lib/show/analyse/microphone';
  import { resampled } from '$core/hear/align';
  import { onMount } from 'svelte';
  import { toast } from 'svelte-sonner';
  import type { HearDesk } from './hear-desk.svelte';

  /** What is compared: two to six of what is offered, and takes from files or recorded here. */
  const { desk }: { desk: HearDesk } = $props();
  let recording = $state.raw<Recording | null>(null);
  let seconds = $state(0);
  let count = 0;
  onMount(() => () => void recording?.stop());
  const busy = $derived(desk.search.progress !== null || desk.hearing.progress !== null);
  const there = (of: string): boolean => desk.found.some((c) => c.key.startsWith(of));

  async function files(list: FileList | null): Promise<void> {
    for (const why of await desk.takeFiles(list ?? [])) toast.error(why);
  }
  async function toggleRecording(): Promise<void> {
    if (!recording) {
      seconds = 0;
      recording = await record((s) => (seconds = s)).catch((error: Error) => {
        toast.error(error.message);
        return null;
      });
      return;
    }
    const done = recording;
    recording = null;
    const { samples, rate } = await done.stop();
    desk.addTake(says.recordedTake(++count), resampled(samples, rate, desk.player.rate));
  }
</script>

<fieldset class="grid gap-1">
  <legend class="heading mb-1 w-full">{says.compare}</legend>
  <div class="grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
    {#each desk.offered as c (c.key)}
      <label class="flex min-h-10 cursor-pointer items-center gap-3 leading-snug">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={desk.chosen.includes(c.key)}
          onchange={() => desk.toggle(c.key)}
        />
        <span class="min-w-0 [overflow-wrap:anywhere]">{c.name}</span>
      </label>
    {/each}
  </div>
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2 pt-1">
    {#if !there('way')}
      <button type="button" class="link" disabled={busy} onclick={() => void desk.otherWays()}
        >{desk.search.progress === null ? says.otherWays : says.lookingForWays}</button
      >
    {/if}
    {#if !there('tolerance')}
      <button type="button" class="link" disabled={busy} onclick={() => void desk.variants('tolerance')}
        >{says.tolerance}</button
      >
    {/if}
    {#if !there('faults')}
      <button type="button" class="link" disabled={busy} onclick={() => void desk.variants('faults')}
        >{says.faults}</button
      >
    {/if}
    <label class="link cursor-pointer"
      >{says.addTakes}<input
        type="file"
        accept="audio/*"
        multiple
        class="sr-only"
        onchange={(event) => void files(event.currentTarget.files)}
      /></label
    >
    <button type="button" class="link {recording ? 'text-error' : ''}" onclick={() => void toggleRecording()}
      >{recording ? says.stopRecording(Math.floor(seconds)) : says.recordTake}</button
    >
    <label class="flex cursor-pointer items-center gap-2"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={desk.noises} />{says.noises}</label
    >
    <label class="flex cursor-pointer items-center gap-2"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={desk.amp} />{says.amp}</label
    >
    <label class="flex cursor-pointer items-center gap-2"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={desk.room} />{says.roomNoise}</label
    >
  </div>
</fieldset>
