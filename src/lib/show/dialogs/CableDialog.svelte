<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { modelAt } from '$core/plan/devices';
  import { portOf } from '$core/gear/catalogue';
  import { CABLE_KIND_IDS, CABLES, type CableKindId, MAX_METRES, plugFor } from '$core/gear/cables';
  import type { Plug } from '$core/gear/sockets';
  import { type Cable, type Wiring, WIRINGS } from '$core/plan/schema';
  import { CABLE_NAMES, choiceName, modelName, PLUG_NAMES, settingName } from '$core/words/names';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import type { PartDialogProps } from './part-dialog';
  import { setCable } from '$lib/show/session/edits';

  const { plan, id, lineName, onedit, onclose }: PartDialogProps = $props();

  const cable = $derived(plan.cables[id]);
  const kind = $derived(CABLES[cable.kind]);
  const subject = $derived(`${CABLE_NAMES[cable.kind]} of ${lineName}`);
  const socket = (end: Cable['from']) => portOf(modelAt(plan, end.device), end.port)!.socket;
  const change = (part: Partial<Cable>): void => onedit(setCable(plan, id, subject, part));
  const setKind = (value: string): void => {
    const next = value as CableKindId;
    change({
      kind: next,
      plugs: [plugFor(next, socket(cable.from)), plugFor(next, socket(cable.to))],
      wiring: undefined,
      settings: undefined
    });
  };
  const setPlug = (side: number, value: string): void =>
    change({ plugs: cable.plugs.map((p, k) => (k === side ? (value as Plug) : p)) as [Plug, Plug] });
  const setWiring = (side: number, value: string): void => {
    const next = [0, 1].map((k) => (k === side ? (value as Wiring) : (cable.wiring?.[k] ?? 'plain')));
    change({ wiring: next.every((w) => w === 'plain') ? undefined : (next as [Wiring, Wiring]) });
  };
  const PER_METRE = ['cShield', 'cCores', 'rShield', 'rCore'] as const;
</script>

<Dialog title="{lineName}: {CABLE_NAMES[cable.kind]}" {onclose}>
  <ChoiceField
    label={says.kind}
    value={cable.kind}
    choices={CABLE_KIND_IDS.map((value) => ({ value, text: CABLE_NAMES[value] }))}
    onset={setKind}
  />
  <QuantityField
    label={says.length}
    kind="length"
    value={cable.metres}
    low={0}
    high={MAX_METRES}
    onset={(metres) => change({ metres })}
  />
  {#each [cable.from, cable.to] as end, side (side)}
    <ChoiceField
      label={says.plugAtThe(modelName(plan.devices[end.device].model))}
      value={cable.plugs[side]}
      choices={kind.plugs.map((value) => ({ value, text: PLUG_NAMES[value] }))}
      onset={(value) => setPlug(side, value)}
    />
    <ChoiceField
      label={says.solderedThere}
      value={cable.wiring?.[side] ?? 'plain'}
      choices={WIRINGS.map((value) => ({ value, text: choiceName('wiring', value) }))}
      onset={(value) => setWiring(side, value)}
    />
  {/each}
  <ChoiceField
    label={says.couplers}
    value={String(cable.couplers ?? 0)}
    choices={[0, 1, 2, 3, 4].map((n) => ({ value: String(n), text: n === 0 ? says.noneOfIt : String(n) }))}
    onset={(value) => change({ couplers: Number(value) || undefined })}
  />
  <h3 class="heading mt-4 mb-1">{says.values}</h3>
  {#each PER_METRE.filter((name) => kind.params[name].typ > 0) as name (name)}
    <QuantityField
      label={settingName(name)}
      kind={kind.params[name].quantity}
      value={cable.settings?.[name] ?? kind.params[name].typ}
      low={kind.params[name].low}
      high={kind.params[name].high}
      typ={kind.params[name].typ}
      onset={(value) => change({ settings: { ...cable.settings, [name]: value } })}
    />
  {/each}
</Dialog>
