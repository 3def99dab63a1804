<script lang="ts">
  import { check as says } from '$core/words/screen/check';
  import { type Expected, PEAK_MOST_DBFS, peakAt } from '$core/linecheck/expected';
  import { CONTENTS, HUM_WORDS, humWord, METERS } from '$core/linecheck/hum';
  import { formatNumber } from '$core/units/format';
  import { CONTENT_TEXTS, HUM_TEXTS, METER_TEXTS } from '$core/words/check';
  import type { CheckEntry } from './check-entry.svelte';
  import GainBand from './GainBand.svelte';
  import Knob from './Knob.svelte';

  interface Props {
    entry: CheckEntry;
    hope: Expected;
  }
  /** What is read off one line, each beside what is expected. */
  const { entry, hope }: Props = $props();

  /** A peak this near to its target is on it, dB. */
  const NEAR_DB = 3;
  /** Farther down than any desk shows. */
  const SILENT_DB = 100;
  const db = (value: number): string => formatNumber(value);
  /** Where the loudest peak is to stand: the gain is set by it. */
  const target = $derived(hope.gain && hope.metered ? peakAt(hope, hope.gain.usual) : null);
  /** How far the peak that was read stands over that, dB. */
  const over = $derived(entry.peakDb !== null && target !== null ? entry.peakDb - target : 0);
  const hot = $derived(entry.peakDb !== null && entry.peakDb > PEAK_MOST_DBFS);
  const measured = $derived(typeof entry.hum === 'number');
</script>

{#if hope.gain && !hope.metered}
  <p class="mt-3 border-t border-base-300 pt-3" data-by-ear>{says.setByEar}</p>
{:else if hope.gain}
  {@const usual = hope.gain.usual}
  <div class="mt-3 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3">
    <div>
      <p class="font-semibold">{says.gain}</p>
      <p class="text-quiet" data-expected>{says.expectedToDb(db(hope.gain.from), db(hope.gain.to))}</p>
    </div>
    <Knob
      name={says.gain}
      value={entry.gainDb}
      counts={entry.touched}
      hint={db(usual)}
      mark="gain"
      onturn={(by) => entry.turn(by, usual)}
      ontype={(value) => entry.setGain(value)}
    />
  </div>
  <GainBand expected={hope.gain} read={entry.touched ? entry.gainDb : null} />
  {#if target !== null}
    <div class="mt-2 grid grid-cols-[1fr_auto] items-center gap-3 border-t border-base-300 pt-3">
      <div>
        <p class="font-semibold">{says.loudestPeak}</p>
        <p class="text-quiet" data-target>
          {target > PEAK_MOST_DBFS
            ? says.evenAtItsLeastGain(db(Math.min(target, 0)))
            : says.aimAt(db(target), db(-target))}
        </p>
      </div>
      <Knob
        name={says.peak}
        value={entry.peakDb}
        counts={entry.peakDb !== null}
        hint={db(Math.min(target, 0))}
        mark="peak"
        onturn={(by) => entry.movePeak(by, Math.min(target, 0))}
        ontype={(value) => entry.setPeak(value)}
      />
    </div>
    {#if hot}
      <p class="mt-1 text-warning" role="status">
        {says.noRoomForALouderOne(db((entry.peakDb ?? 0) - PEAK_MOST_DBFS))}
      </p>
    {:else if Math.abs(over) > NEAR_DB}
      <p class="mt-1 text-quiet" role="status" data-toward>
        {over > 0 ? says.overTheTarget(db(over)) : says.underTheTarget(db(-over))}
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
  {#if entry.content === 'silent'}
    <div class="mt-2 flex items-center gap-2" role="group" aria-label={says.itsInputMeter}>
      <span class="min-w-0 flex-1 leading-snug">{says.itsInputMeter}</span>
      {#each METERS as m (m)}
        <button
          type="button"
          class="btn min-h-12 px-3 {entry.meter === m ? 'btn-primary' : ''}"
          aria-pressed={entry.meter === m}
          onclick={() => (entry.meter = entry.meter === m ? null : m)}>{METER_TEXTS[m]}</button
        >
      {/each}
    </div>
  {/if}
</div>
