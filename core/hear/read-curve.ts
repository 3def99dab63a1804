import type { Curve } from './rational';

/** Reads a response between its points, by the logarithm of frequency; asked for rising frequencies it does not search. */
export function readCurve({ hz, re, im }: Curve): (f: number) => readonly [number, number] {
  const logs = hz.map(Math.log);
  const last = hz.length - 1;
  let k = 0;
  return (f) => {
    // Below its points it falls as one capacitor lets it.
    if (f <= hz[0]) return [(re[0] * f) / hz[0], (im[0] * f) / hz[0]];
    if (f >= hz[last]) return [re[last], im[last]];
    if (f < hz[k]) k = 0;
    while (hz[k + 1] < f) k++;
    const t = (Math.log(f) - logs[k]) / (logs[k + 1] - logs[k]);
    return [re[k] + t * (re[k + 1] - re[k]), im[k] + t * (im[k + 1] - im[k])];
  };
}
