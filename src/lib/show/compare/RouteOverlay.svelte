<script lang="ts">
  import { compare as says } from '$core/words/screen/compare';
  import type { Route } from '$core/advise/route';
  import { overlaid } from '$core/judge/overlay';
  import { formatHz, formatNumber } from '$core/units/format';
  import { wayShort } from '$core/words/routes';
  import ChartCanvas from '$lib/ui/ChartCanvas.svelte';

  interface Props {
    /** Two to four ways of one line, each with its place in the list. */
    ways: readonly { readonly route: Route; readonly place: number }[];
  }
  const { ways }: Props = $props();

  const overlay = $derived(overlaid(ways.map(({ route }) => route.report)));
  const names = $derived(ways.map(({ route, place }) => `${place + 1}  ${wayShort(route)}`));
  const most = $derived(
    overlay.most &&
      (overlay.most.db < 0.5
        ? says.soundAlike
        : says.furthestApart(formatHz(overlay.most.hz), formatNumber(overlay.most.db, 1)))
  );

  const otherSources = $derived(ways.some(({ route }) => route.way.source !== ways[0].route.way.source));
</script>

<section class="px-5 py-3 max-sm:px-3.5" aria-labelledby="overlay" data-overlay>
  <h2 class="heading" id="overlay">{says.onTopOfEachOther}</h2>
  <p data-most>{most ?? says.tickTwo} {otherSources ? says.linesAlone : ''}</p>
  <ChartCanvas
    load={async () => (await import('./overlay-view')).OverlayView}
    draw={(view) => view.draw(overlay, names, ways[0]?.route.report.notes ?? null)}
    label="{says.onTopOfEachOther}: {names.join(', ')}. {most ?? ''}"
    failure={says.theComputingPartOfThisPage}
    height="h-[210px]"
  />
</section>
