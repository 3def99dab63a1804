<script lang="ts">
  import { line as says } from '$core/words/screen/line';
  import type { LineReport } from '$core/judge/judge';
  import { formatNumber } from '$core/units/format';

  /** @param from the first cable that the line has to itself */
  const { report, from, hasBox }: { report: LineReport; from: number; hasBox: boolean } = $props();

  let width = $state(636);
  const HEIGHT = 168;
  const TOP = 12;
  const BOTTOM = 150;
  /** Right and left edges of the strip's chips, as shares of its width: the points stand under them. */
  const WIDE = [132 / 636, 250 / 636, 386 / 636, 504 / 636];

  /** One x for each end of each cable; in a line without a box the single cable spans all of it. */
  const points = $derived.by(() => {
    const spans = report.points.slice(from);
    const last = spans[spans.length - 1];
    const ends =
      spans.length === 1 && !hasBox ? [spans[0].near, last.far] : [spans[0].near, spans[0].far, last.near, last.far];
    const at = ends.length === 2 ? [WIDE[0], WIDE[3]] : WIDE;
    return ends.map((p, k) => ({ ...p, x: at[k] * width }));
  });
  const shown = (db: number): number => Math.max(db, -140);
  /** What stands below the playing at the input, dBu. */
  const hiss = $derived(report.noise?.flatDbu ?? null);
  const hum = $derived(report.hum && report.hum.dbu > -140 ? report.hum.dbu : null);
  const range = $derived.by(() => {
    const loudest = Math.max(...points.map((p) => p.peak));
    // A ceiling far out of reach would flatten what matters.
    const ceilings = points.flatMap((p) => (p.clip === null ? [] : [Math.min(p.clip, loudest + 24)]));
    const floors = [hiss, hum].flatMap((v) => (v === null ? [] : [Math.max(v, -130)]));
    const values = [...points.flatMap((p) => [p.nominal, p.peak]), ...ceilings, ...floors].map(shown);
    const high = Math.ceil((Math.max(...values, 0) + 6) / 20) * 20;
    return { high, low: Math.min(Math.floor((Math.min(...values) - 8) / 20) * 20, high - 60) };
  });
  const y = (db: number): number => TOP + ((range.high - shown(db)) / (range.high - range.low)) * (BOTTOM - TOP);
  const every = $derived(range.high - range.low > 110 ? 40 : 20);
  const ticks = $derived(
    Array.from({ length: Math.floor((range.high - range.low) / every) + 1 }, (_, k) => range.high - every * k)
  );

  type Point = (typeof points)[number];
  const path = (read: (p: Point) => number): string => {
    const list = points.map((p) => `${p.x.toFixed(1)} ${y(read(p)).toFixed(1)}`);
    return `M0 ${y(read(points[0])).toFixed(1)} L${list.join(' L')} L${width} ${y(read(points[points.length - 1])).toFixed(1)}`;
  };
  /** The band between average and peak. */
  const between = $derived.by(() => {
    const across = [{ ...points[0], x: 0 }, ...points, { ...points[points.length - 1], x: width }];
    const edge = (read: (p: Point) => number): string[] => across.map((p) => `${p.x},${y(read(p))}`);
    return [...edge((p) => p.peak), ...edge((p) => p.nominal).reverse()].join(' ');
  });
  /** A stage that cannot clip has its ceiling out of sight. */
  const ceiling = (p: Point): number => (p.clip === null ? range.high + 3 : Math.min(p.clip, range.high + 3));
  const last = $derived(points[points.length - 1]);
  const clips = $derived(points.some((p) => p.clip !== null && p.peak > p.clip));
  const room = $derived(last.clip === null ? null : last.clip - last.peak);
  const told = $derived(
    points
      .map((p, k) =>
        says.pointPlayingPeakClipsDbu(
          k + 1,
          formatNumber(p.nominal),
          formatNumber(p.peak),
          p.clip === null ? 'never' : formatNumber(p.clip)
        )
      )
      .join('; ') +
      (hiss === null ? '' : says.hissDbu(formatNumber(hiss))) +
      (hum === null ? '' : says.humDbu(formatNumber(hum)))
  );
  const dbu = (v: number): string => formatNumber(v, 0, true);

  /** Least distance between two lines of text, pixels. */
  const LEADING = 13;
  /** Each label next to its line; where lines come close, pushed apart downwards and back up from the foot. */
  const labels = $derived.by(() => {
    const list = [
      { text: says.peak(dbu(last.peak)), y: y(last.peak) - 5, tone: clips ? 'fill-error' : 'fill-primary' },
      {
        text: last.nominal <= -150 ? says.playing : says.playing2(dbu(last.nominal)),
        y: y(last.nominal) + 15,
        tone: 'fill-primary'
      }
    ];
    if (last.clip !== null && last.clip <= range.high)
      list.push({ text: says.clips(dbu(last.clip)), y: y(last.clip) + (clips ? 14 : -5), tone: 'fill-error' });
    return parted(list, width - 4);
  });
  /** What stands under the signal at the input is named beside its lines, which begin at the last point. */
  const floors = $derived(
    parted(
      [
        ...(hiss === null ? [] : [{ text: says.hiss(dbu(hiss)), y: y(hiss) + 4, tone: 'fill-quiet' }]),
        ...(hum === null ? [] : [{ text: says.hum(dbu(hum)), y: y(hum) + 4, tone: 'fill-accent' }])
      ],
      last.x - 6
    )
  );
  interface Label {
    readonly text: string;
    y: number;
    readonly tone: string;
  }
  /** @param x where they end */
  function parted(list: Label[], x: number): (Label & { x: number })[] {
    if (list.length === 0) return [];
    list.sort((a, b) => a.y - b.y);
    list.forEach((label, k) => (label.y = Math.max(label.y, k === 0 ? 11 : list[k - 1].y + LEADING)));
    const over = list[list.length - 1].y - (HEIGHT - 6);
    if (over > 0) list.forEach((label) => (label.y -= over));
    return list.map((label) => ({ ...label, x }));
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)_58px] gap-x-2">
  <div bind:clientWidth={width} class="relative" role="img" aria-label={says.levelsAlongTheLine(told)}>
    <svg {width} height={HEIGHT} viewBox="0 0 {width} {HEIGHT}" aria-hidden="true" class="block overflow-visible">
      <defs>
        <pattern
          id="hatch-{report.id}"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" class="stroke-error" stroke-width="1" opacity="0.35" />
        </pattern>
      </defs>
      {#each ticks as tick (tick)}
        <line x1="0" x2={width} y1={y(tick)} y2={y(tick)} class="stroke-base-300" stroke-width="1" />
        <text x="-8" y={y(tick) + 4} text-anchor="end" class="num fill-quiet" font-size="11">{formatNumber(tick)}</text>
      {/each}
      <path d="{path(ceiling)} L{width} {TOP - 8} L0 {TOP - 8}Z" fill="url(#hatch-{report.id})" />
      <path d={path(ceiling)} fill="none" class="stroke-error" stroke-width="1.4" stroke-dasharray="5 4" />
      <polygon points={between} class="fill-primary" opacity="0.15" />
      <path d={path((p) => p.peak)} fill="none" class={clips ? 'stroke-error' : 'stroke-primary'} stroke-width="1.4" />
      <path d={path((p) => p.nominal)} fill="none" class="stroke-primary" stroke-width="3" />
      {#if hiss !== null}
        <rect
          x={last.x}
          y={y(hiss)}
          width={Math.max(width - last.x, 0)}
          height={Math.max(BOTTOM - y(hiss), 0)}
          class="fill-quiet"
          opacity="0.16"
        />
        <line x1={last.x} x2={width} y1={y(hiss)} y2={y(hiss)} class="stroke-quiet" stroke-width="1.4" />
      {/if}
      {#if hum !== null}
        <line
          x1={last.x}
          x2={width}
          y1={y(hum)}
          y2={y(hum)}
          class="stroke-accent"
          stroke-width="1.6"
          stroke-dasharray="1.5 3"
        />
      {/if}
      {#each [...labels, ...floors] as label (label.text)}
        <text
          x={label.x}
          y={label.y}
          text-anchor="end"
          class="{label.tone} stroke-card"
          stroke-width="6"
          paint-order="stroke"
          stroke-linejoin="round"
          font-size="12">{label.text}</text
        >
      {/each}
      <text x="-8" y={HEIGHT - 3} text-anchor="end" class="fill-quiet" font-size="11">{says.dbu}</text>
    </svg>
  </div>
  <div
    class="num text-[0.86em] leading-tight"
    style:padding-top="{Math.max((y(ceiling(last)) + y(last.peak)) / 2 - 12, 0)}px"
  >
    {#if room !== null}
      <span class={room < 0 ? 'text-error' : ''}
        >{says.db(formatNumber(room))}<br />{room < 0 ? says.tooMuch : says.room}</span
      >
    {/if}
  </div>
</div>
