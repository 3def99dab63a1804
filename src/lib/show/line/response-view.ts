import { line as says } from '$core/words/screen/line';
import type { LineReport } from '$core/judge/judge';
import type { Tolerance } from '$core/judge/tolerance';
import { formatNumber } from '$core/units/format';
import { type Curve, FrequencyChart, token } from './frequency-chart';

const MARGIN_DB = 3;

/** The chart of a line's response, kept and redrawn as the line changes. */
export class ResponseView {
  readonly #chart: FrequencyChart;

  constructor(canvas: HTMLCanvasElement) {
    this.#chart = new FrequencyChart(canvas);
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
    const quiet = token('--color-secondary');
    const bad = severity === 'stop' || severity === 'danger';
    const line = bad
      ? token('--color-error')
      : severity === 'care'
        ? token('--color-warning')
        : token('--color-primary');
    const asPlanned = xy(response.db, best);
    const low = Math.min(...asPlanned.filter((p) => p.x >= 40 && p.x <= 15000).map((p) => p.y));
    const curves: Curve[] = [
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
    this.#chart.draw(curves, {
      low: Math.max(Math.floor((low - MARGIN_DB) / 10) * 10, -60),
      high: MARGIN_DB,
      band: notes
    });
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
