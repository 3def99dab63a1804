import type { Measured } from '$core/measure/measure';
import { formatNumber, formatQuantity } from '$core/units/format';

/** The curve in words. */
export function curveText({ hz, curve }: Pick<Measured, 'hz' | 'curve'>, ohms: boolean): string {
  return [100, 1000, 10_000]
    .map((f) => {
      const k = hz.reduce((best, x, n) => (Math.abs(Math.log(x / f)) < Math.abs(Math.log(hz[best] / f)) ? n : best), 0);
      const size = Math.hypot(...curve[k]);
      return `${formatQuantity('frequency', f)} ${ohms ? formatQuantity('resistance', size, 3) : `${formatNumber(20 * Math.log10(size), 1)} dB`}`;
    })
    .join(', ');
}
