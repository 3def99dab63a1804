<script lang="ts">
  import type { Line } from '$core/plan/lines';
  import type { Edit, Exposure, Plan } from '$core/plan/schema';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { lineName, setInfo } from './edits';
  import { EXPOSURES, isChannel, NO_CHANNEL, NO_NAME } from './line-fields';

  interface Props {
    plan: Plan;
    line: Line;
    onedit: (edit: Edit | null) => void;
    onclose: () => void;
  }
  const { plan, line, onedit, onclose }: Props = $props();
  let error = $state<string | null>(null);

  function setName(value: string): void {
    const name = value.trim();
    if (name === '') error = NO_NAME;
    else {
      error = null;
      onedit(setInfo(plan, line, { name: name.slice(0, 80) }));
    }
  }
  function setChannel(value: string): void {
    const channel = Number(value);
    if (value.trim() === '') onedit(setInfo(plan, line, { channel: undefined }));
    else if (!isChannel(channel)) error = NO_CHANNEL;
    else {
      error = null;
      onedit(setInfo(plan, line, { channel }));
    }
  }
</script>

<Dialog title={lineName(line)} {onclose}>
  <div class="grid grid-cols-[1fr_15rem] items-center gap-x-3 gap-y-2 max-sm:grid-cols-1">
    <label for="info-name">Name</label>
    <input
      id="info-name"
      class="input w-full input-sm"
      value={lineName(line)}
      maxlength="80"
      onchange={(event) => setName(event.currentTarget.value)}
    />
    <label for="info-channel">Channel</label>
    <input
      id="info-channel"
      class="num input w-full input-sm"
      inputmode="numeric"
      value={line.info?.channel ?? ''}
      onchange={(event) => setChannel(event.currentTarget.value)}
    />
  </div>
  <ChoiceField
    label="In the mix"
    value={line.info?.exposure ?? 'normal'}
    choices={EXPOSURES}
    onset={(value) => onedit(setInfo(plan, line, { exposure: value as Exposure }))}
  />
  {#if error}<p class="pt-1 text-error" role="alert">{error}</p>{/if}
</Dialog>
