<script lang="ts">
  import { measure as says } from '$core/words/screen/measure';
  import { formatDbu } from '$core/units/format';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import type { MeasureDesk } from './measure-desk.svelte';

  /** One voltage that somebody reads at the output: from it levels are dBu. */
  const { desk, ready }: { desk: MeasureDesk; ready: boolean } = $props();
</script>

<details class="rounded-[7px] border border-base-300 px-3 py-2" data-known>
  <summary class="cursor-pointer"
    >{says.knownVoltage}{#if desk.full !== null}: <strong>{says.fullIs(formatDbu(desk.full, 1))}</strong>{/if}</summary
  >
  <p class="max-w-[70ch] py-2 text-quiet">{says.knownTeach}</p>
  <p>
    {#if desk.simulated}
      <button type="button" class="btn" onclick={() => void desk.readSimulated()}>{says.readSimulated}</button>
    {:else}
      <button type="button" class="btn" disabled={!ready || desk.toneOn} onclick={() => void desk.playTone()}
        >{desk.toneOn ? says.toneOn : says.playTone}</button
      >
    {/if}
  </p>
  <div class="max-w-md">
    <QuantityField
      label={says.readMeter}
      kind="voltage"
      value={desk.volts ?? 0}
      low={0.001}
      high={30}
      onset={(volts) => (desk.volts = volts)}
    />
  </div>
</details>
