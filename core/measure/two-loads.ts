import { type Complex, divide, minus } from '../solver/system';
import { beside, plus, real, times } from './complex';

/** Impedances from what a divider with a known resistor makes of a level. Everything is what came back over what came back from the loop. */

/** An interface with a lead from its output to its input, as two resistors tell it. */
export interface Bench {
  readonly hz: readonly number[];
  /** The resistor in series, ohms. */
  readonly series: number;
  /** Its output, ohms, and its input with the test lead, ohms. */
  readonly out: readonly Complex[];
  readonly into: readonly Complex[];
}

/**
 * @param open through the series resistor, nothing else plugged, over the loop
 * @param loaded the loop with a resistor across it, over the loop
 */
export function benchOf(
  hz: readonly number[],
  open: readonly Complex[],
  loaded: readonly Complex[],
  series: number,
  load: number
): Bench {
  // open = (into + out) ÷ (into + out + series)
  const both = open.map((q) => divide(times(real(series), q), minus(real(1), q)));
  const out = loaded.map((g, k) => {
    const into = both[k];
    const beneath = beside(real(load), into);
    return divide(times(times(beneath, into), minus(real(1), g)), minus(times(g, into), beneath));
  });
  return { hz, series, out, into: both.map((s, k) => minus(s, out[k])) };
}

/** What hangs on the far end of the series resistor. @param across with it plugged, over the loop */
export function impedanceOf({ series, out, into }: Bench, across: readonly Complex[]): Complex[] {
  return across.map((q, k) => {
    // The loop is into ÷ (into + out); what is read is that of a source of series + out into both beside each other.
    const share = times(q, divide(into[k], plus(into[k], out[k])));
    const source = plus(real(series), out[k]);
    const both = divide(times(source, share), minus(real(1), share));
    // 1 ÷ both = 1 ÷ into + 1 ÷ what is looked for
    return divide(times(both, into[k]), minus(into[k], both));
  });
}

/**
 * Source impedance from two levels into two known loads, ohms: no interface, a multimeter will do. Both levels at one frequency.
 * @param volts RMS @throws RangeError where the levels contradict the loads
 */
export function fromTwoLoads(volts: readonly [number, number], loads: readonly [number, number]): number {
  const [a, b] = volts;
  const [ra, rb] = loads;
  const ohm = (ra * rb * (a - b)) / (b * ra - a * rb);
  if (!(ohm >= 0) || !Number.isFinite(ohm)) throw new RangeError(`${a} V at ${ra} Ω and ${b} V at ${rb} Ω`);
  return ohm;
}

/**
 * Impedance of an input from its level without and with a resistor before it, ohms. Both levels at one frequency.
 * @param volts RMS, without and with it @param series ohms @param source what drives it, ohms
 */
export function fromSeries(volts: readonly [number, number], series: number, source: number): number {
  const [without, with_] = volts;
  const ohm = (series * with_) / (without - with_) - source;
  if (!(ohm > 0) || !Number.isFinite(ohm)) throw new RangeError(`${without} V and ${with_} V`);
  return ohm;
}
