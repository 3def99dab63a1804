import { forget } from '../plan/resolved';
// Tests: small plans for the tests of the core. Not part of the program.
import { blankPlan } from '../plan/blank';
import { type Line, traceLines } from '../plan/lines';
import type { LineInfo, Plan } from '../plan/schema';
import type { CableSpec, DeviceSpec, LineSpec } from '../plan/spec';
import { putLine } from '../plan/put';
import type { Settings } from '../gear/types';
import { namesOf } from '../reader/names';
import { readLine } from '../reader/read-line';

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

/** A plan of lines in words, each of which may speak of the ones before it; their ids begin with l0, l1 and so on. */
export function show(...lines: readonly [text: string, info?: Partial<LineInfo>][]): Plan {
  const plan = blankPlan();
  lines.forEach(([text, info], k) => {
    const { spec, faults } = readLine(text, namesOf(plan));
    if (!spec) throw new Error(`${text}: ${JSON.stringify(faults)}`);
    Object.assign(plan.lines[putLine(plan, spec, (role) => `l${k}-${role}`)], info);
  });
  return plan;
}

/** Plugs a second load into the thru of a plan's box; it is called `amp`. */
export function addThru(plan: Plan, load: DeviceSpec = device('instrument-in'), box = 'mid'): void {
  forget(plan);
  plan.devices.amp = { model: load.model, settings: load.settings };
  plan.cables.thru = {
    kind: 'instrument',
    metres: 2,
    from: { device: box, port: 'thru' },
    to: { device: 'amp', port: 'in' },
    plugs: ['ts', 'ts']
  };
}

/** Two supplies 0.3 V apart, the desk on the second. */
export function onTwoSupplies(plan: Plan): Plan {
  plan.supplies = {
    stage: { name: 'Stage', emf: 0.01, ohm: 0.2, dimmers: false },
    annex: { name: 'Annex', emf: 0.3, ohm: 0.2, dimmers: false }
  };
  plan.hosts.desk.supply = 'annex';
  return plan;
}
