import { checkSetting, findModel, portOf, type SettingFault } from '../gear/catalogue';
import { CABLES } from '../gear/cables';
import { has } from './json';
import type { Cable, OwnModel, Plan } from './schema';

/** What is wrong in a document whose shape is right; `where` is a path like `cables.c3.to`. */
export type PlanFault = { where: string } & (
  | { code: 'unknown-model'; got: string }
  | { code: 'bad-setting'; fault: SettingFault }
  | { code: 'missing-device'; got: string }
  | { code: 'missing-port'; got: string }
  | { code: 'wrong-way'; got: string }
  | { code: 'port-taken'; by: string }
  | { code: 'bad-plug'; got: string; choices: readonly string[] }
  | { code: 'cycle' }
  | { code: 'missing-supply'; got: string }
  | { code: 'missing-host'; got: string }
  | { code: 'missing-own'; got: string }
  | { code: 'other-base'; got: string; base: string }
);

/** Everything that makes a well-formed plan impossible to wire. Empty when it can be wired. */
export function planFaults(plan: Plan): PlanFault[] {
  const faults: PlanFault[] = [];
  for (const [id, device] of Object.entries(plan.devices)) {
    const where = `devices.${id}`;
    const model = findModel(device.model);
    if (!model) {
      faults.push({ where: `${where}.model`, code: 'unknown-model', got: device.model });
      continue;
    }
    for (const [name, value] of Object.entries(device.settings)) {
      const fault = checkSetting(model, name, value);
      if (fault) faults.push({ where: `${where}.settings.${name}`, code: 'bad-setting', fault });
    }
    if (device.supply !== undefined && !has(plan.supplies, device.supply))
      faults.push({ where: `${where}.supply`, code: 'missing-supply', got: device.supply });
    if (device.host !== undefined && !has(plan.hosts, device.host))
      faults.push({ where: `${where}.host`, code: 'missing-host', got: device.host });
    if (device.own !== undefined) {
      const own = has(plan.models ?? {}, device.own) ? plan.models![device.own] : undefined;
      if (!own) faults.push({ where: `${where}.own`, code: 'missing-own', got: device.own });
      else if (own.base !== device.model)
        faults.push({ where: `${where}.own`, code: 'other-base', got: device.own, base: own.base });
    }
  }
  for (const [id, own] of Object.entries(plan.models ?? {})) faults.push(...ownFaults(`models.${id}`, own));
  for (const [id, host] of Object.entries(plan.hosts)) {
    if (host.supply !== undefined && !has(plan.supplies, host.supply))
      faults.push({ where: `hosts.${id}.supply`, code: 'missing-supply', got: host.supply });
  }
  const taken = new Map<string, string>();
  for (const [id, cable] of Object.entries(plan.cables)) cableFaults(plan, id, cable, taken, faults);
  if (faults.length === 0) faults.push(...cycles(plan));
  return faults;
}

/** What is wrong in an own model: its base, or a value out of that base's bounds. */
export function ownFaults(where: string, own: OwnModel): PlanFault[] {
  const base = findModel(own.base);
  if (!base) return [{ where: `${where}.base`, code: 'unknown-model', got: own.base }];
  return Object.entries(own.values).flatMap(([name, { min, typ, max }]) =>
    [min, typ, max].flatMap((value): PlanFault[] => {
      const fault = checkSetting(base, name, value);
      return fault ? [{ where: `${where}.values.${name}`, code: 'bad-setting', fault }] : [];
    })
  );
}

function cableFaults(plan: Plan, id: string, cable: Cable, taken: Map<string, string>, faults: PlanFault[]): void {
  cable.plugs.forEach((plug, k) => {
    if (!CABLES[cable.kind].plugs.includes(plug))
      faults.push({
        where: `cables.${id}.plugs.${k}`,
        code: 'bad-plug',
        got: plug,
        choices: CABLES[cable.kind].plugs
      });
  });
  for (const side of ['from', 'to'] as const) {
    const end = cable[side];
    const where = `cables.${id}.${side}`;
    if (!has(plan.devices, end.device)) {
      faults.push({ where, code: 'missing-device', got: end.device });
      continue;
    }
    const model = findModel(plan.devices[end.device].model);
    if (!model) continue;
    const port = portOf(model, end.port);
    if (!port) faults.push({ where, code: 'missing-port', got: end.port });
    else if (port.way !== (side === 'from' ? 'out' : 'in')) faults.push({ where, code: 'wrong-way', got: end.port });
    const key = `${end.device}.${end.port}`;
    const by = taken.get(key);
    if (by !== undefined) faults.push({ where, code: 'port-taken', by });
    taken.set(key, id);
  }
}

/** A signal that comes back to its own device has no far end, so no line would show it. */
function cycles(plan: Plan): PlanFault[] {
  const next = new Map<string, { cable: string; to: string }[]>();
  for (const [id, { from, to }] of Object.entries(plan.cables)) {
    next.set(from.device, [...(next.get(from.device) ?? []), { cable: id, to: to.device }]);
  }
  const state = new Map<string, 'open' | 'done'>();
  for (const start of next.keys()) {
    const stack: { device: string; at: number }[] = [{ device: start, at: 0 }];
    if (state.has(start)) continue;
    state.set(start, 'open');
    while (stack.length > 0) {
      const top = stack[stack.length - 1];
      const step = next.get(top.device)?.[top.at++];
      if (!step) {
        state.set(top.device, 'done');
        stack.pop();
      } else if (state.get(step.to) === 'open') {
        return [{ where: `cables.${step.cable}`, code: 'cycle' }];
      } else if (!state.has(step.to)) {
        state.set(step.to, 'open');
        stack.push({ device: step.to, at: 0 });
      }
    }
  }
  return [];
}
