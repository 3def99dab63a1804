import type { Network, Part } from '../solver/network';

/**
 * A slow, separate way to the same answer for the tests: nodal admittances of R, L, C only, Norton sources,
 * dense Gaussian elimination with full pivoting. Shares no code with the solver.
 */
export function denseVoltages(net: Network, hz: number): [number, number][] {
  const w = 2 * Math.PI * hz;
  const n = net.size - 1;
  const a = Array.from({ length: n }, () => Array.from({ length: n + 1 }, () => ({ re: 0, im: 0 })));
  const admittance = (part: Part): [number, number] =>
    part.kind === 'R'
      ? [1 / part.ohm, 0]
      : part.kind === 'C'
        ? [0, w * part.farad]
        : part.kind === 'L'
          ? [0, -1 / (w * part.henry)]
          : [0, 0];
  for (const part of net.parts) {
    const [p, q] = [part.a - 1, part.b - 1];
    if (part.kind === 'I') {
      if (p >= 0) a[p][n].re -= part.ampere;
      if (q >= 0) a[q][n].re += part.ampere;
      continue;
    }
    const [re, im] = admittance(part);
    for (const [row, col, sign] of [
      [p, p, 1],
      [q, q, 1],
      [p, q, -1],
      [q, p, -1]
    ]) {
      if (row < 0 || col < 0) continue;
      a[row][col].re += sign * re;
      a[row][col].im += sign * im;
    }
  }
  return eliminate(a, n);
}

function eliminate(a: { re: number; im: number }[][], n: number): [number, number][] {
  const order = Array.from({ length: n }, (_, k) => k);
  for (let k = 0; k < n; k++) {
    let [br, bc, best] = [k, k, -1];
    for (let r = k; r < n; r++)
      for (let c = k; c < n; c++) {
        const size = Math.hypot(a[r][c].re, a[r][c].im);
        if (size > best) [br, bc, best] = [r, c, size];
      }
    [a[k], a[br]] = [a[br], a[k]];
    for (const row of a) [row[k], row[bc]] = [row[bc], row[k]];
    [order[k], order[bc]] = [order[bc], order[k]];
    const p = a[k][k];
    const d = p.re * p.re + p.im * p.im;
    for (let r = k + 1; r < n; r++) {
      const fr = (a[r][k].re * p.re + a[r][k].im * p.im) / d;
      const fi = (a[r][k].im * p.re - a[r][k].re * p.im) / d;
      for (let c = k; c <= n; c++) {
        a[r][c] = {
          re: a[r][c].re - (fr * a[k][c].re - fi * a[k][c].im),
          im: a[r][c].im - (fr * a[k][c].im + fi * a[k][c].re)
        };
      }
    }
  }
  const x: [number, number][] = Array.from({ length: n }, () => [0, 0]);
  for (let k = n - 1; k >= 0; k--) {
    let { re, im } = a[k][n];
    for (let c = k + 1; c < n; c++) {
      const [xr, xi] = x[order[c]];
      re -= a[k][c].re * xr - a[k][c].im * xi;
      im -= a[k][c].re * xi + a[k][c].im * xr;
    }
    const p = a[k][k];
    const d = p.re * p.re + p.im * p.im;
    x[order[k]] = [(re * p.re + im * p.im) / d, (im * p.re - re * p.im) / d];
  }
  return x;
}
