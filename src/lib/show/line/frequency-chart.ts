import { line as says } from '$core/words/screen/line';
import { formatHz, formatNumber } from '$core/units/format';
import {
  Chart,
  type ChartDataset,
  Filler,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  type Plugin,
  PointElement,
  Tooltip
} from 'chart.js';

Chart.register(Filler, LineController, LineElement, PointElement, LinearScale, LogarithmicScale, Legend, Tooltip);

const DECADES = [20, 100, 1000, 10000];

export const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** What is played, shaded behind the curves. */
export interface Band {
  readonly low: number;
  readonly high: number;
}
export type Curve = ChartDataset<'line', { x: number; y: number }[]>;

/** A chart of decibels over frequency, kept and redrawn; colours are those of the theme. */
export class FrequencyChart {
  readonly #chart: Chart<'line', { x: number; y: number }[]>;
  #band: Band | null = null;
  /** How what stands along the side is written. */
  #told: ((y: number) => string) | null = null;

  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new Chart(canvas, {
      type: 'line',
      data: { datasets: [] },
      plugins: [bandPlugin(() => this.#band)],
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        parsing: false,
        normalized: true,
        interaction: { mode: 'index', intersect: false },
        elements: { point: { radius: 0, hitRadius: 0 }, line: { borderJoinStyle: 'round' } },
        scales: {
          x: {
            type: 'logarithmic',
            min: 20,
            max: 20000,
            afterBuildTicks: (axis) => (axis.ticks = DECADES.map((value) => ({ value }))),
            ticks: {
              callback: (value) => (Number(value) >= 1000 ? `${Number(value) / 1000}k` : String(value)),
              autoSkip: false
            }
          },
          y: {
            afterBuildTicks: (axis) => {
              const step = axis.max - axis.min > 45 ? 20 : 10;
              const top = Math.floor(axis.max / step) * step;
              axis.ticks = [0, 1, 2, 3, 4, 5, 6]
                .map((k) => ({ value: top - k * step }))
                .filter((t) => t.value >= axis.min);
            },
            ticks: { callback: (value) => this.#told?.(Number(value)) ?? formatNumber(Number(value)), autoSkip: false }
          }
        },
        plugins: {
          legend: {
            align: 'end',
            labels: { boxWidth: 18, boxHeight: 0, padding: 6, filter: (item) => item.text !== '' }
          },
          tooltip: {
            displayColors: false,
            filter: (item) => item.dataset.label !== '',
            callbacks: {
              title: ([item]) => formatHz(item.parsed.x ?? 0),
              label: (item) =>
                this.#told
                  ? `${item.dataset.label} ${this.#told(item.parsed.y ?? 0)}`
                  : says.db3(item.dataset.label ?? '', formatNumber(item.parsed.y ?? 0, 1))
            }
          }
        }
      }
    });
  }

  /** @param low, high of the scale, dB @param told how they are written, where not as decibels */
  draw(
    curves: Curve[],
    { low, high, band, told }: { low: number; high: number; band: Band | null; told?: (y: number) => string }
  ): void {
    this.#band = band;
    this.#told = told ?? null;
    this.#chart.data.datasets = curves;
    const { scales, plugins } = this.#chart.options;
    Object.assign(scales!.y!, { min: low, max: high });
    for (const scale of [scales!.x!, scales!.y!]) {
      Object.assign(scale.grid ?? (scale.grid = {}), { color: token('--color-base-300') });
      Object.assign(scale.border ?? (scale.border = {}), { display: false });
      Object.assign(scale.ticks!, {
        color: token('--color-secondary'),
        font: { family: token('--font-mono'), size: 10.5 }
      });
    }
    const ink = token('--color-base-content');
    Object.assign(plugins!.legend!.labels!, { color: ink, font: { family: token('--font-sans'), size: 11 } });
    this.#chart.update('none');
  }

  destroy(): void {
    this.#chart.destroy();
  }
}

/** Shades the notes the source plays, behind the curves. */
const bandPlugin = (band: () => Band | null): Plugin<'line'> => ({
  id: 'notes',
  beforeDatasetsDraw({ ctx, chartArea, scales }) {
    const b = band();
    if (!b) return;
    const colour = token('--color-accent');
    const left = scales.x.getPixelForValue(b.low);
    const right = scales.x.getPixelForValue(b.high);
    ctx.save();
    ctx.globalAlpha = 0.13;
    ctx.fillStyle = colour;
    ctx.fillRect(left, chartArea.top, right - left, chartArea.height);
    ctx.restore();
    ctx.save();
    ctx.fillStyle = colour;
    ctx.font = `11px ${token('--font-sans')}`;
    const text = says.notesItPlays;
    const x = Math.min(left + 5, chartArea.right - ctx.measureText(text).width - 4);
    ctx.fillText(text, x, chartArea.bottom - 6);
    ctx.restore();
  }
});
