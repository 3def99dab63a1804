import { FURTHER } from './branch';
import type { Line } from './lines';
import type { Plan } from './schema';
import type { CableSpec, DeviceSpec } from './spec';
import { writeWay } from './write';

/** A whole way from a source to an input: `cables[k]` joins `devices[k]` to `devices[k + 1]`. */
export interface Chain {
  readonly devices: readonly DeviceSpec[];
  readonly cables: readonly CableSpec[];
}

/** A planned line as such a chain. */
export function chainOf(plan: Plan, line: Line): Chain {
  return {
    devices: line.devices.map((id) => {
      const { model, settings, supply } = plan.devices[id];
      return { model, settings, ...(supply ? { supply } : {}) };
    }),
    cables: line.cables.map((id) => {
      const { kind, metres, couplers, plugs, wiring, settings } = plan.cables[id];
      return {
        kind,
        metres,
        plugs,
        ...(couplers ? { couplers } : {}),
        ...(wiring ? { wiring } : {}),
        ...(settings ? { settings } : {})
      };
    })
  };
}

/** Whether nothing else hangs on the line, nor it on another: no thru, no split, no second input. Only then may its middle be exchanged. */
export function standsAlone(plan: Plan, line: Line): boolean {
  if (line.cables.some((id) => FURTHER.has(plan.cables[id].from.port))) return false;
  const mine = new Set(line.devices);
  const own = new Set(line.cables);
  return Object.entries(plan.cables).every(
    ([id, { from, to }]) => own.has(id) || (!mine.has(from.device) && !mine.has(to.device))
  );
}

/**
 * Puts a line onto another way (draft changed in place). Its ends keep their ids, name and channel; devices and cables in the
 * middle keep theirs as far as there are as many, so that a small change is a small edit.
 * @param newId gives a fresh id for a role
 * @param leaves socket by which the chain leaves its first device, where it is not the usual one
 */
export function putChain(
  draft: Plan,
  line: Line,
  chain: Chain,
  newId: (role: string) => string,
  leaves?: string
): void {
  const last = chain.devices.length - 1;
  const oldMiddle = line.devices.slice(1, -1);
  const ids = chain.devices.map((_, k) =>
    k === 0 ? line.devices[0] : k === last ? line.id : (oldMiddle[k - 1] ?? newId('mid'))
  );
  const cableIds = chain.cables.map((_, k) => line.cables[k] ?? newId('run'));
  for (const id of oldMiddle.slice(last - 1)) {
    delete draft.devices[id];
    delete draft.lines[id];
  }
  for (const id of line.cables.slice(chain.cables.length)) delete draft.cables[id];
  writeWay(draft, { devices: chain.devices, ids, cables: chain.cables, cableIds, leaves });
}
