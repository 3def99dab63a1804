import { applyEdit } from '../plan/edit';
import { diffPlans } from '../plan/diff';
import { copyOf, same } from '../plan/json';
import type { Json, Op, Plan } from '../plan/schema';
import { nameKey } from '../text/names';
import { type KnownLevel, knownLevels, knownRuns, type KnownRun } from './line-sockets';
import type { Venue } from './schema';

/** A show and a place meet: what the place knows goes into the show, what the show has found goes into the place. */

type Supply = Plan['supplies'][string];

/** A supply without what is of one show alone: what was planned before it was measured there. */
function lasting({ planned: _, ...rest }: Supply): Supply {
  return rest;
}

/** An EMF that was measured once is not known better than within this factor on another day: loads come and go. Our own estimate. */
const ANOTHER_DAY = 1.5;
/** A supply as another day’s measurement lets one believe it: narrower than a guess, wider than a reading. */
function otherDay(supply: Supply): Supply {
  const { spread } = supply;
  return spread === undefined ? lasting(supply) : { ...lasting(supply), spread: Math.max(spread, ANOTHER_DAY) };
}

export interface Meeting {
  /** The steps that make the show's supplies, mains and room those of the place; none where they are; null where they cannot be. */
  readonly ops: readonly Op[] | null;
  /** Supplies of the show that the place does not know: these are to be asked about. */
  readonly unknown: readonly string[];
  /** Supplies of the place that the show says otherwise: a measurement, or a plan. */
  readonly otherwise: readonly string[];
  /** Supplies of the place that the show does not have. */
  readonly brings: readonly string[];
  /** Lines whose last run is as long as nobody planned. */
  readonly runs: readonly KnownRun[];
  /** Lines whose input takes more or less there than is planned. */
  readonly levels: readonly KnownLevel[];
  /** The room or the mains is planned otherwise. */
  readonly room: boolean;
}

/** @param newId a fresh id for a supply that the show does not have yet */
export function meet(plan: Plan, venue: Venue, newId: () => string): Meeting {
  const draft = copyOf(plan);
  const known = new Map(venue.supplies.map((s) => [nameKey(s.name), s]));
  const met = new Set<string>();
  const unknown: string[] = [];
  const otherwise: string[] = [];
  for (const [id, supply] of Object.entries(plan.supplies)) {
    const there = known.get(nameKey(supply.name));
    if (!there) {
      unknown.push(supply.name);
      continue;
    }
    met.add(nameKey(supply.name));
    // What was measured here today is nearer to today than any other day’s measurement.
    if (supply.planned) continue;
    const was = otherDay(there);
    if (same(lasting(supply) as unknown as Json, was as unknown as Json)) continue;
    otherwise.push(supply.name);
    draft.supplies[id] = { ...was, name: supply.name };
  }
  const brought = venue.supplies.filter((s) => !met.has(nameKey(s.name)));
  for (const supply of brought) draft.supplies[newId()] = otherDay(supply);
  draft.policy = {
    ...draft.policy,
    mainsHz: venue.mainsHz,
    ...(venue.room ? { room: venue.room, outdoors: venue.room === 'outdoors' || undefined } : {})
  };
  if (draft.policy.outdoors === undefined) delete draft.policy.outdoors;
  const runs = knownRuns(plan, venue);
  for (const { cable, known: metres } of runs) draft.cables[cable] = { ...draft.cables[cable], metres };
  const levels = knownLevels(plan, venue);
  for (const { line, volts } of levels) {
    const input = draft.devices[line.id];
    draft.devices[line.id] = { ...input, settings: { ...input.settings, clip: volts } };
  }
  const ops = diffPlans(plan, draft);
  return {
    ops: ops.length === 0 || applyEdit(plan, { ops }).ok ? ops : null,
    ...{ unknown, otherwise, brings: brought.map((s) => s.name), runs, levels },
    room: ops.some((op) => op.table === 'policy')
  };
}

/** The place after a show was there: its supplies as that show has them, those that it did not use as they were. */
export function learn(venue: Venue, plan: Plan): Venue {
  const own = new Map(Object.values(plan.supplies).map((s) => [nameKey(s.name), lasting(s)]));
  const kept = venue.supplies.filter((s) => !own.has(nameKey(s.name)));
  return {
    ...venue,
    mainsHz: plan.policy.mainsHz,
    room: plan.policy.room ?? venue.room,
    supplies: [...own.values(), ...kept]
  };
}
