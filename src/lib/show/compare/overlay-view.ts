import type { Overlay } from '$core/judge/overlay';
import { type Band, type Curve, FrequencyChart, token } from '$lib/show/line/frequency-chart';

/** Curves are told apart by colour and by their dashes: some people see but one of both. */
const STYLES = [
  { colour: '--color-primary', dash: [] },
  { colour: '--color-error', dash: [7, 4] },
  { colour: '--color-base-content', dash: [2, 3] },
  { colour: '--color-warning', dash: [10, 3, 2, 3] }
] as const;
/** Where nothing is left to see, dB; and the least height of the scale. */
const FLOOR_DB = -40;
const LEAST_DB = 6;

/** The chart of several ways on top of each other. */
export class OverlayView {
  readonly #chart: FrequencyChart;
  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new FrequencyChart(canvas);
  }

  draw({ hz, curves }: Overlay, names: readonly string[], band: Band | null): void {
    const drawn = curves.flatMap((curve, k): Curve[] => {
      if (!curve) return [];
      const { colour, dash } = STYLES[k % STYLES.length];
      return [
        {
          label: names[k],
          data: hz.map((x, n) => ({ x, y: curve[n] })),
          borderColor: token(colour),
          borderWidth: 2,
          borderDash: [...dash]
        }
      ];
    });
    const seen = drawn.flatMap(({ data }) => data.filter(({ x }) => x >= 30 && x <= 18_000).map(({ y }) => y));
    this.#chart.draw(drawn, {
      low: Math.max(Math.floor(Math.min(...seen, -LEAST_DB) / 10) * 10, FLOOR_DB),
      high: Math.ceil(Math.max(...seen, LEAST_DB) / 3) * 3,
      band
    });
  }
  destroy(): void {
    this.#chart.destroy();
  }
}
