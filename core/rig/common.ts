import { modelAt } from '../plan/devices';
import { magnitude, type System } from '../solver/system';

import type { Plan } from '../plan/schema';
import { toDb } from '../units/quantity';
import type { Rig } from './builder';
import { signalNodes } from './compile';

/** More rejection than this is rounding, dB. */
const MOST_DB = 160;

/**
 * Rejection of a balanced stretch at the mains frequency: an EMF in series with both cores alike, as a difference between the
 * grounds at its ends is, over what of it stands between the legs at the far end.
 */
export function commonMode(plan: Plan, rig: Rig, system: System, cable: string): number {
  const { to } = plan.cables[cable];
  const nodes = rig.ports.get(`${to.device}.${to.port}`)!;
  const [p, q] = signalNodes(modelAt(plan, to.device), to.port, nodes);
  const source = rig.hums.find((s) => s.kind === 'cable' && s.of === cable)!;
  const drives = source.parts
    .filter((part) => part.core)
    .map(({ a, b, ohm, share = 1 }) => ({ a, b, ampere: [share / ohm!, 0] as const }));
  const solved = system.at(plan.policy.mainsHz).solveCurrents(drives);
  const across = magnitude(solved.voltage(p, q));
  return across > 0 ? Math.min(toDb(1 / across), MOST_DB) : MOST_DB;
}
