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
    const db = (some: Measured['curve']): number[] => some.map((c) => 20 * Math.log10(Math.hypot(...c)));
    const told = ohms ? { told: (y: number) => formatQuantity('resistance', 10 ** (y / 20), 2) } : {};
    this.lines(
      hz,
      [
        [says.measured, db(curve)],
        [says.fitted, db(fitted)]
      ],
      told
    );
  }
  /** Two curves of decibels. */
  lines(
    hz: readonly number[],
    [first, second]: readonly (readonly [label: string, db: readonly number[]])[],
    told: { readonly told?: (y: number) => string } = {}
  ): void {
    const points = (db: readonly number[]) => hz.map((x, k) => ({ x, y: db[k] }));
    const all = [...first[1], ...second[1]];
    const [low, high] = [Math.min(...all), Math.max(...all)];
    this.#chart.draw(
      [
        { label: first[0], data: points(first[1]), borderColor: token('--color-primary'), borderWidth: 2.6 },
        {
          label: second[0],
          data: points(second[1]),
          borderColor: token('--color-warning'),
          borderWidth: 1.4,
          borderDash: [5, 4]
        }
      ],
      { low: Math.floor((low - 3) / 10) * 10, high: Math.ceil((high + 3) / 10) * 10, band: null, ...told }
    );
  }
  destroy(): void {
    this.#chart.destroy();
  }
}
