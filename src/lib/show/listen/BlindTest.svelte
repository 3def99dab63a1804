<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { letterOf, orderOf, type Preference, ROUNDS } from '$core/hear/fair';
  import { preferenceText } from '$core/words/hear';
  import { onDestroy, untrack } from 'svelte';
  import { Dealt, lot } from './dealt.svelte';
  import type { FairPlayer } from './fair-player.svelte';
  import Kept from './Kept.svelte';
  import Letters from './Letters.svelte';

  interface Props {
    player: FairPlayer;
    names: readonly string[];
    mayWrite: boolean;
    onwrite: (text: string, who: string) => Promise<void>;
    /** A test is under way: nothing else is to be seen. */
    onbusy: (busy: boolean) => void;
  }
  /** Which is liked best, with nothing that tells which is which: so many rounds as were agreed, the letters dealt anew in each. */
  const { player, names, mayWrite, onwrite, onbusy }: Props = $props();
  let rounds = $state(3);
  let test = $state.raw<Preference | null>(null);
  let off = $state(false);
  const dealt = untrack(() => new Dealt(player));
  const round = $derived(test ? test.liked.length : 0);
  const order = $derived(test ? orderOf(test, round) : []);
  const over = $derived(test !== null && (off || test.liked.length >= test.rounds));

  function begin(): void {
    test = { count: names.length, rounds, seed: lot(), liked: [] };
    off = false;
    dealt.anew();
  }
  function hear(k: number): void {
    dealt.hear(k, order[k]);
  }
  function like(k: number): void {
    if (!test) return;
    test = { ...test, liked: [...test.liked, order[k]] };
    dealt.anew();
  }
  $effect(() => onbusy(test !== null && !over));
  onDestroy(() => {
    player.pause();
    onbusy(false);
  });
</script>

{#if !test}
  <div class="flex flex-wrap items-center gap-3">
    <label class="flex items-center gap-2"
      >{says.rounds}<select class="select w-auto pr-8" bind:value={rounds}
        >{#each ROUNDS as n (n)}<option value={n}>{says.roundsOf(n)}</option>{/each}</select
      ></label
    >
    <button type="button" class="btn btn-primary" onclick={begin}>{says.begin}</button>
  </div>
{:else if over}
  <Kept text={preferenceText(test, names)} {mayWrite} {onwrite} onagain={() => (test = null)} />
{:else}
  <p class="text-[1.1em]" role="status">{says.round(round + 1, test.rounds)}</p>
  <Letters letters={names.map((_, k) => letterOf(k))} on={dealt.on} heard={dealt.heard} onhear={hear} />
  {#if dealt.heard.size < names.length}<p class="text-quiet">{says.hearAllFirst}</p>{/if}
  <div class="flex flex-wrap gap-3">
    {#each names as _, k (k)}
      <button
        type="button"
        class="btn min-h-14 min-w-24 flex-1"
        disabled={dealt.heard.size < names.length}
        onclick={() => like(k)}>{says.likeThis(letterOf(k))}</button
      >
    {/each}
  </div>
  <button type="button" class="link justify-self-start text-quiet" onclick={() => (off = true)}>{says.breakOff}</button>
{/if}
