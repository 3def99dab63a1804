<script lang="ts">
  import { onMount } from 'svelte';

  interface Props {
    samples: Float32Array;
    label: string;
    /** It is the one that is heard. */
    on: boolean;
    onseek: (share: number) => void;
  }
  /** A sound as it looks: the most and the least of each column; a press goes there. */
  const { samples, label, on, onseek }: Props = $props();
  let canvas: HTMLCanvasElement;
  let width = $state(0);

  $effect(() => {
    const [w, h, ratio] = [Math.max(1, width), 44, devicePixelRatio];
    canvas.width = w * ratio;
    canvas.height = h * ratio;
    const pen = canvas.getContext('2d')!;
    pen.scale(ratio, ratio);
    pen.fillStyle = getComputedStyle(canvas).color;
    const step = samples.length / w;
    for (let x = 0; x < w; x++) {
      let [low, high] = [0, 0];
      for (let n = Math.floor(x * step); n < (x + 1) * step && n < samples.length; n++) {
        if (samples[n] > high) high = samples[n];
        if (samples[n] < low) low = samples[n];
      }
      const [top, bottom] = [(1 - high) * (h / 2), (1 - low) * (h / 2)];
      pen.fillRect(x, top, 1, Math.max(1, bottom - top));
    }
  });
  onMount(() => {
    const watch = new ResizeObserver(([entry]) => (width = Math.floor(entry.contentRect.width)));
    watch.observe(canvas);
    return () => watch.disconnect();
  });
</script>

<button
  type="button"
  class="min-w-0 flex-1 cursor-pointer rounded-[5px] bg-base-200 {on ? 'text-primary' : 'text-secondary'}"
  aria-label={label}
  onclick={(event) => onseek(event.detail === 0 ? 0 : event.offsetX / Math.max(1, width))}
  ><canvas bind:this={canvas} class="block h-11 w-full"></canvas></button
>
