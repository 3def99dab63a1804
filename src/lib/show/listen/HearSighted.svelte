<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { letterOf } from '$core/hear/fair';
  import { writeWav } from '$core/hear/wav-out';
  import { formatNumber } from '$core/units/format';
  import { saveFile } from '$lib/ui/save-file';
  import type { Candidate } from './candidates';
  import type { FairPlayer } from './fair-player.svelte';
  import type { Heard } from './hear.worker';

  interface Props {
    player: FairPlayer;
    candidates: readonly Candidate[];
    heard: readonly Heard[];
    rate: number;
    /** Of the line, for the files that are saved. */
    text: string;
  }
  /** Letters with their names: one is heard, a press away from the others. */
  const { player, candidates, heard, rate, text }: Props = $props();
  const lufs = $derived(heard.map((h) => h.lufs));
  const alike = $derived(Math.max(...lufs) - Math.min(...lufs) < 0.1);
  function save(k: number): void {
    const name = `${text} ${letterOf(k)}`;
    saveFile(
      `${name.replace(/[^\p{L}\p{N}]+/gu, '-')}.wav`,
      'audio/wav',
      writeWav(heard[k].samples, rate, `${text}: ${candidates[k].name}`)
    );
  }
</script>

{#if alike}<p class="text-quiet" data-alike>{says.allAlike(formatNumber(lufs[0], 1))}</p>{/if}
<ol class="grid gap-2">
  {#each candidates as c, k (c.key)}
    <li class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <button
        type="button"
        class="btn h-14 w-16 font-bold {player.current === k ? 'btn-primary' : ''}"
        aria-label="{says.hearLetter(letterOf(k))}, {c.name}"
        aria-pressed={player.current === k}
        onclick={() => player.switchTo(k)}><span class="text-[1.7rem] leading-none">{letterOf(k)}</span></button
      >
      <span class="min-w-0 flex-1 leading-snug [overflow-wrap:anywhere]">
        <span class={player.current === k ? 'font-semibold' : ''}>{c.name}</span>
        <span class="block text-[0.93em] text-quiet">
          {[
            says.matched(formatNumber(heard[k].turned, 1, true), formatNumber(heard[k].lufs, 1)),
            ...(heard[k].late ? [says.late(formatNumber((heard[k].late / rate) * 1000, 2, true))] : []),
            ...(heard[k].inverted ? [says.turnedOver] : [])
          ].join(', ')}
        </span>
      </span>
      <button type="button" class="link text-quiet" aria-label={says.saveWav(letterOf(k))} onclick={() => save(k)}
        >{says.wav}</button
      >
    </li>
  {/each}
</ol>
