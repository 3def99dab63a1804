<script lang="ts">
  import { ui as uiSays } from '$core/words/screen/ui';
  import { saveFile } from '$lib/ui/save-file';
  import type { Line } from '$core/plan/lines';
  import { check as says } from '$core/words/screen/check';
  import { useShow } from '$lib/show/session/context';
  import { type Standing, STANDING_COLOURS } from './check-state';
  import type { Reading } from '$core/linecheck/reading';
  import type { ReadingLog } from './reading-log.svelte';

  interface Props {
    lines: readonly Line[];
    current: Line;
    standing: (line: Line) => Standing;
    readings: ReadingLog;
    /** How many lines are done with. */
    done: number;
    /** All lines are shown instead of one. */
    listed: boolean;
    onlist: (on: boolean) => void;
    /** A reading that was not taken is read again from what it said. */
    onagain: (reading: Reading) => void;
  }
  /** How far the check is, and what of it is still on its way. */
  const { lines, current, standing, readings, done, listed, onlist, onagain }: Props = $props();
  const show = useShow();
  /** What is on its way for a moment is not told: a line that comes and goes above would move every button under the thumb that presses it. */
  const TOLD_AFTER_MS = 1500;
  let told = $state(false);
  const waits = $derived(readings.waiting > 0);
  $effect(() => {
    if (!waits) {
      told = false;
      return;
    }
    const soon = setTimeout(() => (told = true), TOLD_AFTER_MS);
    return () => clearTimeout(soon);
  });
</script>

<div class="flex items-center justify-between text-quiet">
  <button type="button" class="min-h-12 underline" aria-expanded={listed} onclick={() => onlist(!listed)}
    >{listed ? says.backToTheLine : says.allLines}</button
  >
  <span class="num" data-progress>{says.ofDone(done, lines.length)}</span>
</div>
<div class="flex gap-[3px] pb-3" role="img" aria-label={says.ofLinesDone(done, lines.length)}>
  {#each lines as l (l.id)}
    <span
      class="h-1.5 flex-1 rounded-full {STANDING_COLOURS[standing(l)]} {l === current
        ? 'outline-2 outline-base-content'
        : ''}"
    ></span>
  {/each}
</div>
{#if waits && told}
  <p class="pb-2 text-warning" role="status">
    {readings.waiting}
    {readings.waiting === 1 ? says.readingOrPictureWaits : says.readingsAndPicturesWait}
    {#if readings.signedOut}{says.toBeSentYouAreSigned}
      <a class="underline" href="/sign-in?to=/show/{show.id}/check" data-sveltekit-reload>{says.signIn}</a>.
    {:else}{says.forTheNetworkKeptOnThis}{/if}
  </p>
{/if}
{#each readings.refused as { why, item, drop }, k (k)}
  <p class="pb-2 text-warning" role="alert">
    {says.oneReadingOrPictureWasNot(why)}
    <button
      type="button"
      class="underline"
      onclick={() => saveFile('not-taken.json', 'application/json', JSON.stringify({ why, item }, null, 2))}
      >{uiSays.saveThemAsAFile}</button
    >
    {#if 'practice' in item}
      <button
        type="button"
        class="underline"
        onclick={() => {
          onagain(item as Reading);
          drop();
        }}>{says.changeIt}</button
      >
    {/if}
    <button type="button" class="underline" onclick={drop}>{says.letItGo}</button>
  </p>
{/each}
