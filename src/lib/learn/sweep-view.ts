import { knobValue, readingText, READS } from '$core/words/lesson-figures';
import type { Sweep } from '$core/lessons/solve';
import type { Knob, LessonId, Measure } from '$core/lessons/types';
import { formatNumber } from '$core/units/format';
import { DBU_VOLTS } from '$core/units/quantity';
import { token } from '$lib/show/line/frequency-chart';
import { Chart, LinearScale, LineController, LineElement, LogarithmicScale, PointElement, Tooltip } from 'chart.js';

Chart.register(LineController, LineElement, PointElement, LinearScale, LogarithmicScale, Tooltip);

export interface Drawn {
  readonly sweep: Sweep;
  readonly now: { readonly x: number; readonly y: number };
  readonly log: boolean;
  readonly id: Knob['id'];
  readonly name: string;
  readonly quantity: Knob['quantity'];
  readonly lesson: LessonId;
  readonly measure: Measure;
}

/** Round values between two powers of ten, as powers: by decades, or by ones, twos and fives where there are few. */
function roundPlaces(from: number, to: number): number[] {
  const steps = to - from > 2.5 ? [1] : [1, 2, 5];
  const decades = Array.from({ length: Math.ceil(to) - Math.floor(from) + 1 }, (_, k) => Math.floor(from) + k);
  return decades.flatMap((d) => steps.map((s) => d + Math.log10(s))).filter((x) => x >= from - 1e-9 && x <= to + 1e-9);
}

/** Levels of whole tens of dBu, as powers of ten of volts. */
function roundLevels(from: number, to: number): number[] {
  const zero = Math.log10(DBU_VOLTS);
  const first = Math.ceil((from - zero) * 2 - 1e-9);
  const count = Math.floor((to - zero) * 2 + 1e-9) - first + 1;
  return Array.from({ length: Math.max(count, 0) }, (_, k) => (first + k) / 2 + zero);
}

/** What is read over the whole way of one knob, and a dot where it stands. */
export class SweepView {
  readonly #chart: Chart<'line', { x: number; y: number }[]>;
  #drawn: Drawn | null = null;

  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new Chart(canvas, {
      type: 'line',
      data: { datasets: [] },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        parsing: false,
        interaction: { mode: 'nearest', axis: 'x', intersect: false },
        scales: {
          x: {
            type: 'linear',
            ticks: { maxRotation: 0, maxTicksLimit: 7, callback: (value) => this.#knob(Number(value)) },
            afterBuildTicks: (axis) => {
              if (!this.#drawn?.log) return;
              const places =
                this.#drawn.quantity === 'level' ? roundLevels(axis.min, axis.max) : roundPlaces(axis.min, axis.max);
              axis.ticks = places.map((value) => ({ value }));
            }
          },
          y: {
            ticks: { maxTicksLimit: 6, callback: (value) => this.#scale(Number(value)) },
            afterBuildTicks: (axis) => {
              if (this.#logY) axis.ticks = roundPlaces(axis.min, axis.max).map((value) => ({ value }));
            }
          }
        },
        plugins: {
          legend: { display: false },
          tooltip: {
            displayColors: false,
            callbacks: {
              title: ([item]) => this.#knob(item.parsed.x ?? 0),
              label: (item) => this.#reading(this.#untold(item.parsed.y ?? 0))
            }
          }
        }
      }
    });
  }

  draw(drawn: Drawn): void {
    this.#drawn = drawn;
    const { sweep, now } = drawn;
    const points = sweep.x.map((x, k) => ({ x: this.#x(x), y: this.#y(sweep.y[k]) }));
    const ink = token('--color-primary');
    this.#chart.data.datasets = [
      { data: points, borderColor: ink, borderWidth: 2.2, pointRadius: 0, spanGaps: false },
      {
        data: [{ x: this.#x(now.x), y: this.#y(now.y) }],
        borderColor: ink,
        backgroundColor: ink,
        pointRadius: 6,
        pointHoverRadius: 6
      }
    ];
    const { scales } = this.#chart.options;
    const unit = drawn.measure === 'dB' || drawn.measure === 'dBu' ? `, ${drawn.measure}` : '';
    const titles = { x: drawn.name, y: `${READS[drawn.lesson]}${unit}` };
    for (const axis of ['x', 'y'] as const)
      Object.assign(scales![axis]!, {
        grid: { color: token('--color-base-300') },
        border: { display: false },
        title: {
          ...{ display: true, text: titles[axis], color: token('--color-base-content') },
          font: { family: token('--font-sans'), size: 11 }
        }
      });
    for (const axis of ['x', 'y'] as const)
      Object.assign(scales![axis]!.ticks!, {
        ...{ color: token('--color-secondary'), font: { family: token('--font-mono'), size: 10.5 } }
      });
    const [first, last] = [sweep.x[0], sweep.x[sweep.x.length - 1]];
    Object.assign(scales!.x!, { min: this.#x(first), max: this.#x(last) });
    this.#chart.update('none');
  }

  /** Ohms and hertz run by ratio. */
  get #logY(): boolean {
    return this.#drawn?.measure === 'Ω' || this.#drawn?.measure === 'Hz';
  }
  #x(value: number): number {
    return this.#drawn?.log ? Math.log10(value) : value;
  }
  #y(value: number): number {
    return this.#logY ? Math.log10(value) : value;
  }
  #untold(y: number): number {
    return this.#logY ? 10 ** y : y;
  }
  #knob(x: number): string {
    if (!this.#drawn) return '';
    return knobValue(this.#drawn.id, this.#drawn.quantity, this.#drawn.log ? 10 ** x : x);
  }
  #reading(y: number): string {
    return this.#drawn ? readingText(this.#drawn.lesson, this.#drawn.measure, y) : '';
  }
  /** Whole decibels along the side; what is read to a tenth is read at the dot. */
  #scale(y: number): string {
    const value = this.#untold(y);
    return this.#drawn?.measure === 'dB' || this.#drawn?.measure === 'dBu' ? formatNumber(value) : this.#reading(value);
  }

  destroy(): void {
    this.#chart.destroy();
  }
}
