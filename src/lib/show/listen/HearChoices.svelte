<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import type { Candidate } from './candidates';

  interface Props {
    offered: readonly Candidate[];
    /** Keys of those that are chosen. */
    chosen: readonly string[];
    /** What the button for other ways says; null where they are there already. */
    ways: string | null;
    noises: boolean;
    amp: boolean;
    ontoggle: (key: string) => void;
    onways: () => void;
    onfiles: (files: FileList | null) => void;
  }
  /** What is compared: two to six of what is offered, and takes from files. */
  // eslint-disable-next-line prefer-const -- two of them are written to from here
  let { offered, chosen, ways, noises = $bindable(), amp = $bindable(), ontoggle, onways, onfiles }: Props = $props();
</script>

<fieldset class="grid gap-1">
  <legend class="heading mb-1 w-full">{says.compare}</legend>
  <div class="grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
    {#each offered as c (c.key)}
      <label class="flex min-h-10 cursor-pointer items-center gap-3 leading-snug">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={chosen.includes(c.key)}
          onchange={() => ontoggle(c.key)}
        />
        <span class="min-w-0 [overflow-wrap:anywhere]">{c.name}</span>
      </label>
    {/each}
  </div>
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2 pt-1">
    {#if ways}
      <button type="button" class="link" disabled={ways !== says.otherWays} onclick={onways}>{ways}</button>
    {/if}
    <label class="link cursor-pointer"
      >{says.addTakes}<input
        type="file"
        accept="audio/*"
        multiple
        class="sr-only"
        onchange={(event) => onfiles(event.currentTarget.files)}
      /></label
    >
    <label class="flex cursor-pointer items-center gap-2"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={noises} />{says.noises}</label
    >
    <label class="flex cursor-pointer items-center gap-2"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={amp} />{says.amp}</label
    >
  </div>
</fieldset>
