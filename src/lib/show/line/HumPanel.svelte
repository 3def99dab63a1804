<script lang="ts">
  import type { LineReport } from '$core/judge/judge';
  import type { Line } from '$core/plan/lines';
  import type { Plan } from '$core/plan/schema';
  import { type Computed, Failed } from '$lib/show/session/failed';
  import NotComputed from '$lib/ui/NotComputed.svelte';
  import type { Loop } from '$core/rig/loops';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { toDbu } from '$core/units/quantity';
  import HumBars from './HumBars.svelte';
  import { CABLE_NAMES, HUM_NAMES, modelName } from '$core/words/names';

  interface Props {
    plan: Plan;
    line: Line;
    report: LineReport;
    /** Null while they are being computed. */
    loops: Computed<readonly Loop[]>;
    showId: string;
  }
  const { plan, line, report, loops, showId }: Props = $props();

  const nameOf = (id: string): string =>
    id in plan.devices ? modelName(plan.devices[id].model) : id in plan.cables ? CABLE_NAMES[plan.cables[id].kind] : id;
  const dbu = (v: number): string => (v <= -150 ? '−∞' : `${formatNumber(v, 0, true)}\u202FdBu`);
  const shares = $derived((report.noise?.shares ?? []).filter((s) => s.share >= 0.005).slice(0, 5));

  const LOW = -160;
  const causes = $derived((report.hum?.byKind ?? []).filter((c) => c.dbu > LOW).sort((a, b) => b.dbu - a.dbu));
  const opened = (loop: Loop) => loop.inputs.find((i) => i.line === line.id);
</script>

<div class="grid grid-cols-2 gap-x-5 gap-y-4 px-5 pt-2 max-lg:grid-cols-1 max-sm:px-3.5" data-panel="hum">
  <section aria-label="Hiss">
    <h2 class="heading">
      Hiss{report.snr === null ? '' : `: ${formatNumber(report.snr)}\u202FdB under the playing`}
    </h2>
    {#if report.noise}
      <p class="num py-1.5 text-quiet">
        {dbu(report.noise.flatDbu)} flat, {dbu(report.noise.weightedDbu)} A-weighted, 20 Hz to 20 kHz at 300 K
      </p>
      <ul>
        {#each shares as share (share.of + share.kind)}
          <li
            class="grid grid-cols-[minmax(0,1fr)_38%_46px] items-center gap-x-3 py-[3px] max-sm:grid-cols-[minmax(0,1fr)_18%_46px]"
          >
            <span class="truncate"
              >{nameOf(share.of)}{share.kind === 'amplifier' ? '’s own amplifier' : ', resistance'}</span
            >
            <span class="h-[9px] rounded-[2px] bg-base-200" aria-hidden="true"
              ><span class="block h-full rounded-[2px] bg-primary" style:width="{share.share * 100}%"></span></span
            >
            <span class="num text-right">{formatNumber(share.share * 100)} %</span>
          </li>
        {/each}
      </ul>
    {:else}
      <p class="py-1.5 text-quiet">Nothing at the far end amplifies, so no hiss is counted.</p>
    {/if}
    {#if report.cmrr !== null || report.phantomVolts !== null}
      <p class="pt-2 text-quiet">
        {#if report.cmrr !== null}Rejects what both cores carry alike by <span class="num text-base-content"
            >{formatNumber(report.cmrr)} dB</span
          >
          at {plan.policy.mainsHz} Hz.{/if}
        {#if report.phantomVolts !== null}
          Phantom leaves <span class="num text-base-content">{formatQuantity('voltage', report.phantomVolts, 3)}</span>
          at the far end of its way.{/if}
      </p>
    {/if}
  </section>
  <section aria-label="Hum">
    <h2 class="heading">
      Hum{report.hum ? `: ${formatNumber(report.hum.below)}\u202FdB under the playing, ${dbu(report.hum.dbu)}` : ''}
    </h2>
    {#if report.hum}
      <HumBars spectrum={report.hum.spectrum} mainsHz={plan.policy.mainsHz} />
      <p class="py-1.5 text-quiet">
        {#each causes as cause, k (cause.kind)}{k > 0 ? ' · ' : ''}<span class="whitespace-nowrap"
            >{HUM_NAMES[cause.kind]} <span class="num text-base-content">{dbu(cause.dbu)}</span></span
          >{/each}
      </p>
      {#if loops === null}
        <p class="text-quiet" aria-live="polite">Looking for loops …</p>
      {:else if loops instanceof Failed}
        <NotComputed failed={loops} what="Loops" />
      {:else}
        <ul>
          {#each loops as loop (loop.cable)}
            {@const here = opened(loop)}
            <li class="border-t border-base-300 py-1 leading-snug">
              A loop through the {nameOf(loop.cable)}{loop.supplies.length > 0
                ? ` and ${loop.supplies.map((s) => plan.supplies[s].name).join(', ')}`
                : ''}:
              <span class="num">{formatQuantity('current', loop.ampere, 2)}</span>{#if here}; with its shield open at
                the far end the hum would be <span class="num">{dbu(toDbu(here.opened))}</span>{here.opened > here.volts
                  ? ', so that is no way out'
                  : ''}.{/if}
            </li>
            {#if loop === loops.at(-1)}
              <li class="py-1">
                <a class="underline" href="/show/{showId}/earth?line={line.id}">Its ring on the map of earths</a>
              </li>
            {/if}
          {:else}
            <li class="text-quiet">No ground loop through this line.</li>
          {/each}
        </ul>
      {/if}
    {/if}
  </section>
</div>
