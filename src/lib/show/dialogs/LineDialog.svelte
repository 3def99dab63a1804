<script lang="ts">
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { defaultKind, givesPhantom, keptSettings, MODELS, modelOf } from '$core/gear/catalogue';
  import { MAX_METRES } from '$core/gear/cables';
  import { INSTRUMENT_IDS, type InstrumentId } from '$core/gear/instruments';
  import type { Family } from '$core/gear/types';
  import type { Line } from '$core/plan/lines';
  import type { Exposure, Plan } from '$core/plan/schema';
  import { type CableSpec, type DeviceSpec, type LineSpec, MOST_BOXES, specOf } from '$core/plan/spec';
  import { INSTRUMENT_NAMES, modelName } from '$core/words/names';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { untrack } from 'svelte';
  import { EXPOSURES, isChannel, NO_CHANNEL, NO_NAME } from './line-fields';

  interface Props {
    plan: Plan;
    /** The line to change; null for a new one. */
    line: Line | null;
    ondone: (spec: LineSpec, line: Line | null) => void;
    onclose: () => void;
  }
  const { plan, line, ondone, onclose }: Props = $props();

  const NEW: LineSpec = {
    name: '',
    source: { model: 'piezo', settings: {} },
    lead: { kind: 'instrument', metres: 3 },
    box: { model: 'active-di', settings: {} },
    run: { kind: 'mic', metres: 10 },
    input: { model: 'mic-in', settings: { phantom: 'on' } }
  };
  let spec = $state.raw<LineSpec>(untrack(() => (line && specOf(plan, line)) ?? NEW));
  let tried = $state(false);

  const kinds = (family: Family) =>
    MODELS.filter((m) => m.family === family).map((m) => ({ value: m.id, text: modelName(m.id) }));
  const BOXES = [{ value: '', text: says.noBox }, ...kinds('box'), ...kinds('joint')];
  const change = (part: Partial<LineSpec>): void => void (spec = { ...spec, ...part });
  const plays = $derived(
    (spec.source.settings.instrument as InstrumentId | undefined) ?? modelOf(spec.source.model).signal!.instrument
  );

  /** Another device of the family, with what both know kept. */
  const other = (old: DeviceSpec | null, model: string): DeviceSpec => ({
    ...(old?.supply ? { supply: old.supply } : {}),
    model,
    settings: keptSettings(modelOf(model), old?.settings ?? {})
  });
  /** The input with phantom on, where the box is of the kind that runs on it and the input has it. */
  const feeding = (box: DeviceSpec | null, input: DeviceSpec): DeviceSpec =>
    box && modelOf(box.model).feeds[0] === 'phantom' && givesPhantom(input.model)
      ? { ...input, settings: { ...input.settings, phantom: 'on' } }
      : input;
  const cable = (place: 'lead' | 'run', old: CableSpec | null, metres: number, box = spec.box): CableSpec => ({
    ...(old ?? { kind: defaultKind(place, place === 'lead' ? spec.source.model : (box?.model ?? null), metres) }),
    metres
  });

  function setSource(model: string): void {
    const lead = spec.lead && { ...spec.lead, kind: defaultKind('lead', model, spec.lead.metres), plugs: undefined };
    change({ source: other(spec.source, model), lead });
  }
  function setBox(model: string): void {
    const box = model === '' ? null : other(spec.box, model);
    change({
      box,
      run: box ? (spec.run ?? cable('run', null, 10, box)) : spec.run,
      ...(box ? {} : { more: undefined }),
      input: feeding(box, spec.input)
    });
  }
  type More = NonNullable<LineSpec['more']>;
  const more = $derived(spec.more ?? []);
  const setMore = (next: More): void => change({ more: next.length > 0 ? next : undefined });
  /** Another box behind the last one: what was the run goes on behind it. */
  function addBox(): void {
    const box: DeviceSpec = { model: 'isolator', settings: {} };
    const last = more.at(-1)?.run ?? spec.run ?? cable('run', null, 10);
    const patch: CableSpec = { kind: 'mic', metres: 1 };
    if (more.length === 0) change({ run: patch, more: [{ box, run: last }] });
    else setMore([...more.slice(0, -1), { ...more[more.length - 1], run: patch }, { box, run: last }]);
  }
  /** A box taken out, or another in its place: the cable behind it stays. */
  function setMoreBox(at: number, model: string): void {
    if (model !== '') {
      const box = other(more[at].box, model);
      setMore(more.map((m, k) => (k === at ? { ...m, box } : m)));
      change({ input: feeding(box, spec.input) });
      return;
    }
    const { run } = more[at];
    if (at === 0) change({ run, more: more.length > 1 ? more.slice(1) : undefined });
    else setMore(more.flatMap((m, k) => (k === at ? [] : [k === at - 1 ? { ...m, run } : m])));
  }
  function setInput(model: string): void {
    change({
      input: feeding(spec.box, other(spec.input, model)),
      ...(more.length > 0
        ? { more: more.map((m) => ({ ...m, run: { ...m.run, plugs: undefined } })) }
        : spec.run
          ? { run: { ...spec.run, plugs: undefined } }
          : spec.lead
            ? { lead: { ...spec.lead, plugs: undefined } }
            : {})
    });
  }
  function submit(event: SubmitEvent): void {
    event.preventDefault();
    tried = true;
    const name = spec.name.trim();
    const { channel } = spec;
    if (name === '' || !(channel === undefined || isChannel(channel))) return;
    ondone({ ...spec, name }, line);
  }
</script>

<Dialog title={line ? says.build(spec.name) : says.buildALine} {onclose}>
  <form onsubmit={submit}>
    <div class="grid grid-cols-[1fr_15rem] items-center gap-x-3 gap-y-2 pb-1 max-sm:grid-cols-1">
      <label for="line-name">{says.name}</label>
      <input
        id="line-name"
        class="input w-full input-sm"
        maxlength="80"
        value={spec.name}
        oninput={(e) => change({ name: e.currentTarget.value })}
      />
      <label for="line-channel">{says.channel}</label>
      <input
        id="line-channel"
        class="num input w-full input-sm"
        inputmode="numeric"
        value={spec.channel ?? ''}
        oninput={(e) =>
          change({ channel: e.currentTarget.value.trim() === '' ? undefined : Number(e.currentTarget.value) })}
      />
    </div>
    {#if tried && spec.name.trim() === ''}<p class="pb-1 text-right text-error" role="alert">{NO_NAME}</p>{/if}
    {#if tried && spec.channel !== undefined && !isChannel(spec.channel)}
      <p class="pb-1 text-right text-error" role="alert">{NO_CHANNEL}</p>
    {/if}
    {#if spec.from}
      <p class="py-1">{says.leaves} <strong>{plan.lines[spec.from]?.name}</strong>.</p>
    {:else}
      <ChoiceField label={says.source} value={spec.source.model} choices={kinds('source')} onset={setSource} />
      <ChoiceField
        label={says.plays}
        value={plays}
        choices={INSTRUMENT_IDS.map((value) => ({ value, text: INSTRUMENT_NAMES[value] }))}
        onset={(instrument) =>
          change({ source: { ...spec.source, settings: { ...spec.source.settings, instrument } } })}
      />
    {/if}
    <QuantityField
      label={says.lead}
      kind="length"
      value={spec.lead?.metres ?? 3}
      low={0}
      high={MAX_METRES}
      onset={(m) => change({ lead: cable('lead', spec.lead, m) })}
    />
    <ChoiceField label={says.box} value={spec.box?.model ?? ''} choices={BOXES} onset={setBox} />
    {#if spec.box || spec.run}
      <QuantityField
        label={says.run}
        kind="length"
        value={spec.run?.metres ?? 10}
        low={0}
        high={MAX_METRES}
        onset={(m) => change({ run: cable('run', spec.run, m) })}
      />
    {/if}
    {#each more as { box, run }, k (k)}
      <ChoiceField label={says.box2(k + 2)} value={box.model} choices={BOXES} onset={(model) => setMoreBox(k, model)} />
      <QuantityField
        label={says.behindIt}
        kind="length"
        value={run.metres}
        low={0}
        high={MAX_METRES}
        onset={(metres) => setMore(more.map((m, j) => (j === k ? { ...m, run: { ...m.run, metres } } : m)))}
      />
    {/each}
    {#if spec.box && more.length < MOST_BOXES - 1}
      <p class="py-1 text-right text-quiet">
        <button type="button" class="underline" onclick={addBox}>{says.anotherBoxBehindIt}</button>
      </p>
    {/if}
    {#if !spec.box}
      <p class="py-1 text-right text-quiet">
        {#if spec.run}
          <button type="button" class="underline" onclick={() => change({ run: null })}
            >{says.theLeadStraightToTheInput}</button
          >
        {:else}
          <button type="button" class="underline" onclick={() => change({ run: cable('run', null, 10) })}
            >{says.aRunAfterTheLead}</button
          >
        {/if}
      </p>
    {/if}
    <ChoiceField label={says.input} value={spec.input.model} choices={kinds('input')} onset={setInput} />
    <ChoiceField
      label={says.inTheMix}
      value={spec.exposure ?? 'normal'}
      choices={EXPOSURES}
      onset={(e) => change({ exposure: e as Exposure })}
    />
    <div class="flex justify-end gap-2 pt-4">
      <button type="button" class="btn" onclick={onclose}>{says.cancel}</button>
      <button class="btn btn-primary">{line ? says.change : says.add}</button>
    </div>
  </form>
</Dialog>
