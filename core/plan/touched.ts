import { resolve } from './resolved';
import type { Op, Plan } from './schema';

/**
 * Lines that an edit is about: those named in it, and those that have something in their chain that it adds or changes.
 * @param plan as it is after the edit
 */
export function linesTouched(plan: Plan, ops: readonly Op[]): string[] {
  const of = (table: Op['table']): Set<string> => new Set(ops.filter((op) => op.table === table).map((op) => op.id));
  const [devices, cables, named] = [of('devices'), of('cables'), of('lines')];
  return resolve(plan)
    .lines.filter(
      (l) => named.has(l.id) || l.devices.some((d) => devices.has(d)) || l.cables.some((c) => cables.has(c))
    )
    .map((l) => l.id);
}
