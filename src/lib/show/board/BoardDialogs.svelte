<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import type { LineSpec } from '$core/plan/spec';
  import { modelName } from '$core/words/names';
  import { lineName } from '$lib/show/session/edits';
  import { useBoard } from './board-state.svelte';

  /** The dialog that is open over the board, fetched when it is wanted. */
  const board = useBoard();
  const dialog = $derived(board.dialog);
  const plan = $derived(board.plan);
  const lineOf = (id: string): Line | undefined => board.lines.find((l) => l.id === id);
  const close = (): void => void (board.dialog = null);
  function built(spec: LineSpec, line: Line | null): void {
    close();
    void board.said([spec], line);
  }
</script>

{#if dialog?.kind === 'keys'}
  {#await import('$lib/show/dialogs/KeysDialog.svelte') then { default: KeysDialog }}
    <KeysDialog onclose={close} />
  {/await}
{:else if dialog?.kind === 'live'}
  {@const { line: id, ops } = dialog}
  {@const line = lineOf(id)}
  {#if line}
    {#await import('$lib/show/dialogs/LineIsLiveDialog.svelte') then { default: LineIsLiveDialog }}
      <LineIsLiveDialog {plan} {line} {ops} onchange={() => board.applyNow(line, ops)} onclose={close} />
    {/await}
  {/if}
{:else if dialog?.kind === 'new'}
  {#await import('$lib/show/dialogs/LineDialog.svelte') then { default: LineDialog }}
    <LineDialog {plan} line={null} ondone={built} onclose={close} />
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
        onedit={board.change}
        onclose={close}
        onown={() => (board.dialog = { kind: 'own', id, line: line.id })}
      />
    {/await}
  {:else if line && kind === 'own' && plan.devices[id]}
    {#await import('$lib/show/dialogs/OwnModelDialog.svelte') then { default: OwnModelDialog }}
      <OwnModelDialog
        {plan}
        device={id}
        subject={`${modelName(plan.devices[id].model)} of ${lineName(line)}`}
        onedit={board.change}
        onclose={close}
      />
    {/await}
  {:else if line && kind === 'cable' && plan.cables[id]}
    {#await import('$lib/show/dialogs/CableDialog.svelte') then { default: CableDialog }}
      <CableDialog {plan} {id} lineName={lineName(line)} onedit={board.change} onclose={close} />
    {/await}
  {:else if line && kind === 'build'}
    {#await import('$lib/show/dialogs/LineDialog.svelte') then { default: LineDialog }}
      <LineDialog {plan} {line} ondone={built} onclose={close} />
    {/await}
  {:else if line && kind === 'info'}
    {#await import('$lib/show/dialogs/InfoDialog.svelte') then { default: InfoDialog }}
      <InfoDialog {plan} {line} onedit={board.change} onclose={close} />
    {/await}
  {/if}
{/if}
