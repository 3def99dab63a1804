<script lang="ts">
  import { measure as says } from '$core/words/screen/measure';
  import { KIND_NAMES, patchText } from '$core/words/measure';
  import { modelName } from '$core/words/names';
  import { resolve } from '$core/plan/resolved';
  import { formatNumber, formatQuantity } from '$core/units/format';
  import { useShow } from '$lib/show/session/context';
  import { lineName } from '$lib/show/session/edits';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { onMount, untrack } from 'svelte';
  import { MeasureDesk, type Target, targetsOf } from './measure-desk.svelte';
  import KnownVoltage from './KnownVoltage.svelte';
  import Multimeter from './Multimeter.svelte';
  import UnitValues from './UnitValues.svelte';

  /** Something of a show is measured: what, with what, gates, step by step, and what was found. */
  const show = useShow();
  const plan = $derived(show.session.plan);
  const targets = $derived(targetsOf(plan));
  let desk = $state.raw<MeasureDesk | null>(null);
  const gates = $state<boolean[]>(says.gates.map(() => false));
  const AVERAGES = [1, 4, 16];
  const ready = $derived(!desk || desk.simulated || gates.every(Boolean));
  const name = ({ line, kind, model }: Target): string => {
    if (kind === 'interface') return says.itself;
    const of = resolve(plan).line(line);
    return `${of ? lineName(of) : line}: ${kind === 'cable' ? KIND_NAMES.cable : modelName(model)}`;
  };
  const metresOf = (t: Target): number => (t.cable ? plan.cables[t.cable].metres : 1);

  onMount(() => {
    const made = (desk = new MeasureDesk());
    const [first] = untrack(() => targets);
    if (first) made.choose(first, metresOf(first));
    return () => made.close();
  });
  function choose(key: string): void {
    const target = targets.find((t) => t.key === key) ?? null;
    desk?.choose(target, target ? metresOf(target) : 1);
  }
</script>

<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-5 px-5 py-5 max-sm:px-3.5">
  <header>
    <h1 class="text-[1.8em] leading-tight font-bold">{says.title}</h1>
    <p class="max-w-[70ch] pt-1 text-quiet">{says.intro}</p>
  </header>
  {#if targets.length === 1}<p>{says.nothing}</p>{/if}
  {#if desk?.target}
    {@const { target, patches, step } = desk}
    {@const done = desk.result !== null || desk.found !== null}
    <section class="grid grid-cols-[minmax(0,1fr)] gap-4 rounded-[7px] border border-base-300 bg-card p-4">
      <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <label class="grid gap-1">
          <span class="text-quiet">{says.what}</span>
          <select
            class="select w-full"
            value={target.key}
            disabled={step !== null && !done}
            onchange={(event) => choose(event.currentTarget.value)}
          >
            {#each targets as t (t.key)}<option value={t.key}>{name(t)}</option>{/each}
          </select>
        </label>
        <fieldset class="grid gap-1" disabled={step !== null && !done}>
          <legend class="text-quiet">{says.with}</legend>
          <label class="flex items-center gap-2"
            ><input
              type="radio"
              class="radio radio-sm"
              name="with"
              checked={desk.simulated}
              onchange={() => desk?.use(true)}
            />{says.simulated}</label
          >
          <label class="flex items-center gap-2"
            ><input
              type="radio"
              class="radio radio-sm"
              name="with"
              checked={!desk.simulated}
              onchange={() => desk?.use(false)}
            />{says.real}</label
          >
        </fieldset>
      </div>
      <p class="text-quiet">{desk.simulated ? says.simulatedTeach : says.realTeach}</p>

      {#if step === null}
        {#key target.key}<UnitValues {target} values={null} />{/key}
        {#if target.kind !== 'di'}
          <div class="max-w-md">
            <QuantityField
              label={says.series}
              kind="resistance"
              value={desk.resistors.series}
              low={100}
              high={1e6}
              onset={(series) => desk && (desk.resistors = { ...desk.resistors, series })}
            />
            <QuantityField
              label={says.across}
              kind="resistance"
              value={desk.resistors.load}
              low={50}
              high={10e3}
              onset={(load) => desk && (desk.resistors = { ...desk.resistors, load })}
            />
            {#if target.kind === 'cable' && !desk.simulated}
              <QuantityField
                label={says.metres}
                kind="length"
                value={desk.metres}
                low={0.5}
                high={200}
                onset={(metres) => desk && (desk.metres = metres)}
              />
            {/if}
          </div>
        {/if}
        <label class="flex max-w-md items-center justify-between gap-3"
          >{says.averages}<select
            class="select w-[9.5rem]"
            value={String(desk.averages)}
            onchange={(event) => desk && (desk.averages = Number(event.currentTarget.value))}
            >{#each AVERAGES as n (n)}<option value={String(n)}>{n}</option>{/each}</select
          ></label
        >
        {#if !desk.simulated}
          <fieldset class="rounded-[7px] border-2 border-danger px-3 py-2" data-gates>
            <legend class="px-1 font-semibold text-danger">{says.before}</legend>
            {#each says.gates as gate, k (gate)}
              <label class="flex items-start gap-2 py-1 leading-snug"
                ><input type="checkbox" class="checkbox mt-0.5 checkbox-sm" bind:checked={gates[k]} />{gate}</label
              >
            {/each}
          </fieldset>
        {/if}
        <KnownVoltage {desk} {ready} />
        <p class="flex flex-wrap items-center gap-4">
          <button
            type="button"
            class="btn btn-primary"
            disabled={!ready || desk.toneOn}
            onclick={() => void desk?.start()}>{says.start}</button
          >
          <span class="text-quiet">{says.quietFirst}</span>
        </p>
        {#if desk.refused}<p role="alert" class="text-error">{desk.refused}</p>{/if}
      {:else if !done}
        <div class="grid gap-2" data-step={step}>
          <p class="text-quiet">{says.step(Math.min(step + 1, patches.length), patches.length)}</p>
          {#if step < patches.length}
            <p class="text-[1.25em] leading-snug font-semibold">{patchText(patches[step], target.kind)}</p>
            <p>
              <button type="button" class="btn btn-primary" disabled={desk.busy} onclick={() => void desk?.play()}
                >{says.play}</button
              >
            </p>
          {/if}
          <p role="status" class={desk.trouble ? 'text-error' : 'text-quiet'}>
            {#if desk.busy}{step < patches.length ? says.playing : says.fitting}
            {:else if desk.trouble === 'nothing'}{says.nothingCame}
            {:else if desk.trouble === 'clipped'}{says.clippedCame}
            {:else if desk.trouble}{says.failed}
            {:else if desk.peak > 0}{says.came(`${formatNumber(desk.peak * 100)} %`)}{/if}
          </p>
        </div>
      {:else}
        {#if desk.found}
          {#await import('./InterfaceResult.svelte') then { default: InterfaceResult }}<InterfaceResult
              found={desk.found}
            />{/await}
        {:else if desk.result}
          {#await import('./MeasureResult.svelte') then { default: MeasureResult }}<MeasureResult
              result={desk.result}
              {target}
              truth={desk.truth}
            />{/await}
        {/if}
        <p class="flex flex-wrap gap-3">
          <button type="button" class="btn" onclick={() => desk?.choose(target, metresOf(target))}>{says.again}</button>
          {#if target.kind === 'cable'}<span class="self-center text-quiet"
              >{says.metres}: {formatQuantity('length', desk.metres)}</span
            >{/if}
        </p>
      {/if}
    </section>
  {/if}
  <Multimeter />
</main>
