<script lang="ts">
  import { cutText } from '$core/text/well-formed';
  import { dialogs as says } from '$core/words/screen/dialogs';
  import { modelOf, DeviceSettings } from '$core/gear/catalogue';
  import { readOwn, responseFromRows, writeOwn } from '$core/plan/own';
  import type { Edit, OwnModel, Plan } from '$core/plan/schema';
  import { loadFaultText, responseFaultText } from '$core/words/faults';
  import { modelName, settingName } from '$core/words/names';
  import Dialog from '$lib/ui/Dialog.svelte';
  import { request } from '$lib/outbox/outcome';
  import Papa from 'papaparse';
  import { onMount } from 'svelte';
  import { dropOwn, ownId, putOwn, setOwn } from '$lib/show/session/edits';
  import SpreadField from './SpreadField.svelte';
  import { saveFile } from '$lib/ui/save-file';

  interface Props {
    plan: Plan;
    /** The device from which the dialog was opened. */
    device: string;
    subject: string;
    onedit: (edit: Edit | null) => void;
    onclose: () => void;
  }
  const { plan, device: id, subject, onedit, onclose }: Props = $props();

  const device = $derived(plan.devices[id]);
  const model = $derived(modelOf(device.model));
  const read = $derived(new DeviceSettings(model, device.settings));
  const mine = $derived(Object.entries(plan.models ?? {}).filter(([, own]) => own.base === device.model));
  const own = $derived(device.own === undefined ? undefined : plan.models?.[device.own]);
  /** Made at other shows, and not here yet; none where the server is not there. */
  let made = $state.raw<readonly { readonly model: OwnModel; readonly place: string }[]>([]);
  const elsewhere = $derived(made.filter(({ model: of }) => !mine.some(([, m]) => m.name === of.name)));
  onMount(async () => {
    const answer = await request('GET', `/api/models?base=${device.model}`, undefined);
    if (answer?.ok) made = ((await answer.json()) as { models: typeof made }).models;
  });
  let name = $state('');
  let error = $state<string | null>(null);
  let pasted = $state('');

  /** Makes an own model of what the device is set to, and the device one of it. */
  function create(made: OwnModel): void {
    error = null;
    const fresh = ownId(plan);
    onedit(putOwn(plan, fresh, made));
    onedit(setOwn({ ...plan, models: { ...plan.models, [fresh]: made } }, id, subject, fresh));
  }
  function fromDevice(): void {
    const text = name.trim();
    if (text === '') {
      error = says.anOwnModelNeedsAName;
      return;
    }
    const values = Object.fromEntries(
      Object.entries(model.params).map(([param, spec]) => {
        const typ = read.value(param);
        return [param, { min: Math.min(spec.min, typ), typ, max: Math.max(spec.max, typ) }];
      })
    );
    create({ name: cutText(text, 80), base: device.model, values });
    name = '';
  }
  const change = (part: Partial<OwnModel>): void => {
    if (own && device.own) onedit(putOwn(plan, device.own, { ...own, ...part }));
  };

  function takeTable(text: string): void {
    const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
    const got = responseFromRows(data);
    if (!got.ok) error = responseFaultText(got.fault);
    else {
      error = null;
      pasted = '';
      change({ response: got.response });
    }
  }
  async function importFile(file: File | undefined): Promise<void> {
    if (!file) return;
    const got = readOwn(await file.text());
    if (!got.ok) error = `${file.name}: ${got.faults.map((f) => `${f.where}: ${loadFaultText(f)}`).join('; ')}`;
    else if (got.own.base !== device.model)
      error = says.isAThisDeviceIsA(file.name, modelName(got.own.base), modelName(device.model));
    else create(got.own);
  }
  function exportFile(): void {
    if (!own) return;
    saveFile(`${own.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.guanxi-model.json`, 'application/json', writeOwn(own));
  }
</script>

<Dialog title={says.ownModels2(modelName(device.model))} {onclose} wide>
  <p class="text-quiet">
    {says.valuesOfYourOwnAndA(modelName(device.model))}
  </p>
  {#if mine.length > 0}
    <h3 class="heading mt-3 mb-1">{says.inThisShow}</h3>
    <ul>
      {#each mine as [key, m] (key)}
        <li class="flex items-center gap-2 py-1">
          <span class="flex-1 {device.own === key ? 'font-semibold' : ''}">{m.name}</span>
          {#if device.own === key}<span class="text-quiet">{says.usedHere}</span>
          {:else}<button type="button" class="btn btn-sm" onclick={() => onedit(setOwn(plan, id, subject, key))}
              >{says.useHere}</button
            >{/if}
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            aria-label={says.deleteOwnModel(m.name)}
            onclick={() => onedit(dropOwn(plan, key))}>{says.delete}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if elsewhere.length > 0}
    <h3 class="heading mt-3 mb-1">{says.fromOtherShows}</h3>
    <ul data-elsewhere>
      {#each elsewhere as { model: of, place } (of.name)}
        <li class="flex items-center gap-2 py-1">
          <span class="min-w-0 flex-1 truncate">{of.name} <span class="text-quiet">{place}</span></span>
          <button type="button" class="btn btn-sm" onclick={() => create(of)}>{says.useHere}</button>
        </li>
      {/each}
    </ul>
  {/if}
  {#if own}
    <h3 class="heading mt-3 mb-1">{says.leastUsualMost(own.name)}</h3>
    <div class="grid grid-cols-[minmax(0,1fr)_25.6rem] items-center gap-x-3 py-1 max-sm:grid-cols-1">
      <label for="own-name">{says.name}</label>
      <input
        id="own-name"
        class="input w-full input-sm"
        maxlength="80"
        value={own.name}
        onchange={(event) => {
          const text = event.currentTarget.value.trim();
          if (text !== '') change({ name: text });
        }}
      />
    </div>
    {#each Object.entries(model.params) as [param, spec] (param)}
      {@const spread = own.values[param] ?? { min: spec.min, typ: spec.typ, max: spec.max }}
      <SpreadField
        label={settingName(param)}
        {spec}
        {spread}
        onset={(next) => change({ values: { ...own.values, [param]: next } })}
      />
    {/each}
    <h3 class="heading mt-3 mb-1">{says.measuredResponse}</h3>
    {#if own.response}
      <p class="flex items-center gap-3 py-1">
        <span class="flex-1"
          >{says.pointsHzToHzAddedTo(
            own.response.length,
            Math.round(own.response[0][0]),
            Math.round(own.response[own.response.length - 1][0])
          )}</span
        >
        <button type="button" class="btn btn-sm" onclick={() => change({ response: undefined })}
          >{says.takeItOff}</button
        >
      </p>
    {/if}
    <label class="block py-1" for="own-table">{says.rowsOfHertzAndDecibelsPasted}</label>
    <textarea id="own-table" class="num textarea w-full" rows="3" bind:value={pasted} placeholder="20, −3.1&#10;100, 0"
    ></textarea>
    <div class="flex flex-wrap gap-2 py-1">
      <button type="button" class="btn btn-sm" disabled={pasted.trim() === ''} onclick={() => takeTable(pasted)}
        >{says.takeTheseRows}</button
      >
      <input
        type="file"
        accept=".csv,.txt,text/csv"
        class="file-input file-input-sm"
        aria-label={says.csvFileWithAMeasuredResponse}
        onchange={async (event) => {
          const [file] = event.currentTarget.files ?? [];
          if (file) takeTable(await file.text());
        }}
      />
      <span class="flex-1"></span>
      <button type="button" class="btn btn-sm" onclick={exportFile}>{says.saveAsAFile}</button>
    </div>
  {/if}
  <h3 class="heading mt-3 mb-1">{says.aNewOne}</h3>
  <div class="flex flex-wrap items-center gap-2 py-1">
    <input
      class="input min-w-40 flex-1 input-sm"
      aria-label={says.nameOfTheNewOwnModel}
      placeholder={says.itsName}
      maxlength="80"
      bind:value={name}
      onkeydown={(event) => event.key === 'Enter' && fromDevice()}
    />
    <button type="button" class="btn btn-primary btn-sm" onclick={fromDevice}>{says.fromThisDevicesValues}</button>
    <input
      type="file"
      accept=".json,application/json"
      class="file-input file-input-sm"
      aria-label={says.ownModelFromAFile}
      onchange={(event) => void importFile(event.currentTarget.files?.[0])}
    />
  </div>
  {#if error}<p class="pt-1 text-error" role="alert">{error}</p>{/if}
</Dialog>
