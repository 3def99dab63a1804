<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import type { Edit, Op, Plan } from '$core/plan/schema';
  import type { LineSpec } from '$core/plan/spec';
  import { modelName } from '$core/words/names';
  import { lineName } from '$lib/show/session/edits';
  import type { BoardDialog } from './board';

  interface Props {
    dialog: BoardDialog | null;
    /** Opens another one, or none. */
    onopen: (dialog: BoardDialog | null) => void;
    plan: Plan;
    lines: readonly Line[];
    onedit: (edit: Edit | null) => boolean;
    onbuilt: (spec: LineSpec, line: Line | null) => void;
    /** A remedy of a line that is live, its gates passed. */
    onremedy: (line: Line, ops: readonly Op[]) => void;
  }
  /** The dialog that is open over the board, fetched when it is wanted. */
  const { dialog, onopen, plan, lines, onedit, onbuilt, onremedy }: Props = $props();
  const lineOf = (id: string): Line | undefined => lines.find((l) => l.id === id);
  function built(spec: LineSpec, line: Line | null): void {
    onopen(null);
    onbuilt(spec, line);
  }
</script>

{#if dialog?.kind === 'keys'}
  {#await import('$lib/show/dialogs/KeysDialog.svelte') then { default: KeysDialog }}
    <KeysDialog onclose={() => onopen(null)} />
  {/await}
{:else if dialog?.kind === 'live'}
  {@const { line: id, ops } = dialog}
  {@const line = lineOf(id)}
  {#if line}
    {#await import('$lib/show/dialogs/LineIsLiveDialog.svelte') then { default: LineIsLiveDialog }}
      <LineIsLiveDialog {plan} {line} {ops} onchange={() => onremedy(line, ops)} onclose={() => onopen(null)} />
    {/await}
  {/if}
{:else if dialog?.kind === 'new'}
  {#await import('$lib/show/dialogs/LineDialog.svelte') then { default: LineDialog }}
    <LineDialog {plan} line={null} ondone={built} onclose={() => onopen(null)} />
  {/await}
{:else if dialog}
  {@const { id, kind } = dialog}
  {@const line = lineOf(dialog.line)}
  {#if line && kind === 'device' && plan.devices[id]}
    {#await import('$lib/show/dialogs/DeviceDialog.svelte') then { default: DeviceDialog }}
      <DeviceDialog
        {plan}
        {id}
        lineName={lineName(line)}
        {onedit}
        onclose={() => onopen(null)}
        onown={() => onopen({ kind: 'own', id, line: line.id })}
      />
    {/await}
  {:else if line && kind === 'own' && plan.devices[id]}
    {#await import('$lib/show/dialogs/OwnModelDialog.svelte') then { default: OwnModelDialog }}
      <OwnModelDialog
        {plan}
        device={id}
        subject={`${modelName(plan.devices[id].model)} of ${lineName(line)}`}
        {onedit}
        onclose={() => onopen(null)}
      />
    {/await}
  {:else if line && kind === 'cable' && plan.cables[id]}
    {#await import('$lib/show/dialogs/CableDialog.svelte') then { default: CableDialog }}
      <CableDialog {plan} {id} lineName={lineName(line)} {onedit} onclose={() => onopen(null)} />
    {/await}
  {:else if line && kind === 'build'}
    {#await import('$lib/show/dialogs/LineDialog.svelte') then { default: LineDialog }}
      <LineDialog {plan} {line} ondone={built} onclose={() => onopen(null)} />
    {/await}
  {:else if line && kind === 'info'}
    {#await import('$lib/show/dialogs/InfoDialog.svelte') then { default: InfoDialog }}
      <InfoDialog {plan} {line} {onedit} onclose={() => onopen(null)} />
    {/await}
  {/if}
{/if}
