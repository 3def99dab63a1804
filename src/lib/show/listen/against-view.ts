import { listen as says } from '$core/words/screen/listen';
import type { Against } from '$core/hear/explain';
import { FrequencyChart, token } from '$lib/show/line/frequency-chart';

const MARGIN_DB = 3;

/** What lies between two takes, heard and computed, one over the other. */
export class AgainstView {
  readonly #chart: FrequencyChart;
  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new FrequencyChart(canvas);
  }
  draw({ hz, heard, computed }: Against): void {
    const xy = (values: readonly number[]) => hz.map((x, k) => ({ x, y: values[k] }));
    const all = [...heard, ...computed];
    this.#chart.draw(
      [
        { label: says.heardCurve, data: xy(heard), borderColor: token('--color-primary'), borderWidth: 2.2 },
        {
          ...{ label: says.computedCurve, data: xy(computed), borderColor: token('--color-base-content') },
          ...{ borderWidth: 1.4, borderDash: [4, 3] }
        }
      ],
      { low: Math.min(...all) - MARGIN_DB, high: Math.max(...all) + MARGIN_DB, band: null }
    );
  }
  destroy(): void {
    this.#chart.destroy();
  }
}
