import { modelAt } from '../plan/devices';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { withValue } from '../hear/values';
import type { Knob, KnobId } from './types';

/** What may be turned in a lesson, and how it is found on any line: the user's own as well as the made one. */

type Of = 'source' | 'box' | 'input' | 'first-load';
type Range = Pick<Knob, 'quantity' | 'low' | 'high' | 'log'>;

/** Devices of a line that a word means, in the order in which they are looked through. */
const devicesOf = (line: Line, of: Of): readonly string[] =>
  of === 'source'
    ? line.devices.slice(0, 1)
    : of === 'box'
      ? line.devices.slice(1, -1)
      : of === 'input'
        ? line.devices.slice(-1)
        : line.devices.slice(1);

/** A value of a device: the first of those meant that has it. */
export const param = (id: KnobId, of: Of, name: string, range: Range): Knob => ({
  ...{ id, ...range, choices: null },
  on(plan, line) {
    const device = devicesOf(line, of).find((d) => name in modelAt(plan, d).params);
    if (device === undefined) return null;
    const spec = modelAt(plan, device).params[name];
    const { settings } = plan.devices[device];
    const value = typeof settings[name] === 'number' ? settings[name] : spec.typ;
    const turned = { of: device, what: 'device', param: name, quantity: spec.quantity, planned: value, spec } as const;
    const behind = of === 'first-load' && device !== line.devices[1];
    return { value, ...(behind ? { behind } : {}), put: (to, v) => withValue(to, turned, Number(v)) };
  }
});

/** The length of the first cable, or of the last. */
export const length = (id: 'lead' | 'run', low: number, high: number): Knob => ({
  ...{ id, quantity: 'length', low, high, log: true, choices: null },
  on(plan, { cables }) {
    const of = cables[id === 'lead' ? 0 : cables.length - 1];
    const { metres } = plan.cables[of];
    const value = { of, what: 'length', param: 'metres', quantity: 'length', planned: metres } as const;
    const spec = { min: low, max: high, low, high };
    return { value: metres, put: (to, v) => withValue(to, { ...value, spec }, Number(v)) };
  }
});

/** A switch of a device. */
export const option = (id: KnobId, of: Of, name: string, choices: readonly string[]): Knob => ({
  ...{ id, quantity: 'none', low: 0, high: choices.length - 1, log: false, choices },
  on(plan, line) {
    const device = devicesOf(line, of).find((d) =>
      choices.every((c) => modelAt(plan, d).options[name]?.choices.includes(c))
    );
    if (device === undefined) return null;
    const { settings } = plan.devices[device];
    const value = String(settings[name] ?? modelAt(plan, device).options[name].default);
    return {
      value,
      put: (to, v): Plan => ({
        ...to,
        devices: {
          ...to.devices,
          [device]: { ...to.devices[device], settings: { ...to.devices[device].settings, [name]: String(v) } }
        }
      })
    };
  }
});

/** The voltage between the earths of two supplies: that of the one where the line ends. */
export const earthVolts = (low: number, high: number): Knob => ({
  ...{ id: 'emf', quantity: 'voltage', low, high, log: true, choices: null },
  on(plan, line) {
    const input = plan.devices[line.devices[line.devices.length - 1]];
    const supply = input.supply ?? (input.host ? plan.hosts[input.host]?.supply : undefined);
    if (!supply || !plan.supplies[supply] || Object.keys(plan.supplies).length < 2) return null;
    return {
      value: plan.supplies[supply].emf,
      put: (to, v) => ({ ...to, supplies: { ...to.supplies, [supply]: { ...to.supplies[supply], emf: Number(v) } } })
    };
  }
});
