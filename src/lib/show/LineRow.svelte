<script lang="ts">
  import { modelOf } from '$core/gear/catalogue';
  import { CABLES } from '$core/gear/cables';
  import type { LineReport } from '$core/judge/judge';
  import type { Line } from '$core/plan/lines';
  import type { Plan } from '$core/plan/schema';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { verdict } from '$core/words/findings';
  import { modelName, modelShort } from '$core/words/names';
  import { columnsOf } from './board';
  import Mark from '$lib/ui/Mark.svelte';
  import { SEVERITY_TEXT } from '$lib/ui/marks';
  import Thread from '$lib/ui/Thread.svelte';

  interface Props {
    plan: Plan;
    line: Line;
    report: LineReport | undefined;
    open: boolean;
    current: boolean;
    ontoggle: () => void;
    ondevice: (id: string) => void;
    oncable: (id: string) => void;
    oninfo: () => void;
    onbuild: () => void;
  }
  const { plan, line, report, open, current, ontoggle, ondevice, oncable, oninfo, onbuild }: Props = $props();

  const parts = $derived(columnsOf(plan, line));
  const isJoint = $derived(parts.box !== null && modelOf(plan.devices[parts.box].model).family === 'joint');

  function strokes(cable: string | undefined): 0 | 1 | 2 {
    if (!cable) return 0;
    const balanced = report?.findings.some((f) => f.code === 'balanced' && f.at === line.cables.indexOf(cable));
    return (balanced ?? CABLES[plan.cables[cable].kind].cores === 2) ? 2 : 1;
  }
  function label(cable: string | undefined): string {
    if (!cable) return '';
    const { metres, couplers, kind } = plan.cables[cable];
    const rest = couplers
      ? `, ${couplers} coupler${couplers > 1 ? 's' : ''}`
      : kind === 'mini'
        ? ' 3.5 mm'
        : kind === 'multicore'
          ? ' pair'
          : '';
    return `${formatQuantity('length', metres)}${rest}`;
  }
  const show = (value: number | null | undefined): string =>
    value === null || value === undefined ? '–' : value <= -150 ? '−∞' : formatNumber(value);
  const name = $derived(line.info?.name ?? 'Unnamed');
</script>

<div class="board-row py-[3px] {open ? 'bg-card' : current ? 'bg-base-200/60' : ''}" data-line={line.id}>
  <button
    type="button"
    class="num no text-left text-quiet hover:text-base-content"
    tabindex={current ? 0 : -1}
    onclick={oninfo}
    aria-label="Name and channel of {name}">{line.info?.channel ?? '·'}</button
  >
  <button
    type="button"
    class="name truncate text-left font-semibold"
    tabindex={current ? 0 : -1}
    aria-expanded={open}
    data-open={line.id}
    title={name}
    onclick={ontoggle}>{name}</button
  >
  <div class="strip-cell">
    <div class="strip">
      {#if parts.source}
        <button
          type="button"
          class="chip"
          tabindex={current ? 0 : -1}
          title={modelName(plan.devices[parts.source].model)}
          onclick={() => ondevice(parts.source!)}>{modelShort(plan.devices[parts.source].model)}</button
        >
      {:else}
        <button type="button" class="chip border-dashed text-quiet" tabindex={-1} onclick={ontoggle}>no source</button>
      {/if}
      <Thread
        strokes={strokes(parts.lead.at(-1))}
        at={parts.lead.length - 1}
        report={parts.lead.length > 0 ? report : undefined}
        label={label(parts.lead.at(-1))}
        reachable={open}
        onpick={() => !open && ontoggle()}
        onedit={() => parts.lead.length > 0 && oncable(parts.lead.at(-1)!)}
      />
      {#if parts.box && !isJoint}
        <button
          type="button"
          class="chip"
          tabindex={current ? 0 : -1}
          title={modelName(plan.devices[parts.box].model)}
          onclick={() => ondevice(parts.box!)}
          >{modelShort(plan.devices[parts.box].model)}{parts.middle.length > 1
            ? ` +${parts.middle.length - 1}`
            : ''}</button
        >
      {:else if parts.box}
        <Thread
          strokes={1}
          label={modelShort(plan.devices[parts.box].model)}
          reachable={open}
          onedit={() => ondevice(parts.box!)}
        />
      {:else}
        <Thread
          strokes={0}
          label={parts.lead.length > 0 && parts.input ? 'no box' : ''}
          hint="Put in a box"
          reachable={open}
          onedit={onbuild}
        />
      {/if}
      <Thread
        strokes={strokes(parts.run[0])}
        at={line.cables.indexOf(parts.run[0])}
        report={parts.run.length > 0 ? report : undefined}
        label={label(parts.run[0])}
        reachable={open}
        onpick={() => !open && ontoggle()}
        onedit={() => parts.run.length > 0 && oncable(parts.run[0])}
      />
      {#if parts.input}
        <button
          type="button"
          class="chip"
          tabindex={current ? 0 : -1}
          title={modelName(plan.devices[parts.input].model)}
          onclick={() => ondevice(parts.input!)}>{modelShort(plan.devices[parts.input].model)}</button
        >
      {:else}
        <button type="button" class="chip border-dashed text-quiet" tabindex={-1} onclick={ontoggle}>no input</button>
      {/if}
    </div>
  </div>
  <span class="num arrives text-right" title="Average level at the input, dBu">{show(report?.arrives)}</span>
  <span class="num wide text-right" title="Gain to the working level, dB">{show(report?.gain)}</span>
  <span class="num wide text-right" title="Least room between peak and clip, dB">{show(report?.room)}</span>
  <span class="num wide text-right" title="Average level over the hiss at the input, dB">{show(report?.snr)}</span>
  <span class="num wide text-right" title="Average level over the hum of the whole rig, dB"
    >{show(report?.hum?.below)}</span
  >
  <span class="verdict flex min-w-0 items-center gap-2 {report ? SEVERITY_TEXT[report.severity] : 'text-quiet'}">
    {#if report}
      <Mark severity={report.severity} /><span
        class="truncate {report.severity === 'clean' ? '' : 'font-semibold'}"
        data-verdict={report.severity}>{verdict(report)}</span
      >
    {:else}computing{/if}
  </span>
</div>
