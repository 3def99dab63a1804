import { letterOf } from '$core/hear/fair';
import type { Levels } from '$core/hear/against';
import { FrequencyChart, token } from '$lib/show/line/frequency-chart';

const MARGIN_DB = 3;
const SHOWN_DB = 48;
const COLOURS = ['primary', 'warning', 'success', 'error', 'info', 'secondary'] as const;

/** Spectra of what is compared, or each against the first. */
export class SpectraView {
  readonly #chart: FrequencyChart;
  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new FrequencyChart(canvas);
  }
  draw(all: readonly Levels[], against: boolean): void {
    const [first] = all;
    // Only what differs means anything: the loudest band of all is nought.
    const top = Math.max(...all.flatMap((l) => l.db));
    const curves = all.map(({ hz, db }, k) => ({
      label: letterOf(k),
      data: hz.map((x, n) => ({ x, y: db[n] - (against ? first.db[n] : top) })),
      ...{ borderColor: token(`--color-${COLOURS[k % COLOURS.length]}`), borderWidth: 1.8 },
      ...(k % 2 === 1 ? { borderDash: [5, 3] } : {})
    }));
    const values = curves.flatMap((c) => c.data.filter((p) => p.x >= 40 && p.x <= 15_000).map((p) => p.y));
    const high = Math.max(...values) + MARGIN_DB;
    this.#chart.draw(curves, { low: Math.max(Math.min(...values) - MARGIN_DB, high - SHOWN_DB), high, band: null });
  }
  destroy(): void {
    this.#chart.destroy();
  }
}
