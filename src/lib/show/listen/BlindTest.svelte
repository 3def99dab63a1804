<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { favourite, type Preference, ROUNDS } from '$core/hear/fair';
  import { preferenceText } from '$core/words/hear';
  import { onDestroy } from 'svelte';
  import BlindRounds from './BlindRounds.svelte';
  import type { FairPlayer } from './fair-player.svelte';
  import Kept from './Kept.svelte';

  interface Props {
    player: FairPlayer;
    names: readonly string[];
    mayWrite: boolean;
    /** @param best what was liked best; null for none */
    onwrite: (text: string, who: string, best: number | null) => Promise<void>;
    /** A test is under way: nothing else is to be seen. */
    onbusy: (busy: boolean) => void;
  }
  /** Which is liked best, here and by one person: how many rounds, the rounds, and what was said. */
  const { player, names, mayWrite, onwrite, onbusy }: Props = $props();
  let rounds = $state<(typeof ROUNDS)[number]>(3);
  let begun = $state(false);
  let over = $state.raw<Preference | null>(null);
  $effect(() => onbusy(begun && !over));
  onDestroy(() => onbusy(false));
</script>

{#if over}
  <Kept
    text={preferenceText(over, names)}
    {mayWrite}
    onwrite={(text, who) => onwrite(text, who, favourite(over!))}
    onagain={() => ([over, begun] = [null, false])}
  />
{:else if begun}
  <BlindRounds {player} count={names.length} {rounds} onover={(test) => (over = test)} />
{:else}
  <div class="flex flex-wrap items-center gap-3">
    <label class="flex items-center gap-2"
      >{says.rounds}<select class="select w-auto pr-8" bind:value={rounds}
        >{#each ROUNDS as n (n)}<option value={n}>{says.roundsOf(n)}</option>{/each}</select
      ></label
    >
    <button type="button" class="btn btn-primary" onclick={() => (begun = true)}>{says.begin}</button>
  </div>
{/if}
