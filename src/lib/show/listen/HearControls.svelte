<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { formatNumber } from '$core/units/format';
  import { onMount } from 'svelte';
  import type { FairPlayer } from './fair-player.svelte';

  /** Play, place in the loop, volume; and a word for the ears. */
  interface Props {
    player: FairPlayer;
    /** Volume alone. */
    small?: boolean;
  }
  const { player, small = false }: Props = $props();
  let at = $state(0);
  /** Seconds that have been listened to. */
  let listened = $state(0);
  const LONG = 15 * 60;
  onMount(() => {
    const timer = setInterval(() => {
      at = player.position;
      if (player.playing) listened += 0.2;
    }, 200);
    return () => clearInterval(timer);
  });
</script>

<div class="grid gap-2">
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
    {#if !small}<button
        type="button"
        class="btn min-h-12 w-28 btn-primary"
        onclick={() => void (player.playing ? player.pause() : player.play())}
        >{player.playing ? says.pause : says.play}</button
      >
      <label class="flex min-w-52 flex-1 items-center gap-2"
        ><span class="sr-only">{says.place}</span><input
          type="range"
          class="range w-full range-sm"
          min="0"
          max={player.length}
          step="0.01"
          value={at}
          oninput={(event) => player.seek(Number(event.currentTarget.value))}
        /></label
      >{/if}
    <label class="flex items-center gap-2"
      ><span class="text-quiet">{says.volume}</span><input
        type="range"
        class="range w-32 range-sm"
        min="0"
        max="1"
        step="0.01"
        value={player.volume}
        oninput={(event) => player.setVolume(Number(event.currentTarget.value))}
      /></label
    >
  </div>
  {#if !small}
    <p class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[0.93em] text-quiet">
      <span data-loop>{says.goesRound(formatNumber(player.loop[0], 1), formatNumber(player.loop[1], 1))}</span>
      <button type="button" class="link py-1" onclick={() => player.part('from')}>{says.loopFrom}</button>
      <button type="button" class="link py-1" onclick={() => player.part('to')}>{says.loopTo}</button>
      {#if player.loop[0] > 0 || player.loop[1] < player.length}
        <button type="button" class="link py-1" onclick={() => player.part(null)}>{says.loopAll}</button>
      {/if}
    </p>
  {/if}
  {#if !small || listened > LONG}<p class="text-quiet">
      {listened > LONG ? says.rest : says.quiet} <span class="max-sm:hidden">{says.keys}</span>
    </p>{/if}
</div>
