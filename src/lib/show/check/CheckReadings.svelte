<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { type Expected, PEAK_MOST_DBFS, peakAt } from '$core/linecheck/expected';
  import { CONTENTS, HUM_WORDS, humWord } from '$core/linecheck/hum';
  import { formatNumber } from '$core/units/format';
  import { CONTENT_TEXTS, HUM_TEXTS } from '$core/words/check';
  import type { CheckEntry } from './check-entry.svelte';
  import GainBand from './GainBand.svelte';

  interface Props {
    entry: CheckEntry;
    hope: Expected;
  }
  /** What is read off one line, each beside what is expected. */
  const { entry, hope }: Props = $props();

  /** Nothing stands over full scale. */
  const span = (from: number, to: number): string =>
    from >= 0 ? says.beyondFullScaleItClips : to > 0 ? says.dbfsToFullScale(db(from)) : says.toDbfs(db(from), db(to));
  /** Farther down than any desk shows. */
  const SILENT_DB = 100;
  const db = (value: number): string => formatNumber(value);
  /** The peak to expect where the gain stands now. */
  const peak = $derived(hope.gain && peakAt(hope, entry.gainDb ?? hope.gain.usual));
  const spread = $derived(
    hope.gain ? { down: hope.gain.to - hope.gain.usual, up: hope.gain.usual - hope.gain.from } : null
  );
  const hot = $derived(entry.peakDb !== null && entry.peakDb > PEAK_MOST_DBFS);
  const measured = $derived(typeof entry.hum === 'number');
</script>

{#snippet knob(name: string, value: number | null, counts: boolean, turn: (by: number) => void, mark: string)}
  <div class="flex items-center gap-2">
    <button type="button" class="btn size-14 text-[1.4em]" aria-label={says.down1Db(name)} onclick={() => turn(-1)}
      >−</button
    >
    <output class="num w-14 text-center text-[1.5em] {counts ? '' : 'text-quiet'}" data-read={mark}
      >{value === null ? '–' : db(value)}</output
    >
    <button type="button" class="btn size-14 text-[1.4em]" aria-label={says.up1Db(name)} onclick={() => turn(1)}
      >+</button
    >
  </div>
{/snippet}

{#if hope.gain}
  {@const usual = hope.gain.usual}
  <div class="mt-3 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3">
    <div>
      <p class="font-semibold">{says.gainAtTheLoudestPlaying}</p>
      <p class="text-quiet" data-expected>{says.expectedToDb(db(hope.gain.from), db(hope.gain.to))}</p>
    </div>
    {@render knob(says.gain, entry.gainDb, entry.touched, (by) => entry.turn(by, usual), 'gain')}
  </div>
  <GainBand expected={hope.gain} read={entry.touched ? entry.gainDb : null} />
  {#if peak !== null && spread}
    <div class="mt-2 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3">
      <div>
        <p class="font-semibold">{says.loudestPeak}</p>
        <p class="text-quiet" data-expected-peak>
          {says.atThisGain(span(peak - spread.down, peak + spread.up))}
        </p>
      </div>
      {@render knob(says.peak, entry.peakDb, entry.peakDb !== null, (by) => entry.movePeak(by, peak), 'peak')}
    </div>
    {#if hot}
      <p class="mt-1 text-warning" role="status">
        {says.noRoomForALouderOne(db((entry.peakDb ?? 0) - PEAK_MOST_DBFS))}
      </p>
    {/if}
  {/if}
{/if}
<div class="mt-2 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3 max-[420px]:grid-cols-1">
  <div>
    <p class="font-semibold">{says.hum}</p>
    <p class="text-quiet">
      {hope.humBelow === null
        ? says.notForeseen
        : says.expected(
            HUM_TEXTS[humWord(hope.humBelow)],
            hope.humBelow < SILENT_DB ? says.dbUnderThePlaying(db(hope.humBelow)) : ''
          )}
    </p>
  </div>
  <div class="flex gap-2" role="group" aria-label={says.hum}>
    {#each HUM_WORDS as w (w)}
      <button
        type="button"
        class="btn min-h-12 flex-1 px-3 {entry.hum === w ? 'btn-primary' : ''}"
        aria-pressed={entry.hum === w}
        onclick={() => (entry.hum = entry.hum === w ? null : w)}>{HUM_TEXTS[w]}</button
      >
    {/each}
    <label class="flex items-center gap-1.5">
      <input
        type="number"
        inputmode="decimal"
        class="num input h-12 w-18 text-center {measured ? 'border-primary' : ''}"
        placeholder={says.db2}
        min="0"
        max="150"
        aria-label={says.humMeasuredDbUnderThePlaying}
        value={measured ? entry.hum : ''}
        oninput={(e) => {
          const value = e.currentTarget.valueAsNumber;
          entry.hum = Number.isFinite(value) ? Math.min(Math.max(value, 0), 150) : null;
        }}
      />
    </label>
  </div>
</div>
<div class="mt-2 border-t border-base-300 pt-3">
  <p class="pb-1 font-semibold">{says.comesOut}</p>
  <div class="grid grid-cols-4 gap-2 max-[420px]:grid-cols-2" role="group" aria-label={says.comesOut}>
    {#each CONTENTS as c (c)}
      <button
        type="button"
        class="btn min-h-12 px-1 {entry.content === c ? 'btn-primary' : ''}"
        aria-pressed={entry.content === c}
        onclick={() => (entry.content = entry.content === c ? null : c)}>{CONTENT_TEXTS[c]}</button
      >
    {/each}
  </div>
</div>
