<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import type { LineReport } from '$core/judge/judge';
  import type { Tolerance } from '$core/judge/tolerance';
  import type { Plan } from '$core/plan/schema';
  import type { Influence } from '$core/rig/influence';
  import { formatHz, formatNumber } from '$core/units/format';
  import { CABLE_NAMES, modelName, partName, SEVERITY_NAMES } from '$core/words/names';
  import { codeName } from '$core/words/codes';
  import Mark from '$lib/ui/Mark.svelte';
  import type { ToleranceRun } from './tolerance.svelte';

  interface Props {
    plan: Plan;
    showId: string;
    report: LineReport;
    run: ToleranceRun;
    /** Of this line as it stands; null while there is none. */
    result: Tolerance | null;
    busy: boolean;
    onstart: () => void;
    influencesAt: (hz: number) => Promise<Influence[]>;
  }
  const { plan, showId, report, run, result, busy, onstart, influencesAt }: Props = $props();

  const spread = (band: readonly [number, number, number] | null, sign = false): string =>
    band ? band.map((v) => formatNumber(v, 0, sign)).join(' … ') : '–';
  const notes = $derived(report.notes);
  const places = $derived(
    notes ? [notes.low, Math.min(1000, notes.reach), notes.reach].filter((f, k, all) => all.indexOf(f) === k) : [1000]
  );
  let at = $state<number | null>(null);
  const hz = $derived(at !== null && places.includes(at) ? at : places[0]);
  let moved = $state.raw<readonly Influence[] | null>(null);
  $effect(() => {
    const asked = hz;
    void influencesAt(asked).then((found) => {
      if (asked === hz) moved = found.slice(0, 5);
    });
  });
  const most = $derived(Math.max(...(moved ?? []).map((i) => Math.abs(i.db)), 1e-6));
  const nameOf = (i: Influence): string =>
    i.part === null
      ? says.lengthOfThe(CABLE_NAMES[plan.cables[i.of].kind])
      : `${modelName(plan.devices[i.of]?.model ?? i.of)}: ${partName(i.part)}`;
</script>

<div class="grid grid-cols-2 gap-x-5 gap-y-4 px-5 pt-2 max-lg:grid-cols-1 max-sm:px-3.5" data-panel="tolerance">
  <section aria-label={says.tolerance}>
    <h2 class="heading">{says.withinTolerance}</h2>
    {#if busy}
      <div class="flex items-center gap-3 py-2">
        <progress
          class="progress w-full progress-primary"
          value={run.progress ?? 0}
          max="1"
          aria-label={says.runsDonePercent(formatNumber((run.progress ?? 0) * 100))}
        ></progress>
        <button type="button" class="btn btn-sm" onclick={() => run.cancel()}>{says.cancel}</button>
      </div>
    {:else if run.failed}
      <p class="py-2 text-error" role="alert">{run.failed}</p>
    {:else if result}
      <table class="my-1 w-full text-left">
        <thead class="text-quiet">
          <tr
            ><th class="font-normal">{says.ofDraws(result.runs)}</th><th class="text-right font-normal"
              >5 … 50 … 95 %</th
            ></tr
          >
        </thead>
        <tbody>
          <tr class="border-t border-base-300">
            <td class="py-1">{says.arrivesAt}</td><td class="num text-right"
              >{says.dbu2(spread(result.arrives, true))}</td
            >
          </tr>
          <tr class="border-t border-base-300">
            <td class="py-1">{says.overTheHiss}</td><td class="num text-right">{says.db2(spread(result.snr))}</td>
          </tr>
          <tr class="border-t border-base-300">
            <td class="py-1">{says.overTheHum}</td><td class="num text-right">{says.db2(spread(result.hum))}</td>
          </tr>
        </tbody>
      </table>
      <p class="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-base-300 py-1.5">
        {#each result.verdicts as v (v.severity)}
          <span class="flex items-center gap-1"
            ><Mark severity={v.severity} size={14} />{SEVERITY_NAMES[v.severity]}
            <span class="num">{formatNumber(v.share * 100)} %</span></span
          >
        {/each}
      </p>
      {#if result.flips.length > 0}
        <p class="text-quiet">
          {says.undecided}
          {#each result.flips.slice(0, 4) as flip, k (flip.code)}{says.in(k > 0 ? ', ' : '', codeName(flip.code))}
            <span class="num">{formatNumber(flip.share * 100)} %</span>{/each}{says.theVerdictAboveIsThatOf}
        </p>
      {:else}
        <p class="text-quiet">{says.theVerdictHoldsWhateverTheValues}</p>
      {/if}
    {:else}
      <p class="py-2 text-quiet">
        {says.drawsEveryValueThatWasNot}
      </p>
    {/if}
    {#if !busy}
      <a class="mt-1 mr-4 link" href="/show/{showId}/listen?line={report.id}&with=tolerance">{says.hearDullAndBright}</a
      >
      <button type="button" class="btn mt-1 btn-outline btn-primary btn-sm" onclick={onstart}
        >{result ? says.drawAgain : says.draw400Times}</button
      >
    {/if}
  </section>
  <section aria-label={says.whatMovesIt}>
    <div class="heading flex items-baseline justify-between gap-2">
      <h2>{says.aTenthMoreOfEachMoves}</h2>
      <span class="flex gap-1">
        {#each places as place (place)}
          <button
            type="button"
            class="num rounded px-1.5 {place === hz ? 'bg-primary text-primary-content' : 'hover:text-base-content'}"
            aria-pressed={place === hz}
            onclick={() => (at = place)}>{formatHz(place)}</button
          >
        {/each}
      </span>
    </div>
    {#if moved === null}
      <p class="py-2 text-quiet" aria-live="polite">{says.computing}</p>
    {:else}
      <ul class="pt-1">
        {#each moved as i (i.of + i.part)}
          <li class="grid grid-cols-[minmax(0,1fr)_30%_66px] items-center gap-x-3 py-[3px]">
            <span class="truncate" title={nameOf(i)}>{nameOf(i)}</span>
            <span class="h-[9px] rounded-[2px] bg-base-200" aria-hidden="true"
              ><span
                class="block h-full rounded-[2px] {i.db < 0 ? 'bg-accent' : 'bg-primary'}"
                style:width="{(Math.abs(i.db) / most) * 100}%"
              ></span></span
            >
            <span class="num text-right">{says.db(formatNumber(i.db, 2, true))}</span>
          </li>
        {:else}
          <li class="py-1 text-quiet">{says.nothingMovesItHere}</li>
        {/each}
      </ul>
    {/if}
  </section>
</div>
