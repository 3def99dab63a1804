<script lang="ts" generics="View extends { destroy(): void }">
  import { onMount } from 'svelte';

  interface Props {
    /** The chart library is large: it comes with the first chart that is shown. */
    load: () => Promise<new (canvas: HTMLCanvasElement) => View>;
    /** Draws what is to be seen now; again when that changes, or the colours do. */
    draw: (view: View) => void;
    /** What the chart shows, in words. */
    label: string;
    /** What is said where it could not be loaded. */
    failure: string;
    height: string;
  }
  const { load, draw, label, failure, height }: Props = $props();
  let canvas: HTMLCanvasElement;
  let view: View | undefined = $state.raw();
  let failed = $state(false);

  const redraw = (): void => void (view && draw(view));
  onMount(() => {
    let gone = false;
    load()
      .then((Chart) => {
        if (!gone) view = new Chart(canvas);
      })
      .catch(() => (failed = true));
    window.addEventListener('themechange', redraw);
    return () => {
      gone = true;
      window.removeEventListener('themechange', redraw);
      view?.destroy();
    };
  });
  $effect(redraw);
</script>

<div role="img" aria-label={label} class="w-full {height}">
  {#if failed}<p class="text-quiet">{failure}</p>{/if}
  <canvas bind:this={canvas} aria-hidden="true"></canvas>
</div>
