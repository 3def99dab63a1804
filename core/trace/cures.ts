import type { Link } from '../gear/links';
import { candidates } from '../advise/changes';
import type { RemedyWhat } from '../advise/change';
import { costOf } from '../gear/cost';
import { modelOf } from '../gear/catalogue';
import { judgeWhole, type LineReport } from '../judge/judge';
import { mixOf } from '../judge/mix';
import { rank, type Severity } from '../judge/types';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { diffPlans } from '../plan/diff';
import { planFaults } from '../plan/integrity';
import { copyOf } from '../plan/json';
import type { Line } from '../plan/lines';
import type { Op, Plan } from '../plan/schema';
import type { EarthRing } from './map';

/** What would quieten a ring, ranked by what the whole rig then puts on the mix. Protective earth is never among it. */

export type CureWhat =
  | RemedyWhat
  | { readonly code: 'host-supply'; readonly host: string; readonly name: string }
  | { readonly code: 'insulate' }
  | { readonly code: 'unlink'; readonly by: Link };

export interface Cure {
  readonly what: readonly CureWhat[];
  /** Line that it is made on; null where it is made for the whole desk, or on several. */
  readonly line: string | null;
  /** Lines that the same is done on, where they are several. */
  readonly lines: readonly string[];
  readonly ops: readonly Op[];
  /** Hum at the worst input of the ring, dB under its playing. */
  readonly before: number;
  readonly after: number;
  /** Hum of all lines together at the mix, dB under one channel's playing. */
  readonly mixBefore: number;
  readonly mixAfter: number;
  /** What has to be had for it, as a class of cost; 0 where it is only a matter of hands. */
  readonly cost: number;
  /** Other lines that hum less by it, most first, dB. */
  readonly better: readonly { line: string; humDb: number }[];
  /** Lines whose verdict is worse for it, or that hum more. */
  readonly worse: readonly { line: string; before: Severity; after: Severity; humDb: number }[];
}

const MOST = 6;
/** More kinds of box than these are no more choice. */
const BOXES = 3;
/** A cure that brings less than this at the worst input is none, dB. */
const LEAST_DB = 3;
/** Hum of another line that moves less than this is not told, dB. */
const TOLD_DB = 3;
/** Changes that bear on earths and shields. */
const BEARS: ReadonlySet<RemedyWhat['code']> = new Set([
  'box',
  'setting',
  'isolate',
  'supply',
  'feed',
  'wiring',
  'shorter',
  'move-box',
  'way',
  'plugs',
  'lead'
]);
const SWITCHES: ReadonlySet<string> = new Set(['lift', 'power']);

/** Changes that are made on one line after the other just the same. */
const ALIKE: ReadonlySet<CureWhat['code']> = new Set(['setting', 'isolate', 'wiring', 'feed']);
/** So many changes are tried on all lines of a loop's kind: each is the whole rig once more. */
const GROUPS = 3;

interface Change {
  readonly what: readonly CureWhat[];
  readonly line: string | null;
  readonly lines?: readonly string[];
  readonly apply: (draft: Plan) => void;
}

/**
 * Cures of a ring, best first: each is applied to a copy and the whole rig solved again, pieces that it does not touch not anew.
 * @param pieces what is known of the plan
 */
export function curesFor(plan: Plan, ring: EarthRing, reports: readonly LineReport[], pieces: Pieces): Cure[] {
  const steps = curesInSteps(plan, ring, reports, pieces);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** As `curesFor`, one change tried at every step: whoever waits for something else can come between. */
export function* curesInSteps(
  plan: Plan,
  ring: EarthRing,
  reports: readonly LineReport[],
  pieces: Pieces
): Generator<undefined, Cure[]> {
  if (!ring.worst) return [];
  const { line } = ring.worst;
  const known = new Map(reports.map((r) => [r.id, r]));
  const before = known.get(line)!.hum!.below;
  const mixBefore = mixOf(reports).hum ?? 0;
  const singles: Tried[] = [];
  for (const change of changesFor(plan, ring)) {
    const tried = tryChange(plan, change, pieces);
    if (tried) singles.push({ change, ...tried });
    yield;
  }
  // A box alone leaves the ring closed; with its ground lifted it does not.
  const lifted: Tried[] = [];
  for (const { change, plan: with_ } of singles) {
    if (!change.what.some((w) => w.code === 'box' || w.code === 'isolate' || w.code === 'way')) continue;
    for (const lift of liftsOn(with_, change.line)) {
      const both: Change = {
        what: [...change.what, ...lift.what],
        line: change.line,
        apply: (draft) => {
          change.apply(draft);
          lift.apply(draft);
        }
      };
      const tried = tryChange(plan, both, pieces);
      if (tried) lifted.push({ change: both, ...tried });
      yield;
    }
  }
  // Where several lines close a loop between the same supplies, one of them opened leaves the others.
  const groups: Tried[] = [];
  const alike = [...singles, ...lifted]
    .filter(({ change: { what }, after }) => {
      const now = after.find((r) => r.id === line)?.hum?.below;
      return what.every((w) => ALIKE.has(w.code)) && now !== undefined && now - before >= LEAST_DB;
    })
    .sort((a, b) => (mixOf(b.after).hum ?? 0) - (mixOf(a.after).hum ?? 0));
  const closing = alike.length > 0 ? closingLines(plan, ring, pieces) : [];
  for (const { change } of alike.slice(0, GROUPS)) {
    const all = onAll(plan, closing, change);
    const tried = all && tryChange(plan, all, pieces);
    if (tried) groups.push({ change: all, ...tried });
    yield;
  }
  const seen = new Set<string>();
  return [...singles, ...lifted, ...groups]
    .flatMap(({ change, ops, after }): Cure[] => {
      const now = new Map(after.map((r) => [r.id, r]));
      const worst = now.get(line)?.hum?.below;
      if (worst === undefined || worst - before < LEAST_DB) return [];
      const key = JSON.stringify(ops);
      if (seen.has(key)) return [];
      seen.add(key);
      return [
        {
          what: change.what,
          line: change.line,
          lines: change.lines ?? [],
          ops,
          before,
          after: worst,
          mixBefore,
          mixAfter: mixOf(after).hum ?? 0,
          cost: change.what.reduce((sum, w) => sum + priceOf(w), 0) * (change.lines?.length ?? 1),
          better: reports
            .map((was) => ({ line: was.id, humDb: (now.get(was.id)?.hum?.below ?? 0) - (was.hum?.below ?? 0) }))
            .filter((b) => b.line !== line && b.humDb > TOLD_DB)
            .sort((a, b) => b.humDb - a.humDb),
          worse: reports.flatMap((was) => {
            const is = now.get(was.id);
            if (!is) return [];
            const humDb = (is.hum?.below ?? 0) - (was.hum?.below ?? 0);
            const worse = rank(is.severity) > rank(was.severity) || humDb < -TOLD_DB;
            return worse ? [{ line: was.id, before: was.severity, after: is.severity, humDb }] : [];
          })
        }
      ];
    })
    .sort((a, b) => scoreOf(b) - scoreOf(a))
    .filter(
      (
        (boxes) => (c) =>
          !c.what.some((w) => w.code === 'box') || boxes++ < BOXES
      )(0)
    )
    .slice(0, MOST);
}

/** Decibels won over all inputs, less what it costs and whom it disturbs. */
const scoreOf = (c: Cure): number =>
  Math.min(c.mixAfter, 90) -
  c.mixBefore +
  0.3 * (Math.min(c.after, 100) - c.before) -
  2 * c.cost -
  6 * c.worse.length -
  c.what.length;

function priceOf(what: CureWhat): number {
  const boxes =
    what.code === 'box' ? [what.model] : what.code === 'isolate' ? ['isolator'] : what.code === 'way' ? what.boxes : [];
  return boxes.reduce((sum, id) => sum + costOf(id, modelOf(id).family), 0);
}

function changesFor(plan: Plan, ring: EarthRing): Change[] {
  const whole = new SolvedRig(plan);
  const on = whole.lines.filter((l) => ring.lines.includes(l.id));
  const singles = on.flatMap((line) =>
    candidates(plan, line)
      .filter(({ what }) => BEARS.has(what.code) && (what.code !== 'setting' || SWITCHES.has(what.setting)))
      .map(({ what, apply }): Change => ({ what: [what], line: line.id, apply }))
  );
  const hosts = ring.hosts.flatMap((host) =>
    ring.supplies
      .filter((supply) => supply !== plan.hosts[host]?.supply)
      .map((supply): Change => ({
        what: [{ code: 'host-supply', host: plan.hosts[host].name, name: plan.supplies[supply].name }],
        line: null,
        apply: (draft) => {
          draft.hosts[host].supply = supply;
        }
      }))
  );
  const apart = ring.touches.map((id): Change => ({
    what: [linkOf(plan, id)],
    line: ring.worst?.line ?? null,
    apply: (draft) => void delete draft.touches?.[id]
  }));
  return [...singles, ...hosts, ...apart];
}

/** Lines that close a loop between the same supplies. */
function closingLines(plan: Plan, ring: EarthRing, pieces: Pieces): Line[] {
  const whole = new SolvedRig(plan, new Map(pieces));
  const supplies = (of: readonly string[]): string => [...of].sort().join(' ');
  const cables = new Set(
    whole.rings().flatMap((r) => (supplies(r.supplies) === supplies(ring.supplies) ? r.cables : []))
  );
  return whole.lines.filter((l) => l.cables.some((c) => cables.has(c)));
}

/** A change made on every one of some lines that can be changed just so; null where that is one line. */
function onAll(plan: Plan, lines: readonly Line[], change: Change): Change | null {
  const wanted = change.what.map((w) => JSON.stringify(w));
  const made = lines.flatMap((l) => {
    const all = candidates(plan, l);
    const parts = wanted.map((w) => all.find(({ what }) => JSON.stringify(what) === w));
    return parts.every((p) => p !== undefined) ? [{ line: l.id, parts }] : [];
  });
  if (made.length < 2) return null;
  return {
    what: change.what,
    line: null,
    lines: made.map((m) => m.line),
    apply: (draft) => made.forEach(({ parts }) => parts.forEach((p) => p!.apply(draft)))
  };
}

/** Metal is kept apart; a link that is wanted is made without its shield. */
function linkOf(plan: Plan, id: string): CureWhat {
  const by = plan.touches?.[id]?.by;
  return by ? { code: 'unlink', by } : { code: 'insulate' };
}

const liftsOn = (plan: Plan, lineId: string | null): Change[] => {
  const line = new SolvedRig(plan).lines.find((l) => l.id === lineId);
  if (!line) return [];
  return candidates(plan, line)
    .filter(({ what }) => what.code === 'setting' && what.setting === 'lift' && what.value === 'lifted')
    .map(({ what, apply }) => ({ what: [what], line: line.id, apply }));
};

/** A change with the plan that it makes and what the whole rig then does. */
interface Tried {
  readonly change: Change;
  readonly plan: Plan;
  readonly ops: Op[];
  readonly after: LineReport[];
}

function tryChange(plan: Plan, change: Change, pieces: Pieces): Omit<Tried, 'change'> | null {
  const draft = copyOf(plan);
  change.apply(draft);
  const ops = diffPlans(plan, draft);
  if (ops.length === 0 || planFaults(draft).length > 0) return null;
  return { plan: draft, ops, after: judgeWhole(new SolvedRig(draft, new Map(pieces))) };
}
