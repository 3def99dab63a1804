import type { Measured } from '$core/trace/belief';
import { parseQuantity } from '$core/units/parse';
import { unitFaultText } from '$core/words/faults';
import { grounds as says } from '$core/words/screen/grounds';

/** In which quantity each kind of measurement is typed. */
const QUANTITY = { volts: 'voltage', clamp: 'current', level: 'level' } as const satisfies Record<
  Measured['kind'],
  string
>;

/** What was typed as a measurement, in its own unit, or what is wrong with it. */
export function readMeasured(kind: Measured['kind'], typed: string): { value: number } | { wrong: string } {
  const parsed = parseQuantity(QUANTITY[kind], typed);
  if (!parsed.ok) return { wrong: unitFaultText(parsed.error) };
  return parsed.value > 0 ? { value: parsed.value } : { wrong: says.itMustBeMoreThanNothing };
}
