<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { choicesOf, MODELS, modelOf, DeviceSettings } from '$core/gear/catalogue';
  import { INSTRUMENT_IDS } from '$core/gear/instruments';
  import { choiceName, INSTRUMENT_NAMES, modelName, settingName } from '$core/words/names';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import type { PartDialogProps } from './part-dialog';
  import { setDevice, setModel, setPhantomMost, setSupply } from '$lib/show/session/edits';

  const { plan, id, lineName, onedit, onclose, onown }: PartDialogProps & { onown: () => void } = $props();

  const device = $derived(plan.devices[id]);
  const model = $derived(modelOf(device.model));
  const read = $derived(new DeviceSettings(model, device.settings));
  const siblings = $derived(MODELS.filter((m) => m.family === model.family));
  const own = $derived(device.own === undefined ? undefined : plan.models?.[device.own]);
  const switches = $derived(Object.keys(model.options));
  const feeds = $derived(choicesOf(model, 'feed'));
  const supplies = $derived(Object.entries(plan.supplies).map(([value, s]) => ({ value, text: s.name })));
  const host = $derived(device.host === undefined ? undefined : plan.hosts[device.host]);
  const subject = $derived(`${modelName(model.id)} of ${lineName}`);
</script>

<Dialog title="{lineName}: {modelName(device.model)}" {onclose}>
  <ChoiceField
    label={says.kind}
    value={device.model}
    choices={siblings.map((m) => ({ value: m.id, text: modelName(m.id) }))}
    onset={(value) => onedit(setModel(plan, id, subject, value))}
  />
  {#if model.signal}
    <ChoiceField
      label={says.plays}
      value={read.instrument}
      choices={INSTRUMENT_IDS.map((value) => ({ value, text: INSTRUMENT_NAMES[value] }))}
      onset={(value) => onedit(setDevice(plan, id, subject, 'instrument', value))}
    />
  {/if}
  {#each switches as name (name)}
    <ChoiceField
      label={settingName(name)}
      value={read.choice(name)}
      choices={choicesOf(model, name).map((value) => ({ value, text: choiceName(name, value) }))}
      onset={(value) => onedit(setDevice(plan, id, subject, name, value))}
    />
  {/each}
  {#if feeds.length > 1 && !device.host}
    <ChoiceField
      label={says.fedBy}
      value={read.feed}
      choices={feeds.map((value) => ({ value, text: choiceName('feed', value) }))}
      onset={(value) => onedit(setDevice(plan, id, subject, 'feed', value))}
    />
  {/if}
  {#if !device.host && supplies.length > 0 && read.feed.startsWith('mains') && model.family !== 'box'}
    <ChoiceField
      label={says.onSupply}
      value={device.supply ?? ''}
      choices={[...(device.supply ? [] : [{ value: '', text: says.notSaid }]), ...supplies]}
      onset={(value) => onedit(setSupply(plan, id, subject, value))}
    />
  {/if}
  {#if host && 'phantomVolts' in model.params}
    <QuantityField
      label={says.phantomOfForAllInputsTogether(host.name)}
      kind="current"
      value={host.phantomMost ?? 0}
      low={0}
      high={5}
      onset={(ampere) => onedit(setPhantomMost(plan, device.host!, ampere))}
    />
  {/if}
  {#if read.feed === 'mains-1' && !device.host}
    <ChoiceField
      label={says.protectiveEarthAsFound}
      value={read.shocks ? 'shocks' : read.unearthed ? 'removed' : 'kept'}
      choices={choicesOf(model, 'earth').map((value) => ({ value, text: value }))}
      onset={(value) => onedit(setDevice(plan, id, subject, 'earth', value))}
    />
  {/if}
  {#if Object.keys(model.params).length > 0}
    <p class="flex items-center justify-between gap-3 py-1">
      <span class="text-quiet">{own ? says.madeFromYourOwn(own.name) : says.valuesOfTheClassUnlessSet}</span>
      <button type="button" class="btn btn-sm" onclick={onown}>{says.ownModels}</button>
    </p>
    <h3 class="heading mt-4 mb-1">{says.values}</h3>
    {#each Object.entries(model.params) as [name, spec] (name)}
      <QuantityField
        label={settingName(name)}
        kind={spec.quantity}
        value={read.value(name)}
        low={spec.low}
        high={spec.high}
        typ={spec.typ}
        onset={(value) => onedit(setDevice(plan, id, subject, name, value))}
      />
    {/each}
  {/if}
</Dialog>
