<script lang="ts">
  import { counted } from '$core/words/screen/counted';
  import { board as says } from '$core/words/screen/board';
  import { formatNumber } from '$core/units/format';
  import { SEVERITY_NAMES } from '$core/words/names';
  import Mark from '$lib/ui/Mark.svelte';
  import { useBoard } from './board-state.svelte';

  const board = useBoard();
  const { mix, counts, filter, sort } = $derived(board);
  const count = $derived(board.lines.length);
</script>

<div class="flex flex-wrap items-center gap-x-2 gap-y-1.5 px-5 pt-1.5 pb-1 max-sm:px-3.5">
  <span class="text-quiet">{count} {counted.line(count)}</span>
  {#each counts as { severity, count: n } (severity)}
    <button
      type="button"
      class="flex h-[27px] items-center gap-1.5 rounded-full px-3 {filter === severity
        ? 'bg-primary text-primary-content'
        : 'bg-base-200'}"
      aria-pressed={filter === severity}
      onclick={() => (board.filter = filter === severity ? null : severity)}
    >
      <Mark {severity} size={14} />
      {n}
      {severity === 'care' ? says.withCare : SEVERITY_NAMES[severity]}
    </button>
  {/each}
  {#if filter === 'wrong'}<button type="button" class="text-primary underline" onclick={() => (board.filter = null)}
      >{says.onlyWhatIsWrongShowAll}</button
    >{/if}
  {#if mix.hiss !== null && mix.hum !== null && board.rows.length > 1}
    <span class="text-quiet max-sm:hidden" title={says.whatChannelsShownEachAtIts(mix.channels)}
      >{says.togetherAtTheMixHiss} <span class="num">{formatNumber(-mix.hiss)}</span>{says.hum}
      <span class="num">{says.db(formatNumber(-mix.hum))}</span></span
    >
  {/if}
  <span class="ml-auto text-quiet max-xl:hidden">{says.stitchesConnectorBalanceLevelImpedanceGround}</span>
  <button
    type="button"
    class="hidden text-quiet underline max-lg:ml-auto max-lg:inline"
    onclick={() => (board.sort = sort === 'channel' ? 'verdict' : 'channel')}
    >{says.by(sort === 'channel' ? 'verdict' : 'channel')}</button
  >
</div>
<div class="board-row board-head border-b-2 border-primary pb-1.5 text-[0.93em] text-quiet max-[1200px]:hidden!">
  <button
    type="button"
    class="text-left"
    aria-label={says.sortByChannel}
    aria-pressed={sort === 'channel'}
    onclick={() => (board.sort = 'channel')}>{sort === 'channel' ? '▾' : '#'}</button
  >
  <span>{says.line}</span>
  <div class="strip">
    <span>{says.source}</span><span class="text-center">{says.lead}</span><span>{says.box}</span><span
      class="text-center">{says.run}</span
    ><span>{says.input}</span>
  </div>
  <span class="text-right" title={says.averageLevelAtTheInputDbu}>{says.arrives}</span>
  <span class="text-right" title={says.gainToTheWorkingLevelDb}>{says.gain}</span>
  <span class="text-right" title={says.leastRoomBetweenPeakAndClip}>{says.room}</span>
  <span class="text-right" title={says.averageLevelOverTheHissAt}>{says.hiss}</span>
  <span class="text-right" title={says.averageLevelOverTheHumOf}>{says.hum2}</span>
  <button
    type="button"
    class="text-left"
    aria-pressed={sort === 'verdict'}
    onclick={() => (board.sort = sort === 'verdict' ? 'channel' : 'verdict')}
    >{says.verdict(sort === 'verdict' ? ' ▾' : '')}</button
  >
</div>
