<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import type { LineReport } from '$core/judge/judge';
  import type { Tolerance } from '$core/judge/tolerance';
  import { interpolate } from '$core/rig/grid';
  import { formatHz, formatNumber } from '$core/units/format';
  import { onMount } from 'svelte';
  import type { ResponseView } from './response-view';

  const { report, band = null }: { report: LineReport; band?: Tolerance | null } = $props();
  let canvas: HTMLCanvasElement;
  let view: ResponseView | undefined = $state();
  let failed = $state(false);

  onMount(() => {
    let gone = false;
    // The chart library is large: it comes with the first opened line.
    import('./response-view')
      .then(({ ResponseView: View }) => {
        if (!gone) view = new View(canvas);
      })
      .catch(() => (failed = true));
    const redraw = (): void => view?.draw(report, band);
    window.addEventListener('themechange', redraw);
    return () => {
      gone = true;
      window.removeEventListener('themechange', redraw);
      view?.destroy();
    };
  });
  $effect(() => view?.draw(report, band));

  const told = $derived.by(() => {
    const r = report.response!;
    const at = (hz: number): string =>
      `${formatHz(hz)} ${formatNumber(interpolate(Float64Array.from(r.hz), Float64Array.from(r.db), hz), 1)} dB`;
    return [20, 100, 1000, 5000, 20000].map(at).join(', ');
  });
</script>

<div role="img" aria-label={says.responseOfTheLineReThe(told)} class="h-[168px] w-full">
  {#if failed}<p class="text-quiet">{says.theChartCouldNotBeLoaded(told)}</p>{/if}
  <canvas bind:this={canvas} aria-hidden="true"></canvas>
</div>
