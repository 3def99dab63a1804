import type { Plan } from '../plan/schema';

/** An id for a new part of a line that none of the plans has yet: `LINE-ROLE1`, `LINE-ROLE2` …, at most 40 characters. */
export function freshId(plans: readonly Plan[], line: string, role: string, from = 1): string {
  for (let k = from; ; k++) {
    const id = `${line}-${role}${k}`.slice(-40);
    if (!plans.some((p) => id in p.devices || id in p.cables)) return id;
  }
}
