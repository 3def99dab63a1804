<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { letterOf, orderOf, type Preference } from '$core/hear/fair';
  import { onDestroy, untrack } from 'svelte';
  import { Dealt, lot } from './dealt.svelte';
  import type { FairPlayer } from './fair-player.svelte';
  import Letters from './Letters.svelte';

  interface Props {
    player: FairPlayer;
    count: number;
    rounds: number;
    /** Told at the end, or where it is broken off. */
    onover: (test: Preference) => void;
  }
  /** Which is liked best, with nothing that tells which is which: so many rounds as were agreed, the letters dealt anew in each. */
  const { player, count, rounds, onover }: Props = $props();
  let test = $state.raw<Preference>(untrack(() => ({ count, rounds, seed: lot(), liked: [] })));
  const dealt = untrack(() => new Dealt(player));
  const round = $derived(test.liked.length);
  const order = $derived(orderOf(test, round));
  const letters = $derived(Array.from({ length: count }, (_, k) => letterOf(k)));
  dealt.anew();
  onDestroy(() => player.pause());

  function like(k: number): void {
    test = { ...test, liked: [...test.liked, order[k]] };
    dealt.anew();
    if (test.liked.length >= test.rounds) onover(test);
  }
</script>

<p class="text-[1.1em]" role="status">{says.round(Math.min(round + 1, test.rounds), test.rounds)}</p>
<Letters {letters} on={dealt.on} heard={dealt.heard} onhear={(k) => dealt.hear(k, order[k])} />
{#if dealt.heard.size < count}<p class="text-quiet">{says.hearAllFirst}</p>{/if}
<div class="flex flex-wrap gap-3">
  {#each letters as letter, k (letter)}
    <button
      type="button"
      class="btn min-h-14 min-w-24 flex-1"
      disabled={dealt.heard.size < count}
      onclick={() => like(k)}>{says.likeThis(letter)}</button
    >
  {/each}
</div>
<button type="button" class="link justify-self-start text-quiet" onclick={() => onover(test)}>{says.breakOff}</button>
