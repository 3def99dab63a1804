<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { monoOf } from '$core/linecheck/pair';
  import { MONOS, type PairReading, SIDES } from '$core/linecheck/pair-reading';
  import type { Pair } from '$core/judge/pairs';
  import { formatDb } from '$core/units/format';
  import { MONO_TEXTS, SIDES_TEXTS } from '$core/words/check';
  import type { CheckEntry } from './check-entry.svelte';

  interface Props {
    entry: CheckEntry;
    pair: Pair;
    hope: PairReading;
    other: string;
  }
  /** What two sides do together: each alone, panned hard, and both summed. */
  const { entry, pair, hope, other }: Props = $props();
  const set = (read: Partial<PairReading>): void => void (entry.pair = { ...entry.pair, ...read });
</script>

<div class="mt-2 border-t border-base-300 pt-3" data-pair>
  <p class="font-semibold">{says.withLeftAndRight(other)}</p>
  <p class="text-quiet">{says.panBothHardPlayTheLeft}</p>
  <div class="mt-1 grid grid-cols-2 gap-2" role="group" aria-label={says.leftAlone}>
    {#each SIDES as s (s)}
      <button
        type="button"
        class="btn min-h-12 px-1 {entry.pair.sides === s ? 'btn-primary' : ''}"
        aria-pressed={entry.pair.sides === s}
        onclick={() => set({ sides: entry.pair.sides === s ? null : s })}>{SIDES_TEXTS[s]}</button
      >
    {/each}
  </div>
  <p class="pt-2 text-quiet">
    {says.panBothToTheMiddleOr(MONO_TEXTS[hope.mono ?? 'holds'], formatDb(monoOf(pair), 0, true))}
  </p>
  <div class="mt-1 grid grid-cols-3 gap-2" role="group" aria-label={says.summedToMono}>
    {#each MONOS as m (m)}
      <button
        type="button"
        class="btn min-h-12 px-1 {entry.pair.mono === m ? 'btn-primary' : ''}"
        aria-pressed={entry.pair.mono === m}
        onclick={() => set({ mono: entry.pair.mono === m ? null : m })}>{MONO_TEXTS[m]}</button
      >
    {/each}
  </div>
</div>
