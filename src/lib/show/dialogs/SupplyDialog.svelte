<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { rangeOf } from '$core/trace/belief';
  import type { Edit, Plan } from '$core/plan/schema';
  import { formatQuantity } from '$core/units/format';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { dropSupply, putSupply } from '$lib/show/session/edits';

  interface Props {
    plan: Plan;
    id: string;
    onedit: (edit: Edit | null) => boolean;
    onclose: () => void;
  }
  const { plan, id, onedit, onclose }: Props = $props();
  const supply = $derived(plan.supplies[id]);
  const used = $derived(
    Object.values(plan.devices).some((d) => d.supply === id) || Object.values(plan.hosts).some((h) => h.supply === id)
  );
  const change = (part: Partial<typeof supply>): boolean => onedit(putSupply(plan, id, { ...supply, ...part }));
  const range = $derived(rangeOf(plan, id).map((v) => formatQuantity('voltage', v, 2)));
</script>

<Dialog title={supply.name} {onclose}>
  <label class="grid grid-cols-[1fr_9.5rem] items-center gap-x-3 py-1">
    {says.name}
    <input
      class="input w-full input-sm"
      maxlength="80"
      value={supply.name}
      onchange={(e) => {
        const name = e.currentTarget.value.trim();
        if (name === '' || !change({ name })) e.currentTarget.value = supply.name;
      }}
    />
  </label>
  <label class="grid grid-cols-[1fr_9.5rem] items-center gap-x-3 py-1">
    {says.whereItsSocketsAre}
    <input
      class="input w-full input-sm"
      maxlength="80"
      placeholder={says.notSaid}
      value={supply.place ?? ''}
      onchange={(e) => change({ place: e.currentTarget.value.trim() || undefined })}
    />
  </label>
  <ChoiceField
    label={says.phase}
    value={String(supply.phase ?? 'unknown')}
    choices={[
      { value: 'unknown', text: says.notKnown },
      { value: '1', text: '1' },
      { value: '2', text: '2' },
      { value: '3', text: '3' }
    ]}
    onset={(value) => change({ phase: value === 'unknown' ? undefined : (Number(value) as 1 | 2 | 3) })}
  />
  <p class="py-1 text-quiet">
    {says.leaksOfTwoPinSuppliesOn}
  </p>
  <QuantityField
    label={says.emfOfItsEarthAgainstThe}
    kind="voltage"
    value={supply.emf}
    low={0}
    high={50}
    onset={(emf) => change({ emf })}
  />
  <p class="py-1 text-quiet">
    {says.sameStrip1To5Mv(range[0], range[1])}
  </p>
  <QuantityField
    label={says.resistanceOfItsProtectiveConductor}
    kind="resistance"
    value={supply.ohm}
    low={0.001}
    high={100}
    onset={(ohm) => change({ ohm })}
  />
  <ChoiceField
    label={says.dimmersOnIt}
    value={supply.dimmers ? 'yes' : 'no'}
    choices={[
      { value: 'no', text: says.no },
      { value: 'yes', text: says.yes }
    ]}
    onset={(value) => change({ dimmers: value === 'yes' })}
  />
  <button
    type="button"
    class="btn mt-3 btn-sm"
    disabled={used}
    title={used ? says.somethingIsPluggedInThere : undefined}
    onclick={() => onedit(dropSupply(plan, id)) && onclose()}>{says.takeItOut}</button
  >
</Dialog>
