import { CABLES, MAX_METRES } from '../gear/cables';
import { modelOf } from '../gear/catalogue';
import type { ParamSpec } from '../gear/types';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';

/** Values of what stands in a line, and a plan with one of them otherwise. */

export interface LineValue {
  readonly of: string;
  readonly what: 'device' | 'cable' | 'length';
  /** Of a length `metres`. */
  readonly param: string;
  readonly quantity: ParamSpec['quantity'];
  readonly planned: number;
  readonly spec: Pick<ParamSpec, 'min' | 'max' | 'low' | 'high'>;
}

/** What a network is made of; levels and gains turn no response. */
const QUANTITIES: readonly string[] = ['resistance', 'inductance', 'capacitance'];

/** Resistances, inductances and capacitances of devices, and what a cable has a metre, as the plan has them; none that are nothing. */
export function valuesOf(plan: Plan, lines: readonly Line[]): LineValue[] {
  const devices = [...new Set(lines.flatMap((l) => l.devices))].flatMap((of): LineValue[] => {
    const { model, settings } = plan.devices[of];
    return Object.entries(modelOf(model).params).flatMap(([param, spec]): LineValue[] => {
      const planned = typeof settings[param] === 'number' ? settings[param] : spec.typ;
      if (!QUANTITIES.includes(spec.quantity) || planned <= 0) return [];
      return [{ of, what: 'device', param, quantity: spec.quantity, planned, spec }];
    });
  });
  const cables = [...new Set(lines.flatMap((l) => l.cables))].flatMap((of): LineValue[] => {
    const { kind, settings } = plan.cables[of];
    const spec = CABLES[kind].params.cShield;
    const planned = settings?.cShield ?? spec.typ;
    return planned > 0 ? [{ of, what: 'cable', param: 'cShield', quantity: spec.quantity, planned, spec }] : [];
  });
  return [...devices, ...cables];
}

/** Lengths of a line's cables, as they are planned. */
export const lengthsOf = (plan: Plan, line: Line): LineValue[] =>
  line.cables.map((of): LineValue => {
    const { metres } = plan.cables[of];
    const spec = { min: 0.5, max: Math.max(100, metres), low: 0.1, high: MAX_METRES };
    return { of, what: 'length', param: 'metres', quantity: 'length', planned: metres, spec };
  });

/** The plan with one value otherwise. @param value in SI units, within the value's bounds */
export function withValue(plan: Plan, { of, what, param }: LineValue, value: number): Plan {
  if (what === 'device') {
    const device = plan.devices[of];
    return {
      ...plan,
      devices: { ...plan.devices, [of]: { ...device, settings: { ...device.settings, [param]: value } } }
    };
  }
  const cable = plan.cables[of];
  const next =
    what === 'length' ? { ...cable, metres: value } : { ...cable, settings: { ...cable.settings, [param]: value } };
  return { ...plan, cables: { ...plan.cables, [of]: next } };
}

export const inBounds = ({ spec }: LineValue, value: number): number => Math.min(Math.max(value, spec.low), spec.high);
