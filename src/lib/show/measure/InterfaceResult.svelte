<script lang="ts">
  import { measure as says } from '$core/words/screen/measure';
  import { BRIDGES, type InterfaceFound, middleAt } from '$core/measure/interface';
  import { times } from '$core/words/findings/parts';
  import { formatDb, formatDbu, formatQuantity } from '$core/units/format';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';

  /** What an interface is by itself. */
  const { found }: { found: InterfaceFound } = $props();
  const at = (db: readonly number[], hz: number): string => formatDb(middleAt(found.hz, db, hz), 0);
  const full = (volts: number | null): string => (volts === null ? says.notKnown : formatDbu(volts, 1));
  const ratio = $derived(found.into / found.out);
  const rows = $derived([
    ['out', says.interfaceOut, formatQuantity('resistance', found.out, 3)],
    ['into', says.interfaceIn, formatQuantity('resistance', found.into, 3)],
    ['ratio', says.interfaceRatio, times(ratio)],
    ['noise', says.interfaceNoise, formatDb(found.noiseDb, 0)],
    ['outFull', says.outFull, full(found.outFull)],
    ['inFull', says.inFull, full(found.inFull)],
    ['rejection', says.rejection, at(found.rejection, 1000)],
    ['crosstalk', says.crosstalk, formatDb(-middleAt(found.hz, found.crosstalk, 1000), 0)]
  ] as const);
  const text = $derived(
    [100, 1000, 10_000]
      .map((hz) => says.atHz(formatQuantity('frequency', hz), at(found.rejection, hz), at(found.crosstalk, hz)))
      .join('; ')
  );
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-4" data-result="interface">
  <p class="text-quiet">{says.interfaceIntro}</p>
  <dl class="grid max-w-2xl grid-cols-[minmax(0,1fr)_auto] gap-x-6">
    {#each rows as [key, name, value] (key)}
      <div class="col-span-2 grid grid-cols-subgrid border-b border-base-300 py-1.5" data-found={key}>
        <dt>{name}</dt>
        <dd class="num text-right">{value}</dd>
      </div>
    {/each}
  </dl>
  <p>{ratio < BRIDGES ? says.bridgesNot : says.bridges}</p>
  <ChartCanvas
    load={async () => (await import('./curve-view')).CurveView}
    draw={(view) =>
      view.lines(found.hz, [
        [says.interfaceRejects, found.rejection.map((db) => -db)],
        [says.interfaceLeaks, found.crosstalk.map((db) => -db)]
      ])}
    label={says.interfaceCurves(text)}
    failure={says.chartFailed}
    height="h-[220px]"
  />
</div>
