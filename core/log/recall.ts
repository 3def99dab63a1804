import { applyEdit } from '../plan/edit';
import { diffPlans } from '../plan/diff';
import { copyOf, has } from '../plan/json';
import { resolve } from '../plan/resolved';
import type { Op, Plan } from '../plan/schema';

/**
 * The steps that set lines as they were: what is on them, how it is set, the leads between. Names, channels and what else has been decided
 * about a line since stay; so do supplies and desks.
 * @param now the show as it is
 * @param then the show as it was
 * @param lines ids; of those that are gone in one of the two nothing is set
 * @returns no steps where they are set like that already; null where the show has changed too much since
 */
export function recallOps(now: Plan, then: Plan, lines: readonly string[]): Op[] | null {
  const [is, was] = [resolve(now), resolve(then)];
  const both = lines.filter((id) => is.line(id) && was.line(id));
  if (both.length === 0) return null;
  for (const only of ['plugged', 'set'] as const) {
    const draft = copyOf(now);
    for (const id of both) {
      if (only === 'plugged') plug(draft, now, then, id);
      else set(draft, then, id);
    }
    const ops = diffPlans(now, draft);
    if (ops.length === 0) return [];
    if (applyEdit(now, { ops }).ok) return ops;
  }
  return null;
}

/** The whole chain as it was. What stands on other lines, too, is only set. */
function plug(draft: Plan, now: Plan, then: Plan, id: string): void {
  const [is, was] = [resolve(now).line(id)!, resolve(then).line(id)!];
  const others = resolve(now).lines.filter((l) => l.id !== id);
  const shared = new Set(others.flatMap((l) => [...l.devices, ...l.cables]));
  for (const cable of is.cables) if (!was.cables.includes(cable) && !shared.has(cable)) delete draft.cables[cable];
  for (const device of is.devices)
    if (!was.devices.includes(device) && !shared.has(device)) delete draft.devices[device];
  for (const device of was.devices) {
    const row = copyOf(then.devices[device]);
    // A supply or a desk that is gone cannot be gone back to.
    if (row.supply !== undefined && !has(draft.supplies, row.supply)) delete row.supply;
    if (row.host !== undefined && !has(draft.hosts, row.host)) delete row.host;
    if (row.own !== undefined && !has(draft.models ?? {}, row.own)) delete row.own;
    draft.devices[device] = row;
  }
  for (const cable of was.cables) draft.cables[cable] = copyOf(then.cables[cable]);
}

/** Switches and knobs of what is still there. */
function set(draft: Plan, then: Plan, id: string): void {
  for (const device of resolve(then).line(id)!.devices) {
    const [row, was] = [draft.devices[device], then.devices[device]];
    if (row?.model === was.model) row.settings = copyOf(was.settings);
  }
}
