<script lang="ts">
  import { board as says } from '$core/words/screen/board';
  import type { LineReport } from '$core/judge/judge';
  import { formatQuantity } from '$core/units/format';

  interface Props {
    report: Pick<LineReport, 'response' | 'notes' | 'severity'>;
  }
  /** A response as small as a word: against its own best, the notes that are played shaded. */
  const { report }: Props = $props();

  const WIDTH = 100;
  const HEIGHT = 30;
  /** Decibels from the top line to the foot. */
  const SPAN = 24;
  const x = (hz: number): number => (Math.log10(hz / 20) / 3) * WIDTH;
  const drawn = $derived.by(() => {
    const { response, notes } = report;
    if (!response || !notes) return null;
    const off = response.db.map((db, k) => db - response.ideal[k]);
    const inside = off.filter((_, k) => response.hz[k] >= notes.low && response.hz[k] <= notes.reach);
    const best = Math.max(...(inside.length > 0 ? inside : off));
    const points = response.hz.map(
      (hz, k) =>
        `${x(hz).toFixed(1)},${Math.min(HEIGHT, Math.max(0, 5 - ((off[k] - best) / SPAN) * (HEIGHT - 5))).toFixed(1)}`
    );
    return { line: points.join(' '), low: x(notes.low), high: x(Math.min(notes.high, 20000)), notes };
  });
  const COLOUR = {
    clean: 'stroke-primary',
    note: 'stroke-primary',
    care: 'stroke-warning',
    stop: 'stroke-error',
    danger: 'stroke-danger'
  } as const;
</script>

{#if drawn}
  <svg
    viewBox="0 0 {WIDTH} {HEIGHT}"
    class="h-[30px] w-full"
    preserveAspectRatio="none"
    role="img"
    aria-label={says.responseAgainstTheIdealLoadNotes(
      formatQuantity('frequency', drawn.notes.low),
      formatQuantity('frequency', drawn.notes.high)
    )}
  >
    <rect x={drawn.low} width={Math.max(drawn.high - drawn.low, 1)} y="0" height={HEIGHT} class="fill-base-300" />
    <line
      x1="0"
      x2={WIDTH}
      y1="5"
      y2="5"
      class="stroke-quiet"
      stroke-width="0.5"
      opacity="0.5"
      vector-effect="non-scaling-stroke"
    />
    <polyline
      points={drawn.line}
      fill="none"
      stroke-width="2"
      vector-effect="non-scaling-stroke"
      class={COLOUR[report.severity]}
    />
  </svg>
{/if}
