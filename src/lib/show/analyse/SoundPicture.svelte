<script lang="ts">
  import { analyse as says } from '$core/words/screen/analyse';
  import type { Analysis } from '$core/sound/analyse';
  import { formatHz, formatNumber } from '$core/units/format';

  const { found }: { found: Analysis } = $props();

  const FLOOR = -120;
  let width = $state(640);
  const HIGH = 190;
  const LEFT = 34;
  const x = (hz: number): number => {
    const [low, high] = [found.spectrum.hz[0], found.spectrum.hz.at(-1)!];
    return LEFT + (Math.log(hz / low) / Math.log(high / low)) * (width - LEFT - 4);
  };
  const top = $derived(Math.min(0, Math.ceil((Math.max(...found.spectrum.db) + 6) / 20) * 20));
  const PAD = 8;
  const y = (db: number): number => PAD + ((top - Math.max(db, FLOOR)) / (top - FLOOR)) * (HIGH - PAD);
  const line = $derived(
    found.spectrum.hz
      .map((hz, k) => `${k ? 'L' : 'M'}${x(hz).toFixed(1)} ${y(found.spectrum.db[k]).toFixed(1)}`)
      .join('')
  );
  const ticks = $derived(
    Array.from({ length: Math.floor((top - FLOOR) / 20) + 1 }, (_, k) => top - 20 * k).filter((_, k) => k % 2 === 0)
  );
  const MARKS = [50, 100, 200, 500, 1000, 2000, 5000, 10_000];
  const marks = $derived(MARKS.filter((hz) => hz > found.spectrum.hz[0] && hz < found.spectrum.hz.at(-1)!));
  const loudest = $derived(
    found.spectrum.hz
      .map((hz, k) => ({ hz, db: found.spectrum.db[k] }))
      .sort((a, b) => b.db - a.db)
      .slice(0, 3)
  );

  const LEVELS = 44;
  const loud = $derived(Math.ceil(Math.max(...found.levels)));
  const course = $derived(
    found.levels
      .map((v, k) => {
        const across = LEFT + (k / Math.max(found.levels.length - 1, 1)) * (width - LEFT - 4);
        return `${k ? 'L' : 'M'}${across.toFixed(1)} ${(2 + (Math.min(loud - v, 40) / 40) * (LEVELS - 2)).toFixed(1)}`;
      })
      .join('')
  );

  let canvas: HTMLCanvasElement;
  const SHOWN_DB = 90;
  // Painted anew with the theme: the colours are those of the page.
  $effect(() => {
    const { columns } = found;
    const bands = columns[0]?.length ?? 0;
    canvas.width = columns.length;
    canvas.height = bands;
    const draw = canvas.getContext('2d');
    if (!draw || bands === 0) return;
    const style = getComputedStyle(canvas);
    draw.fillStyle = style.color;
    draw.fillRect(0, 0, 1, 1);
    const [r, g, b] = draw.getImageData(0, 0, 1, 1).data;
    const image = draw.createImageData(columns.length, bands);
    const loud = columns.reduce((m, c) => c.reduce((n, v) => Math.max(n, v), m), -200);
    columns.forEach((column, k) =>
      column.forEach((db, band) => {
        const at = 4 * ((bands - 1 - band) * columns.length + k);
        image.data.set([r, g, b, Math.round(255 * Math.max(0, Math.min(1, (db - loud + SHOWN_DB) / SHOWN_DB)))], at);
      })
    );
    draw.putImageData(image, 0, 0);
  });
</script>

<div bind:clientWidth={width}>
  <div
    role="img"
    aria-label={says.averageSpectrumLoudest(
      loudest.map((l) => `${formatHz(l.hz)} ${formatNumber(l.db)} dBFS`).join(', ')
    )}
  >
    <svg {width} height={HIGH + 18} aria-hidden="true" class="block">
      {#each ticks as t (t)}
        <line x1={LEFT} x2={width} y1={y(t)} y2={y(t)} class="stroke-base-300" />
        <text x={LEFT - 4} y={y(t) + 4} text-anchor="end" class="num fill-quiet" font-size="10.5"
          >{formatNumber(t)}</text
        >
      {/each}
      {#each marks as hz (hz)}
        <line x1={x(hz)} x2={x(hz)} y1="0" y2={HIGH} class="stroke-base-300" stroke-dasharray="2 4" />
        <text x={x(hz)} y={HIGH + 14} text-anchor="middle" class="num fill-quiet" font-size="10.5"
          >{hz >= 1000 ? `${hz / 1000}k` : hz}</text
        >
      {/each}
      <path d={line} class="fill-none stroke-primary" stroke-width="1.8" />
      {#each found.whines as w (w.hz)}
        <path d="M{x(w.hz)} {Math.max(y(w.db) - 12, 0)}l-4 -7h8z" class="fill-warning" />
      {/each}
    </svg>
  </div>
  <div role="img" aria-label={says.levelOfEachFrequencyOverSeconds(formatNumber(found.seconds, 1))}>
    <canvas
      bind:this={canvas}
      aria-hidden="true"
      class="mt-2 block h-28 text-primary"
      style:margin-left="{LEFT}px"
      style:width="calc(100% - {LEFT}px)"
    ></canvas>
  </div>
  <p class="flex justify-between text-[0.86em] text-quiet" style:padding-left="{LEFT}px">
    <span>{says.start}</span><span
      >{says.dbOverHzAboveTimeAcross(formatHz(found.spectrum.hz[0]), formatHz(found.spectrum.hz.at(-1)!))}</span
    ><span class="num">{formatNumber(found.seconds, found.seconds < 60 ? 1 : 0)} s</span>
  </p>
  <div
    role="img"
    aria-label={says.levelOverTimeToDbfs(
      formatNumber(Math.min(...found.levels)),
      formatNumber(Math.max(...found.levels))
    )}
    class="pt-2"
  >
    <svg {width} height={LEVELS + 4} aria-hidden="true" class="block">
      <text x={LEFT - 4} y="11" text-anchor="end" class="num fill-quiet" font-size="10.5">{formatNumber(loud)}</text>
      <text x={LEFT - 4} y={LEVELS} text-anchor="end" class="num fill-quiet" font-size="10.5"
        >{formatNumber(loud - 40)}</text
      >
      <path d={course} class="fill-none stroke-accent" stroke-width="1.5" />
    </svg>
    <p class="text-[0.86em] text-quiet" style:padding-left="{LEFT}px">{says.levelOverTimeDbfs}</p>
  </div>
</div>
