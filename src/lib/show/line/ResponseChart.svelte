<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import type { LineReport } from '$core/judge/judge';
  import type { Tolerance } from '$core/judge/tolerance';
  import { interpolate } from '$core/rig/grid';
  import { formatHz, formatNumber } from '$core/units/format';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';

  const { report, band = null }: { report: LineReport; band?: Tolerance | null } = $props();

  const told = $derived.by(() => {
    const r = report.response!;
    const at = (hz: number): string =>
      `${formatHz(hz)} ${formatNumber(interpolate(Float64Array.from(r.hz), Float64Array.from(r.db), hz), 1)} dB`;
    return [20, 100, 1000, 5000, 20000].map(at).join(', ');
  });
</script>

<ChartCanvas
  load={async () => (await import('./response-view')).ResponseView}
  draw={(view) => view.draw(report, band)}
  label={says.responseOfTheLineReThe(told)}
  failure={says.theChartCouldNotBeLoaded(told)}
  height="h-[168px]"
/>
