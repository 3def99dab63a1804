<script lang="ts">
  import { listen as says } from '$core/words/screen/listen';
  import { type Abx, isOver, letterOf, TRIALS, xOf } from '$core/hear/fair';
  import { abxText, countText, neededText } from '$core/words/hear';
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
  /** Whether a difference is heard at all: X is one of two, and so many trials are agreed before it begins. */
  const { player, names, mayWrite, onwrite, onbusy }: Props = $props();
  let [first, second] = $state([0, 1]);
  let trials = $state<number>(16);
  let test = $state.raw<Abx | null>(null);
  let off = $state(false);
  const dealt = untrack(() => new Dealt(player));
  const trial = $derived(test?.said.length ?? 0);
  const over = $derived(test !== null && (off || isOver(test)));
  const both = $derived([first, second] as const);

  function begin(): void {
    test = { trials, seed: lot(), said: [] };
    off = false;
    dealt.anew();
  }
  function hear(k: number): void {
    if (!test) return;
    dealt.hear(k, both[k === 2 ? xOf(test, trial) : (k as 0 | 1)]);
  }
  function say(is: 0 | 1): void {
    if (!test) return;
    test = { ...test, said: [...test.said, is] };
    dealt.anew();
  }
  $effect(() => onbusy(test !== null && !over));
  onDestroy(() => {
    player.pause();
    onbusy(false);
  });
</script>

{#if !test}
  <div class="grid gap-3">
    {#if names.length > 2}
      <div class="flex flex-wrap items-center gap-2">
        <span>{says.whichTwo}</span>
        <select class="select w-auto max-w-64 pr-8" aria-label="{says.whichTwo} A" bind:value={first}
          >{#each names as name, k (k)}<option value={k} disabled={k === second}>{name}</option>{/each}</select
        >
        <select class="select w-auto max-w-64 pr-8" aria-label="{says.whichTwo} B" bind:value={second}
          >{#each names as name, k (k)}<option value={k} disabled={k === first}>{name}</option>{/each}</select
        >
      </div>
    {/if}
    <div class="flex flex-wrap items-center gap-3">
      <label class="flex flex-wrap items-center gap-2"
        >{says.trials}<select class="select w-auto pr-8" bind:value={trials}
          >{#each TRIALS as n (n)}<option value={n}>{n}</option>{/each}</select
        ></label
      >
      <button type="button" class="btn btn-primary" onclick={begin}>{says.begin}</button>
    </div>
    <p class="text-quiet">{countText(trials)} {says.needed(9, neededText(0.9))} {says.needed(7, neededText(0.7))}</p>
  </div>
{:else if over}
  <Kept text={abxText(test, [names[first], names[second]])} {mayWrite} {onwrite} onagain={() => (test = null)} />
{:else}
  <p class="text-[1.1em]" role="status">{says.trial(trial + 1, test.trials)}</p>
  <Letters letters={[letterOf(0), letterOf(1), 'X']} on={dealt.on} heard={dealt.heard} onhear={hear} />
  <div class="flex flex-wrap gap-3">
    {#each [0, 1] as const as is (is)}
      <button type="button" class="btn min-h-14 min-w-32 flex-1" disabled={!dealt.heard.has(2)} onclick={() => say(is)}
        >{says.xIs(letterOf(is))}</button
      >
    {/each}
  </div>
  <button type="button" class="link justify-self-start text-quiet" onclick={() => (off = true)}>{says.breakOff}</button>
{/if}
