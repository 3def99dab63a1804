// Testing: small plans for the tests of the core. Not part of the program.
import { blankPlan } from '../plan/blank';
import { type Line, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { type CableSpec, type DeviceSpec, type LineSpec, putLine } from '../plan/spec';
import type { Settings } from '../gear/types';

export const device = (model: string, settings: Settings = {}): DeviceSpec => ({ model, settings });
export const lead = (metres: number, rest: Partial<CableSpec> = {}): CableSpec => ({
  kind: 'instrument',
  metres,
  ...rest
});
export const run = (metres: number, rest: Partial<CableSpec> = {}): CableSpec => ({ kind: 'mic', metres, ...rest });

/** A lead of a stated total capacitance, as short as makes no difference. */
export const farads = (total: number): CableSpec => lead(1, { settings: { cShield: total } });

type Parts = Partial<Omit<LineSpec, 'source' | 'input'>> & Pick<LineSpec, 'source' | 'input'>;

/** A plan of the one line. */
export function oneLine(parts: Parts): { plan: Plan; line: Line } {
  const plan = blankPlan();
  putLine(plan, { lead: null, box: null, run: null, ...parts, name: 'Test' }, (role) => role);
  return { plan, line: traceLines(plan)[0] };
}
