<script lang="ts">
  import { compare as says } from '$core/words/screen/compare';
  import type { Route } from '$core/advise/route';
  import { overlaid } from '$core/judge/overlay';
  import { formatHz, formatNumber } from '$core/units/format';
  import { wayShort } from '$core/words/routes';
  import { onMount } from 'svelte';
  import type { OverlayView } from './overlay-view';

  interface Props {
    /** Two to four ways of one line, each with its place in the list. */
    ways: readonly { readonly route: Route; readonly place: number }[];
  }
  const { ways }: Props = $props();
  let canvas: HTMLCanvasElement;
  let view: OverlayView | undefined = $state();
  let failed = $state(false);

  const overlay = $derived(overlaid(ways.map(({ route }) => route.report)));
  const names = $derived(ways.map(({ route, place }) => `${place + 1}  ${wayShort(route)}`));
  const most = $derived(
    overlay.most &&
      (overlay.most.db < 0.5
        ? says.soundAlike
        : says.furthestApart(formatHz(overlay.most.hz), formatNumber(overlay.most.db, 1)))
  );

  const otherSources = $derived(ways.some(({ route }) => route.way.source !== ways[0].route.way.source));

  onMount(() => {
    let gone = false;
    import('./overlay-view')
      .then(({ OverlayView: View }) => {
        if (!gone) view = new View(canvas);
      })
      .catch(() => (failed = true));
    const redraw = (): void => view?.draw(overlay, names, ways[0]?.route.report.notes ?? null);
    window.addEventListener('themechange', redraw);
    return () => {
      gone = true;
      window.removeEventListener('themechange', redraw);
      view?.destroy();
    };
  });
  $effect(() => view?.draw(overlay, names, ways[0]?.route.report.notes ?? null));
</script>

<section class="px-5 py-3 max-sm:px-3.5" aria-labelledby="overlay" data-overlay>
  <h2 class="heading" id="overlay">{says.onTopOfEachOther}</h2>
  <p data-most>{most ?? says.tickTwo} {otherSources ? says.linesAlone : ''}</p>
  <div role="img" aria-label="{says.onTopOfEachOther}: {names.join(', ')}. {most ?? ''}" class="h-[210px] w-full">
    {#if failed}<p class="text-quiet">{says.theComputingPartOfThisPage}</p>{/if}
    <canvas bind:this={canvas} aria-hidden="true"></canvas>
  </div>
</section>
