<script lang="ts">
  import { lessons as says } from '$core/words/screen/lessons';
  import { chanceOf, HEARD, onceIn, wanted } from '$core/hear/chance';
  import { KNOB_NAMES, READS } from '$core/words/lesson-figures';
  import { formatNumber } from '$core/units/format';
  import TurnSlider from './TurnSlider.svelte';

  /** What guessing would do: as many right or more, of so many trials. */
  let trials = $state(4);
  let right = $state(3);
  const LEAST = 4;
  const MOST = 40;
  const chance = $derived(chanceOf(right, trials));
  const need = $derived(wanted(trials));
  /** Chance of exactly so many, each over the likeliest. */
  const bars = $derived.by(() => {
    const exactly = Array.from(
      { length: trials + 1 },
      (_, k) => chanceOf(k, trials) - (k < trials ? chanceOf(k + 1, trials) : 0)
    );
    const most = Math.max(...exactly);
    return exactly.map((p) => p / most);
  });
  const said = $derived(says.chance(formatNumber(right), formatNumber(trials), formatNumber(onceIn(right, trials))));
</script>

<div class="grid gap-3">
  <TurnSlider
    name={KNOB_NAMES.trials}
    told={formatNumber(trials)}
    min={LEAST}
    max={MOST}
    value={trials}
    onturn={(to) => ((trials = to), (right = Math.min(right, to)))}
  />
  <TurnSlider
    name={KNOB_NAMES.right}
    told={formatNumber(right)}
    max={trials}
    value={right}
    onturn={(to) => (right = to)}
  />
</div>
<div class="flex h-[140px] items-end gap-[2px] pt-4" role="img" aria-label={said} data-bars>
  {#each bars as height, k (k)}
    <span class="min-w-0 flex-1 rounded-t-sm {k >= right ? 'bg-primary' : 'bg-base-300'}" style:height="{height * 100}%"
    ></span>
  {/each}
</div>
<p class="pt-3" data-reads>
  <span class="block text-[0.93em] text-quiet">{READS['fair-listening']}</span>
  <span class="num text-[2em] leading-tight font-bold">{formatNumber(onceIn(right, trials))}</span>
</p>
<p class="leading-snug">
  {said}
  {chance <= HEARD ? says.heard : says.notHeard}
  {need === null ? says.wantsMore(formatNumber(trials)) : says.wanted(formatNumber(need), formatNumber(trials))}
</p>
