import { resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import type { Known } from './tokens';

/** What a show has that its lines may speak of: supplies, and lines that a new one may leave. */
export const namesOf = (plan: Plan): Known => ({
  supplies: Object.entries(plan.supplies).map(([id, { name }]) => ({ id, name })),
  lines: resolve(plan).lines.flatMap(({ id, devices, info }) =>
    info ? [{ id, name: info.name, model: plan.devices[devices[0]].model }] : []
  )
});
