import { measure as says } from '$core/words/screen/measure';
import type { Measured } from '$core/measure/measure';
import { formatQuantity } from '$core/units/format';
import { FrequencyChart, token } from '$lib/show/line/frequency-chart';

/** A measured curve over frequency with the class's own over it: ohms as 20 log, or decibels. */
export class CurveView {
  readonly #chart: FrequencyChart;
  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new FrequencyChart(canvas);
  }
  draw({ hz, curve, fitted }: Pick<Measured, 'hz' | 'curve' | 'fitted'>, ohms: boolean): void {
    const db = (c: readonly [number, number]): number => 20 * Math.log10(Math.hypot(...c));
    const points = (some: Measured['curve']) => hz.map((x, k) => ({ x, y: db(some[k]) }));
    const all = [...points(curve), ...points(fitted)].map((p) => p.y);
    const [low, high] = [Math.min(...all), Math.max(...all)];
    this.#chart.draw(
      [
        { label: says.measured, data: points(curve), borderColor: token('--color-primary'), borderWidth: 2.6 },
        {
          label: says.fitted,
          data: points(fitted),
          borderColor: token('--color-warning'),
          borderWidth: 1.4,
          borderDash: [5, 4]
        }
      ],
      {
        low: Math.floor((low - 3) / 10) * 10,
        high: Math.ceil((high + 3) / 10) * 10,
        band: null,
        ...(ohms ? { told: (y: number) => formatQuantity('resistance', 10 ** (y / 20), 2) } : {})
      }
    );
  }
  destroy(): void {
    this.#chart.destroy();
  }
}
