<script lang="ts">
  import { measure as says } from '$core/words/screen/measure';
  import { settingName } from '$core/words/names';
  import type { Measured } from '$core/measure/measure';
  import { CABLES } from '$core/gear/cables';
  import { modelOf } from '$core/gear/catalogue';
  import { resolve } from '$core/plan/resolved';
  import { formatDb, formatDbu, formatNumber, formatQuantity } from '$core/units/format';
  import type { Kind } from '$core/units/quantity';
  import { CrewPlayers } from '$lib/players/crew-players.svelte';
  import { useShow } from '$lib/show/session/context';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';
  import { onMount, untrack } from 'svelte';
  import { toast } from 'svelte-sonner';
  import { curveText } from './curve-text';
  import type { Target } from './measure-desk.svelte';
  import UnitValues from './UnitValues.svelte';
  import { useValues } from './use-values';

  interface Props {
    result: Measured;
    target: Target;
    /** What the simulated device really has; null for a real one. */
    truth: Readonly<Record<string, number>> | null;
  }
  /** What was found: the curve with its class over it, values with how sure they are, and what becomes of them. */
  const { result, target, truth }: Props = $props();
  const show = useShow();
  const plan = $derived(show.session.plan);
  const ohms = $derived(target.kind !== 'di');
  const line = $derived(resolve(plan).line(target.line));
  /** A misfit beyond this is another kind of device: a tenth of a neper, a decibel nearly. */
  const FITS = 0.06;
  const NEPER_DB = 20 * Math.LOG10E;
  const SURE = 0.5;

  const planned = (param: string): number | undefined => {
    if (target.cable) return plan.cables[target.cable]?.settings?.[param as 'cShield'];
    const set = target.device ? plan.devices[target.device]?.settings[param] : undefined;
    return typeof set === 'number' ? set : undefined;
  };
  const quantity = (param: string): Kind =>
    target.cable ? CABLES.instrument.params.cShield.quantity : modelOf(target.model).params[param].quantity;
  const spreadOf = (kind: Kind, spread: number): string =>
    kind === 'level' ? formatDb(20 * Math.log10(1 + spread), 0) : `${formatNumber(Math.max(spread * 100, 0.1), 1)} %`;
  const figure = (kind: Kind, v: number): string => (kind === 'level' ? formatDbu(v, 1) : formatQuantity(kind, v, 3));
  /** What the curve tells well enough to be used. */
  const told = $derived(result.values.filter((v) => v.spread < SURE));

  // The instrument of the line, where its crew knows it.
  const crew = untrack(() => (show.crewId ? new CrewPlayers(show.crewId, show.rows) : null));
  onMount(() => {
    void crew?.open(show.feed);
    return () => crew?.close();
  });
  const instrument = $derived.by(() => {
    const id = line?.info?.instrument;
    const found = id && crew ? crew.instrument(id) : null;
    const own = found && line && target.device === line.devices[0] && found.model === target.model;
    return own ? { id: id!, ...found } : null;
  });

  /** What else is said of a DI. */
  const polarity = $derived.by(() => {
    if (!result.harmonics) return '';
    const harmonics = result.harmonics.flatMap((db, k) =>
      db === null ? [] : [says.harmonic(k === 0 ? says.second : says.third, `${formatNumber(-db)} dB`)]
    );
    const turned = result.inverted ? says.inverted : says.straight;
    return [turned, ...(harmonics.length > 0 ? harmonics : [says.noHarmonic])].join(' ');
  });

  const values = $derived(Object.fromEntries(told.map(({ param, value }) => [param, value])));
  function keep(): void {
    if (!instrument || !crew) return;
    const { id, ...known } = instrument;
    const settings = { ...known.settings, ...values };
    crew.putInstrument({ ...known, settings }, id);
    toast(says.kept(known.name));
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-4" data-result={target.kind}>
  <ChartCanvas
    load={async () => (await import('./curve-view')).CurveView}
    draw={(view) => view.draw(result, ohms)}
    label={(ohms ? says.chartImpedance : says.chartResponse)(curveText(result, ohms))}
    failure={says.chartFailed}
    height="h-[220px]"
  />
  <p>{result.misfit < FITS ? says.fits : says.misfits(`${formatNumber(result.misfit * NEPER_DB, 1)} dB`)}</p>
  <table class="w-full max-w-2xl text-left">
    <caption class="sr-only">{says.values}</caption>
    <thead class="text-[0.93em] text-quiet">
      <tr class="border-b border-base-300"
        ><th class="py-1.5 font-normal" scope="col">{says.value}</th><th class="font-normal" scope="col"
          >{says.found}</th
        ><th class="font-normal" scope="col">{truth ? says.really : says.planned}</th><th
          class="font-normal"
          scope="col">{says.usually}</th
        ></tr
      >
    </thead>
    <tbody>
      {#each result.values as { param, value, spread, typ } (param)}
        {@const kind = quantity(param)}
        <tr class="border-b border-base-300" data-found={param} data-value={value}>
          <th class="py-1.5 font-normal" scope="row">{settingName(param)}</th>
          <td class="num">
            {#if spread < SURE}<strong>{figure(kind, value)}</strong>
              <span class="text-quiet">{says.sure(spreadOf(kind, spread))}</span>
            {:else}<span class="text-quiet">{says.notTold}</span>{/if}
          </td>
          <td class="num text-quiet">{figure(kind, truth?.[param] ?? planned(param) ?? typ)}</td>
          <td class="num text-quiet">{figure(kind, typ)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if polarity}<p>{polarity}</p>{/if}
  {#if result.unfilled !== null}<p>{says.unfilled(formatDbu(result.unfilled, 0))}</p>{/if}
  <p class="text-quiet">{says.noise(formatDb(result.noiseDb, 0))}</p>
  {#if show.mayChange}
    <p class="flex flex-wrap gap-3">
      <button
        type="button"
        class="btn {truth ? '' : 'btn-primary'}"
        disabled={told.length === 0}
        onclick={() => useValues(show, target, values)}>{truth ? says.useMadeUp : says.use}</button
      >
      {#if instrument && !truth}<button type="button" class="btn" onclick={keep}>{says.keep(instrument.name)}</button
        >{/if}
    </p>
  {:else}<p class="text-quiet">{says.mayNotChange}</p>{/if}
  {#if !truth && told.length > 0}<UnitValues {target} {values} />{/if}
  {#if truth}<p class="text-quiet" data-made-up>{says.madeUp}</p>{/if}
</div>
