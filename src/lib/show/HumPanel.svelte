<script lang="ts">
  import type { LineReport } from '$core/judge/judge';
  import type { Line } from '$core/plan/lines';
  import type { Plan } from '$core/plan/schema';
  import type { Loop } from '$core/rig/loops';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { toDbu } from '$core/units/quantity';
  import { CABLE_NAMES, HUM_NAMES, modelName } from '$core/words/names';

  interface Props {
    plan: Plan;
    line: Line;
    report: LineReport;
    /** Null while they are being computed. */
    loops: readonly Loop[] | null;
  }
  const { plan, line, report, loops }: Props = $props();

  const nameOf = (id: string): string =>
    id in plan.devices ? modelName(plan.devices[id].model) : id in plan.cables ? CABLE_NAMES[plan.cables[id].kind] : id;
  const dbu = (v: number): string => (v <= -150 ? '−∞' : `${formatNumber(v, 0, true)}\u202FdBu`);
  const shares = $derived((report.noise?.shares ?? []).filter((s) => s.share >= 0.005).slice(0, 5));

  const LOW = -160;
  const HEIGHT = 108;
  let width = $state(560);
  const spectrum = $derived(report.hum?.spectrum ?? []);
  const high = $derived(Math.max(-40, Math.ceil((Math.max(...spectrum, LOW) + 5) / 20) * 20));
  const y = (v: number): number => ((high - Math.max(v, LOW)) / (high - LOW)) * HEIGHT;
  const ticks = $derived(Array.from({ length: Math.floor((high - LOW) / 40) + 1 }, (_, k) => high - 40 * k));
  const slot = $derived((width - 40) / 20);
  const told = $derived(
    spectrum
      .map((v, k) => ({ v, hz: plan.policy.mainsHz * (k + 1) }))
      .filter(({ v }) => v > LOW)
      .map(({ v, hz }) => `${hz} Hz ${formatNumber(v)} dBu`)
      .join(', ')
  );
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
      <div bind:clientWidth={width} role="img" aria-label="Spectrum of predicted hum. {told}" class="pt-2">
        <svg {width} height={HEIGHT + 16} aria-hidden="true" class="block overflow-visible">
          {#each ticks as tick (tick)}
            <line x1="36" x2={width} y1={y(tick)} y2={y(tick)} class="stroke-base-300" />
            <text x="32" y={y(tick) + 4} text-anchor="end" class="num fill-quiet" font-size="10.5"
              >{formatNumber(tick)}</text
            >
          {/each}
          {#each spectrum as v, k (k)}
            {#if v > LOW}
              <rect
                x={38 + k * slot + slot * 0.2}
                y={y(v)}
                width={slot * 0.6}
                height={Math.max(HEIGHT - y(v), 1)}
                class={k === 0 ? 'fill-accent' : 'fill-primary'}
              />
            {/if}
            {#if k % 4 === 0 || k === 19}
              <text
                x={38 + (k + 0.5) * slot}
                y={HEIGHT + 13}
                text-anchor="middle"
                class="num fill-quiet"
                font-size="10.5">{plan.policy.mainsHz * (k + 1)}</text
              >
            {/if}
          {/each}
        </svg>
      </div>
      <p class="py-1.5 text-quiet">
        {#each causes as cause, k (cause.kind)}{k > 0 ? ' · ' : ''}<span class="whitespace-nowrap"
            >{HUM_NAMES[cause.kind]} <span class="num text-base-content">{dbu(cause.dbu)}</span></span
          >{/each}
      </p>
      {#if loops === null}
        <p class="text-quiet" aria-live="polite">Looking for loops …</p>
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
          {:else}
            <li class="text-quiet">No ground loop through this line.</li>
          {/each}
        </ul>
      {/if}
    {/if}
  </section>
</div>
