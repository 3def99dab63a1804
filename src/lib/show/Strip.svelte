<script lang="ts">
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
  const label = (cables: readonly string[]): string => {
    const metres = cables.reduce((sum, id) => sum + plan.cables[id].metres, 0);
    const couplers = cables.reduce((sum, id) => sum + (plan.cables[id].couplers ?? 0), 0);
    return `${formatQuantity('length', metres)}${couplers ? `, ${couplers} coupled` : ''}`;
  };
  /** The longest of several cables in a column is the one whose stitches are shown. */
  const longest = (cables: readonly string[]): string =>
    cables.reduce((a, b) => (plan.cables[b].metres > plan.cables[a].metres ? b : a));
</script>

<div class="strip">
  <span class="chip" title={modelName(plan.devices[line.devices[0]].model)}
    >{modelShort(plan.devices[line.devices[0]].model)}</span
  >
  {#if parts.lead.length > 0}
    {@const cable = longest(parts.lead)}
    <Thread strokes={strokes(cable)} at={line.cables.indexOf(cable)} {report} label={label(parts.lead)} hint="" />
  {/if}
  {#if parts.box}
    <span class="chip" title={parts.middle.map((id) => modelName(plan.devices[id].model)).join(', then ')}
      >{modelShort(plan.devices[parts.box].model)}{parts.middle.length > 1 ? ` +${parts.middle.length - 1}` : ''}</span
    >
  {:else}
    <Thread strokes={0} label="no box" hint="" />
  {/if}
  {#if parts.run.length > 0}
    {@const cable = longest(parts.run)}
    <Thread strokes={strokes(cable)} at={line.cables.indexOf(cable)} {report} label={label(parts.run)} hint="" />
  {:else}
    <Thread strokes={0} />
  {/if}
  <span class="chip" title={modelName(plan.devices[line.devices[line.devices.length - 1]].model)}
    >{modelShort(plan.devices[line.devices[line.devices.length - 1]].model)}</span
  >
</div>
