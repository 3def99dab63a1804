<script lang="ts">
  import { line as says } from '$core/words/screen/line';
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
  <section aria-label={says.hiss2}>
    <h2 class="heading">
      {says.hiss3(report.snr === null ? '' : says.dbUnderThePlaying(formatNumber(report.snr)))}
    </h2>
    {#if report.noise}
      <p class="num py-1.5 text-quiet">
        {says.flatAWeighted20HzTo(dbu(report.noise.flatDbu), dbu(report.noise.weightedDbu))}
      </p>
      <ul>
        {#each shares as share (share.of + share.kind)}
          <li
            class="grid grid-cols-[minmax(0,1fr)_38%_46px] items-center gap-x-3 py-[3px] max-sm:grid-cols-[minmax(0,1fr)_18%_46px]"
          >
            <span class="truncate"
              >{nameOf(share.of)}{share.kind === 'amplifier' ? says.sOwnAmplifier : says.resistance}</span
            >
            <span class="h-[9px] rounded-[2px] bg-base-200" aria-hidden="true"
              ><span class="block h-full rounded-[2px] bg-primary" style:width="{share.share * 100}%"></span></span
            >
            <span class="num text-right">{formatNumber(share.share * 100)} %</span>
          </li>
        {/each}
      </ul>
    {:else}
      <p class="py-1.5 text-quiet">{says.nothingAtTheFarEndAmplifies}</p>
    {/if}
    {#if report.cmrr !== null || report.phantomVolts !== null}
      <p class="pt-2 text-quiet">
        {#if report.cmrr !== null}{says.rejectsWhatBothCoresCarryAlike}
          <span class="num text-base-content">{says.db(formatNumber(report.cmrr))}</span>
          {says.atHz(plan.policy.mainsHz)}{/if}
        {#if report.phantomVolts !== null}
          {says.phantomLeaves}
          <span class="num text-base-content">{formatQuantity('voltage', report.phantomVolts, 3)}</span>
          {says.atTheFarEndOfIts}{/if}
      </p>
    {/if}
  </section>
  <section aria-label={says.hum2}>
    <h2 class="heading">
      {says.hum3(report.hum ? says.dbUnderThePlaying2(formatNumber(report.hum.below), dbu(report.hum.dbu)) : '')}
    </h2>
    {#if report.hum}
      <HumBars spectrum={report.hum.spectrum} mainsHz={plan.policy.mainsHz} />
      <p class="py-1.5 text-quiet">
        {#each causes as cause, k (cause.kind)}{k > 0 ? ' · ' : ''}<span class="whitespace-nowrap"
            >{HUM_NAMES[cause.kind]} <span class="num text-base-content">{dbu(cause.dbu)}</span></span
          >{/each}
      </p>
      {#if loops === null}
        <p class="text-quiet" aria-live="polite">{says.lookingForLoops}</p>
      {:else if loops instanceof Failed}
        <NotComputed failed={loops} what={says.loops} />
      {:else}
        <ul>
          {#each loops as loop (loop.cable)}
            {@const here = opened(loop)}
            <li class="border-t border-base-300 py-1 leading-snug">
              {says.aLoopThroughThe(
                nameOf(loop.cable),
                loop.supplies.length > 0 ? says.and(loop.supplies.map((s) => plan.supplies[s].name).join(', ')) : ''
              )}
              <span class="num">{formatQuantity('current', loop.ampere, 2)}</span
              >{#if here}{says.withItsShieldOpenAtThe} <span class="num">{dbu(toDbu(here.opened))}</span>{here.opened >
                here.volts
                  ? says.soThatIsNoWayOut
                  : ''}.{/if}
            </li>
            {#if loop === loops.at(-1)}
              <li class="py-1">
                <a class="underline" href="/show/{showId}/earth?line={line.id}">{says.itsRingOnTheMapOf}</a>
              </li>
            {/if}
          {:else}
            <li class="text-quiet">{says.noGroundLoopThroughThisLine}</li>
          {/each}
        </ul>
      {/if}
    {/if}
  </section>
</div>
