<script lang="ts">
  import type { Mix } from '$core/judge/mix';
  import { formatNumber } from '$core/units/format';
  import { SEVERITY_NAMES } from '$core/words/names';
  import Mark from '$lib/ui/Mark.svelte';
  import type { Filter, Sort, tally } from './board';

  interface Props {
    /** Lines of the show, and of those the ones that the filter leaves. */
    count: number;
    shown: number;
    counts: ReturnType<typeof tally>;
    mix: Mix;
    filter: Filter;
    sort: Sort;
    onfilter: (filter: Filter) => void;
    onsort: (sort: Sort) => void;
  }
  const { count, shown, counts, mix, filter, sort, onfilter, onsort }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-x-2 gap-y-1.5 px-5 pt-1.5 pb-1 max-sm:px-3.5">
  <span class="text-quiet">{count} {count === 1 ? 'line' : 'lines'}</span>
  {#each counts as { severity, count: n } (severity)}
    <button
      type="button"
      class="flex h-[27px] items-center gap-1.5 rounded-full px-3 {filter === severity
        ? 'bg-primary text-primary-content'
        : 'bg-base-200'}"
      aria-pressed={filter === severity}
      onclick={() => onfilter(filter === severity ? null : severity)}
    >
      <Mark {severity} size={14} />
      {n}
      {severity === 'care' ? 'with care' : SEVERITY_NAMES[severity]}
    </button>
  {/each}
  {#if filter === 'wrong'}<button type="button" class="text-primary underline" onclick={() => onfilter(null)}
      >only what is wrong: show all</button
    >{/if}
  {#if mix.hiss !== null && mix.hum !== null && shown > 1}
    <span
      class="text-quiet max-sm:hidden"
      title="What {mix.channels} channels shown, each at its working level, add up to under one channel’s playing: hiss as power, hum as voltage"
      >together at the mix: hiss <span class="num">{formatNumber(-mix.hiss)}</span>, hum
      <span class="num">{formatNumber(-mix.hum)} dB</span></span
    >
  {/if}
  <span class="ml-auto text-quiet max-xl:hidden">stitches: connector, balance, level, impedance, ground</span>
  <button
    type="button"
    class="hidden text-quiet underline max-lg:ml-auto max-lg:inline"
    onclick={() => onsort(sort === 'channel' ? 'verdict' : 'channel')}
    >by {sort === 'channel' ? 'verdict' : 'channel'}</button
  >
</div>
<div class="board-row board-head border-b-2 border-primary pb-1.5 text-[0.93em] text-quiet max-[1200px]:hidden!">
  <button
    type="button"
    class="text-left"
    aria-label="Sort by channel"
    aria-pressed={sort === 'channel'}
    onclick={() => onsort('channel')}>{sort === 'channel' ? '▾' : '#'}</button
  >
  <span>Line</span>
  <div class="strip">
    <span>Source</span><span class="text-center">lead</span><span>Box</span><span class="text-center">run</span><span
      >Input</span
    >
  </div>
  <span class="text-right" title="Average level at the input, dBu">arrives</span>
  <span class="text-right" title="Gain to the working level, dB">gain</span>
  <span class="text-right" title="Least room between peak and clip, dB">room</span>
  <span class="text-right" title="Average level over the hiss at the input, dB">hiss</span>
  <span class="text-right" title="Average level over the hum of the whole rig, dB">hum</span>
  <button
    type="button"
    class="text-left"
    aria-pressed={sort === 'verdict'}
    onclick={() => onsort(sort === 'verdict' ? 'channel' : 'verdict')}>verdict{sort === 'verdict' ? ' ▾' : ''}</button
  >
</div>
