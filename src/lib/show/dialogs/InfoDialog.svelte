<script lang="ts">
  import { cutText } from '$core/text/well-formed';
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { resolve } from '$core/plan/resolved';
  import { inverts } from '$core/judge/pairs';
  import { playsProgramme } from '$core/plan/devices';
  import { type Line } from '$core/plan/lines';
  import type { Edit, Exposure, Plan } from '$core/plan/schema';
  import { delayOf } from '$core/rig/delay';
  import { formatHz, formatNumber } from '$core/units/format';
  import ChoiceField from '$lib/ui/ChoiceField.svelte';
  import Dialog from '$lib/ui/Dialog.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { lineName, setInfo } from '$lib/show/session/edits';
  import { EXPOSURES, isChannel, type Want, WANTS, NO_CHANNEL, NO_LOUDNESS, NO_NAME } from './line-fields';

  interface Props {
    plan: Plan;
    line: Line;
    onedit: (edit: Edit | null) => void;
    onclose: () => void;
  }
  const { plan, line, onedit, onclose }: Props = $props();
  let error = $state<string | null>(null);
  const delay = $derived(line.info?.micMetres ? delayOf(line.info.micMetres) : null);
  const invertedHere = $derived(inverts(plan, line));

  const others = $derived(
    resolve(plan).lines.flatMap((l) => (l.id === line.id || !l.info ? [] : [{ value: l.id, text: l.info.name }]))
  );

  function setLoudness(value: string): void {
    const loudness = Number(value.trim().replace(',', '.').replace('−', '-'));
    if (value.trim() === '') onedit(setInfo(plan, line, { loudness: undefined }));
    else if (!Number.isFinite(loudness) || loudness < -70 || loudness > 0) error = NO_LOUDNESS;
    else {
      error = null;
      onedit(setInfo(plan, line, { loudness }));
    }
  }

  /** What is written freely, offered from what other lines have. */
  const TEXTS = [
    { field: 'place', label: says.standsAt, placeholder: says.stagePlace },
    { field: 'pair', label: says.sideOfTheStereoPairCalled, placeholder: 'none' },
    { field: 'act', label: says.onlyInTheAct, placeholder: says.allEvening }
  ] as const;

  /** Names that other lines of the show have given. */
  const known = (what: 'pair' | 'act' | 'place'): string[] =>
    [...new Set(Object.values(plan.lines).flatMap((info) => info[what] ?? []))].sort();

  function setName(value: string): void {
    const name = value.trim();
    if (name === '') error = NO_NAME;
    else {
      error = null;
      onedit(setInfo(plan, line, { name: cutText(name, 80) }));
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
    <label for="info-name">{says.name}</label>
    <input
      id="info-name"
      class="input w-full input-sm"
      value={lineName(line)}
      maxlength="80"
      onchange={(event) => setName(event.currentTarget.value)}
    />
    <label for="info-channel">{says.channel}</label>
    <input
      id="info-channel"
      class="num input w-full input-sm"
      inputmode="numeric"
      value={line.info?.channel ?? ''}
      onchange={(event) => setChannel(event.currentTarget.value)}
    />
  </div>
  <ChoiceField
    label={says.inTheMix}
    value={line.info?.exposure ?? 'normal'}
    choices={EXPOSURES}
    onset={(value) => onedit(setInfo(plan, line, { exposure: value as Exposure }))}
  />
  <ChoiceField
    label={says.wantedOfIt}
    value={line.info?.want ?? 'direct'}
    choices={WANTS}
    onset={(value) => onedit(setInfo(plan, line, { want: value === 'direct' ? undefined : (value as Want) }))}
  />
  <div class="grid grid-cols-[1fr_15rem] items-center gap-x-3 gap-y-2 py-1 max-sm:grid-cols-1">
    {#each TEXTS as { field, label, placeholder } (field)}
      <label for="info-{field}">{label}</label>
      <input
        id="info-{field}"
        class="input w-full input-sm"
        value={line.info?.[field] ?? ''}
        maxlength="80"
        list="{field}s"
        {placeholder}
        onchange={(event) => onedit(setInfo(plan, line, { [field]: event.currentTarget.value.trim() || undefined }))}
      />
      <datalist id="{field}s"
        >{#each known(field) as name (name)}<option value={name}></option>{/each}</datalist
      >
    {/each}
  </div>
  <ChoiceField
    label={says.inProposals}
    value={line.info?.locked ? 'locked' : 'free'}
    choices={[
      { value: 'free', text: says.mayChange },
      { value: 'locked', text: says.locked }
    ]}
    onset={(value) => onedit(setInfo(plan, line, { locked: value === 'locked' || undefined }))}
  />
  {#if playsProgramme(plan, line.devices[0])}
    <div class="grid grid-cols-[1fr_15rem] items-center gap-x-3 gap-y-2 py-1 max-sm:grid-cols-1">
      <label for="info-loudness">{says.loudnessOfItsProgrammeLufs}</label>
      <input
        id="info-loudness"
        class="num input w-full input-sm"
        inputmode="decimal"
        placeholder={says.notKnown}
        value={line.info?.loudness ?? ''}
        onchange={(event) => setLoudness(event.currentTarget.value)}
      />
    </div>
  {/if}
  {#if others.length > 0}
    <ChoiceField
      label={says.asLoudAs}
      value={line.info?.asLoudAs ?? ''}
      choices={[{ value: '', text: says.noOtherLine }, ...others]}
      onset={(value) => onedit(setInfo(plan, line, { asLoudAs: value || undefined }))}
    />
  {/if}
  <QuantityField
    label={says.aMicrophoneOnItAsWell}
    kind="length"
    value={line.info?.micMetres ?? 0}
    low={0}
    high={100}
    onset={(metres) => onedit(setInfo(plan, line, { micMetres: metres > 0 ? metres : undefined }))}
  />
  {#if delay}
    <p class="text-quiet" data-delay>
      {says.theMicrophoneIs} <span class="num text-base-content">{says.ms(formatNumber(delay.seconds * 1000, 2))}</span>
      {says.late}
      <span class="num text-base-content">{formatNumber(delay.samples, 0)}</span>
      {says.samplesAt48KhzAt20}
      <span class="num text-base-content">{delay.notches.map((f) => formatHz(f)).join(', ')}</span
      >{says.withOnePolarityInvertedAt}
      <span class="num text-base-content">{delay.inverted.map((f) => formatHz(f)).join(', ')}</span
      >{says.delayingTheDirectSignalByAs(invertedHere ? says.thisLinesPolarityIsInvertedAlready : '')}
    </p>
  {/if}
  {#if error}<p class="pt-1 text-error" role="alert">{error}</p>{/if}
</Dialog>
