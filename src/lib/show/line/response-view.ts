import { line as says } from '$core/words/screen/line';
import type { LineReport } from '$core/judge/judge';
import type { Tolerance } from '$core/judge/tolerance';
import { formatHz, formatNumber } from '$core/units/format';
import {
  Chart,
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
const MARGIN_DB = 3;

const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

interface Band {
  low: number;
  high: number;
  colour: string;
  text: string;
}

/** Shades the notes the source plays, behind the curves. */
const bandPlugin = (band: () => Band | null): Plugin<'line'> => ({
  id: 'notes',
  beforeDatasetsDraw({ ctx, chartArea, scales }) {
    const b = band();
    if (!b) return;
    const left = scales.x.getPixelForValue(b.low);
    const right = scales.x.getPixelForValue(b.high);
    ctx.save();
    ctx.globalAlpha = 0.13;
    ctx.fillStyle = b.colour;
    ctx.fillRect(left, chartArea.top, right - left, chartArea.height);
    ctx.restore();
    ctx.save();
    ctx.fillStyle = b.text;
    ctx.font = `11px ${token('--font-sans')}`;
    const text = says.notesItPlays;
    const x = Math.min(left + 5, chartArea.right - ctx.measureText(text).width - 4);
    ctx.fillText(text, x, chartArea.bottom - 6);
    ctx.restore();
  }
});

/** The chart of a line's response, kept and redrawn as the line changes. */
export class ResponseView {
  readonly #chart: Chart<'line', { x: number; y: number }[]>;
  #band: Band | null = null;

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
              axis.ticks = [0, 1, 2, 3, 4, 5, 6].map((k) => ({ value: -k * step })).filter((t) => t.value >= axis.min);
            },
            ticks: { callback: (value) => formatNumber(Number(value)), autoSkip: false }
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
              label: (item) => says.db3(item.dataset.label ?? '', formatNumber(item.parsed.y ?? 0, 1))
            }
          }
        }
      }
    });
  }

  /** Draws a report: the response as planned, set level with the ideal one where both are at their best. */
  draw(report: LineReport, tolerance: Pick<Tolerance, 'hz' | 'low' | 'high'> | null = null): void {
    const { response, notes, severity } = report;
    if (!response) return;
    // Zero is the best that is reached within what is played; a resonance beyond it must not push everything down.
    const played = (k: number): boolean => !notes || (response.hz[k] >= notes.low && response.hz[k] <= notes.reach);
    const best = Math.max(...response.db.filter((_, k) => played(k)));
    const idealBest = Math.max(...response.ideal.filter((_, k) => played(k)));
    const xy = (values: readonly number[], zero: number) => response.hz.map((x, k) => ({ x, y: values[k] - zero }));
    const ink = token('--color-base-content');
    const quiet = token('--color-secondary');
    const bad = severity === 'stop' || severity === 'danger';
    const line = bad
      ? token('--color-error')
      : severity === 'care'
        ? token('--color-warning')
        : token('--color-primary');
    this.#band = notes && {
      low: notes.low,
      high: notes.high,
      colour: token('--color-accent'),
      text: token('--color-accent')
    };
    const asPlanned = xy(response.db, best);
    const low = Math.min(...asPlanned.filter((p) => p.x >= 40 && p.x <= 15000).map((p) => p.y));
    this.#chart.data.datasets = [
      {
        label: says.asPlanned(Math.abs(best) < 1 ? '' : says.n0AtU202fdb(formatNumber(best))),
        data: asPlanned,
        borderColor: line,
        borderWidth: 2.2
      },
      {
        label: says.into10MNoLead,
        data: xy(response.ideal, idealBest),
        borderColor: quiet,
        borderWidth: 1.2,
        borderDash: [4, 3]
      },
      ...(tolerance ? this.#tolerance(tolerance, line) : [])
    ];
    const { scales, plugins } = this.#chart.options;
    Object.assign(scales!.y!, { min: Math.max(Math.floor((low - MARGIN_DB) / 10) * 10, -60), max: MARGIN_DB });
    for (const scale of [scales!.x!, scales!.y!]) {
      Object.assign(scale.grid ?? (scale.grid = {}), { color: token('--color-base-300') });
      Object.assign(scale.border ?? (scale.border = {}), { display: false });
      Object.assign(scale.ticks!, { color: quiet, font: { family: token('--font-mono'), size: 10.5 } });
    }
    Object.assign(plugins!.legend!.labels!, { color: ink, font: { family: token('--font-sans'), size: 11 } });
    this.#chart.update('none');
  }

  /** The edges between which nine tenths of the draws lie, filled. */
  #tolerance({ hz, low, high }: Pick<Tolerance, 'hz' | 'low' | 'high'>, colour: string) {
    const edge = (values: readonly number[]) => hz.map((x, k) => ({ x, y: values[k] }));
    const plain = { borderWidth: 0.8, borderColor: colour, backgroundColor: `${colour}33` };
    return [
      { label: says.n5To95OfDraws, data: edge(high), fill: '+1', ...plain },
      { label: '', data: edge(low), ...plain }
    ];
  }

  destroy(): void {
    this.#chart.destroy();
  }
}
