<script lang="ts">
  import { board as says } from '$core/words/screen/board';
  import { CABLES } from '$core/gear/cables';
  import type { LineReport } from '$core/judge/judge';
  import type { Line } from '$core/plan/lines';
  import type { Plan } from '$core/plan/schema';
  import { formatQuantity } from '$core/units/format';
  import { modelName, modelShort } from '$core/words/names';
  import { columnsOf } from './board';
  import Thread from '$lib/ui/Thread.svelte';

  interface Props {
    plan: Plan;
    line: Pick<Line, 'devices' | 'cables'>;
    report: LineReport;
  }
  /** A line's strip to read, in the board's columns; nothing in it can be changed. */
  const { plan, line, report }: Props = $props();

  const parts = $derived(columnsOf(plan, line));
  const strokes = (cable: string): 1 | 2 =>
    report.findings.some((f) => f.code === 'balanced' && f.at === line.cables.indexOf(cable)) ||
    CABLES[plan.cables[cable].kind].cores === 2
      ? 2
      : 1;
  const label = (id: string): string => {
    const { metres, couplers } = plan.cables[id];
    return `${formatQuantity('length', metres)}${couplers ? says.coupled(couplers) : ''}`;
  };
</script>

<div class="strip">
  <span class="chip" title={modelName(plan.devices[line.devices[0]].model)}
    >{modelShort(plan.devices[line.devices[0]].model)}</span
  >
  {#if parts.lead}
    <Thread
      strokes={strokes(parts.lead)}
      at={line.cables.indexOf(parts.lead)}
      {report}
      label={label(parts.lead)}
      join={says.leadCable}
      hint=""
    />
  {/if}
  {#if parts.middle.length > 0}
    <span class={parts.middle.length > 1 ? 'chips chips-stack' : 'chips'} style:--rows={parts.middle.length}>
      {#each parts.middle as id (id)}
        <span class="chip" title={modelName(plan.devices[id].model)}>{modelShort(plan.devices[id].model)}</span>
      {/each}
    </span>
  {:else}
    <Thread strokes={0} label={says.noBox} hint="" />
  {/if}
  {#if parts.run}
    <Thread
      strokes={strokes(parts.run)}
      at={line.cables.indexOf(parts.run)}
      {report}
      label={label(parts.run)}
      join={says.runCable}
      hint=""
    />
  {:else}
    <Thread strokes={0} />
  {/if}
  <span class="chip" title={modelName(plan.devices[line.devices[line.devices.length - 1]].model)}
    >{modelShort(plan.devices[line.devices[line.devices.length - 1]].model)}</span
  >
</div>
