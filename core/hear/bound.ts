/** Stages that take no more than so much. */

/** What rails leave of a voltage. @param most volts peak */
export function railed(v: Float64Array, most: number): Float64Array {
  const y = new Float64Array(v.length);
  for (let n = 0; n < v.length; n++) y[n] = v[n] > most ? most : v[n] < -most ? -most : v[n];
  return y;
}
/** Whether rails cut anything off it. */
export function isCut(v: Float64Array, most: number): boolean {
  for (let n = 0; n < v.length; n++) if (v[n] > most || v[n] < -most) return true;
  return false;
}

/** Slower than this a winding’s flux leaks away, hertz: far below what is played. */
const LEAK_HZ = 0.5;

/** Where a core stands: its flux, and what its last sample was bent to. */
export interface Core {
  flux: number;
  bent: number;
}

/**
 * What a core leaves of a voltage: its flux, the voltage summed up over time, saturates as a cubic, φ − φ³ ÷ 3φₘ², and not beyond.
 * @param most volts peak that bring it there at `lowest`
 * @param rate samples a second
 * @param core where it stands before them; written
 */
export function saturated(
  v: Float64Array,
  most: number,
  lowest: number,
  rate: number,
  core: Core = { flux: 0, bent: 0 }
): Float64Array {
  const limit = most / (2 * Math.PI * lowest);
  const keep = Math.exp((-2 * Math.PI * LEAK_HZ) / rate);
  const bent = (flux: number): number =>
    Math.abs(flux) >= limit ? (Math.sign(flux) * 2 * limit) / 3 : flux - (flux * flux * flux) / (3 * limit * limit);
  const y = new Float64Array(v.length);
  let { flux, bent: before } = core;
  for (let n = 0; n < v.length; n++) {
    flux = keep * flux + v[n] / rate;
    const now = bent(flux);
    y[n] = (now - keep * before) * rate;
    before = now;
  }
  [core.flux, core.bent] = [flux, before];
  return y;
}

/**
 * Whether a core is near enough to saturation for it to be heard: a tenth of its flux bends it by 0.3 %.
 * @param core where it stands before them; where it is not near, written as it stands after
 */
export function nearSaturation(
  v: Float64Array,
  most: number,
  lowest: number,
  rate: number,
  core: Core = { flux: 0, bent: 0 }
): boolean {
  const limit = (0.1 * most) / (2 * Math.PI * lowest);
  const keep = Math.exp((-2 * Math.PI * LEAK_HZ) / rate);
  let { flux } = core;
  for (let n = 0; n < v.length; n++) {
    flux = keep * flux + v[n] / rate;
    if (flux > limit || flux < -limit) return true;
  }
  // So far from it, it is bent by next to nothing.
  [core.flux, core.bent] = [flux, flux];
  return false;
}
