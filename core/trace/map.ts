// Trace: where hum comes from. The earths of a rig as a map, cures over all of it, and finding a cause by evidence. Solves variants of the plan.

import { earthsOf } from './belief';
import { type MeasuredAgain, measuredAgain } from './measured';
import type { Link } from '../gear/links';
import type { Feed } from '../gear/types';
import type { LineReport } from '../judge/judge';
import { heardSeverity } from '../judge/heard';
import type { Severity } from '../judge/types';
import type { SolvedRig } from '../judge/solved-rig';
import { modelAt, settingsAt } from '../plan/devices';
import { isComplete, type Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Ring, RingBench } from '../rig/loops';

/** A chassis on the map: a host with all its inputs, or a device that stands for itself. */
export interface EarthPoint {
  /** `host:desk` or `device:l-1-src`. */
  readonly id: string;
  readonly feed: Feed;
  /** Null where it has no way to the mains. */
  readonly supply: string | null;
  /** Lines that begin or end here. */
  readonly lines: readonly string[];
  /** Somebody has taken its protective earth away. */
  readonly unearthed: boolean;
}

/** A line's shields from chassis to chassis. */
export interface Thread {
  readonly line: string;
  readonly from: string;
  readonly to: string;
  readonly cables: readonly string[];
  readonly balanced: boolean;
  /** The shield is interrupted on its way: a lifted box, an open end. */
  readonly open: boolean;
}

/** Metal that touches metal: something of a line, and a chassis or what is earthed at a supply. */
export interface Contact {
  /** In the plan's table. */
  readonly id: string;
  readonly line: string;
  /** A chassis of the map, or null where it is a box or a plug on its line's way. */
  readonly from: string | null;
  /** A chassis of the map, or `supply:…`. */
  readonly to: string;
  /** A cable that joins them; null where they touch. */
  readonly by: Link | null;
}

/** A ring with the line it is heard on most. */
export interface EarthRing extends Ring {
  readonly key: string;
  readonly lines: readonly string[];
  /** Chassis in it, by their ids on the map. */
  readonly points: readonly string[];
  /** What the earths of all supplies make at the worst of its inputs, dBu, and how far under the playing, dB. */
  readonly worst: {
    readonly line: string;
    readonly dbu: number;
    readonly below: number;
    /** Under what is heard, dB. */
    readonly margin: number;
  } | null;
  readonly severity: Severity;
}

export interface EarthMap {
  readonly points: readonly EarthPoint[];
  readonly threads: readonly Thread[];
  readonly contacts: readonly Contact[];
  /** Worst at an input first. */
  readonly rings: readonly EarthRing[];
  /** What was measured, in its order, beside what the map says of the same. */
  readonly measured: readonly MeasuredAgain[];
}

/** Chassis that a device is part of. */
const pointOf = (plan: Plan, id: string): string =>
  plan.devices[id].host === undefined ? `device:${id}` : `host:${plan.devices[id].host}`;

/** A box or an adapter without mains of its own is part of a thread, not a chassis of the map. */
function isPoint(plan: Plan, line: Line, id: string): boolean {
  if (id === line.devices[0] || id === line.id) return true;
  const { family } = modelAt(plan, id);
  return family === 'input' || (family === 'box' && settingsAt(plan, id).feed.startsWith('mains'));
}

/** The earths of a rig, with every ring and where it is heard. @param reports of the same plan */
export function earthMap(
  whole: SolvedRig,
  reports: ReadonlyMap<string, LineReport>,
  benches?: Map<string, RingBench | null>
): EarthMap {
  const { plan } = whole;
  const lines = whole.lines.filter((line) => isComplete(plan, line));
  const points = new Map<string, EarthPoint>();
  const take = (device: string, line: string): string => {
    const id = pointOf(plan, device);
    const known = points.get(id);
    points.set(
      id,
      known ? { ...known, lines: [...new Set([...known.lines, line])] } : madePoint(plan, id, device, line)
    );
    return id;
  };
  const threads = lines.flatMap((line) => threadsOf(plan, line, take));
  const rings = new Map<string, EarthRing>();
  for (const ring of whole.rings(benches)) {
    const key = [...ring.cables].sort().join(' ');
    const known = rings.get(key);
    if (!known || ring.ampere > known.ampere) rings.set(key, placed(plan, ring, key, lines, reports, points));
  }
  const sorted = [...rings.values()].sort((a, b) => (a.worst?.below ?? Infinity) - (b.worst?.below ?? Infinity));
  return {
    points: [...points.values()],
    threads,
    contacts: contactsOf(plan, lines, points),
    rings: sorted,
    measured: measuredAgain(plan, {
      ring: (cable) => sorted.find((r) => r.cable === cable || r.cables.includes(cable))?.ampere,
      earths: (line) => earthsOf(reports.get(line))
    })
  };
}

function madePoint(plan: Plan, id: string, device: string, line: string): EarthPoint {
  const { host } = plan.devices[device];
  if (host !== undefined) {
    const { feed, supply } = plan.hosts[host];
    return { id, feed, supply: feed.startsWith('mains') ? (supply ?? null) : null, lines: [line], unearthed: false };
  }
  const read = settingsAt(plan, device);
  const mains = read.feed.startsWith('mains');
  return {
    id,
    feed: read.feed,
    supply: mains ? (plan.devices[device].supply ?? null) : null,
    lines: [line],
    unearthed: read.unearthed
  };
}

/** A line cut at every chassis of its own on its way. */
function threadsOf(plan: Plan, line: Line, take: (device: string, line: string) => string): Thread[] {
  const out: Thread[] = [];
  let from = 0;
  line.devices.forEach((id, k) => {
    if (k === 0 || !isPoint(plan, line, id)) return;
    const cables = line.cables.slice(from, k);
    const between = line.devices.slice(from + 1, k);
    out.push({
      line: line.id,
      from: take(line.devices[from], line.id),
      to: take(id, line.id),
      cables,
      balanced:
        plan.cables[cables[cables.length - 1]]?.kind !== undefined && isBalanced(plan, cables[cables.length - 1]),
      open:
        between.some((b) => settingsAt(plan, b).choice('lift') === 'lifted') ||
        cables.some((c) => plan.cables[c].wiring?.includes('shield-open'))
    });
    from = k;
  });
  return out;
}

function contactsOf(plan: Plan, lines: readonly Line[], points: ReadonlyMap<string, EarthPoint>): Contact[] {
  return Object.entries(plan.touches ?? {}).flatMap(([id, { a, b, by }]) => {
    const [kind, of] = a.split(':');
    const line = lines.find((l) => (kind === 'cable' ? l.cables : l.devices).includes(of));
    if (!line) return [];
    const [other, to] = b.split(':');
    const far = other === 'device' ? plan.devices[to] && pointOf(plan, to) : b;
    const there = far && (other === 'supply' ? to in plan.supplies : points.has(far));
    if (!there) return [];
    const near = kind === 'device' ? pointOf(plan, of) : '';
    return [{ id, line: line.id, from: points.has(near) ? near : null, to: far, by: by ?? null }];
  });
}

function isBalanced(plan: Plan, cable: string): boolean {
  const { from } = plan.cables[cable];
  const port = modelAt(plan, from.device).ports.find((p) => p.id === from.port);
  return port?.carries === 'balanced';
}

function placed(
  plan: Plan,
  ring: Ring,
  key: string,
  lines: readonly Line[],
  reports: ReadonlyMap<string, LineReport>,
  known: ReadonlyMap<string, EarthPoint>
): EarthRing {
  const on = lines.filter((line) => line.cables.some((c) => ring.cables.includes(c)));
  const heard = on.flatMap((line) => {
    const hum = reports.get(line.id)?.hum;
    const earths = hum?.byKind.find((k) => k.kind === 'earths');
    if (!hum || !earths) return [];
    return [{ line: line.id, dbu: earths.dbu, below: hum.below + hum.dbu - earths.dbu, margin: earths.margin }];
  });
  const worst = heard.sort((a, b) => a.margin - b.margin || a.below - b.below)[0] ?? null;
  const ends = ring.cables.flatMap((c) => [plan.cables[c].from.device, plan.cables[c].to.device]);
  return {
    ...ring,
    key,
    lines: on.map((l) => l.id),
    // A box on its way is no chassis of its own.
    points: [...new Set([...ends.map((id) => pointOf(plan, id)), ...ring.hosts.map((h) => `host:${h}`)])].filter((id) =>
      known.has(id)
    ),
    worst,
    severity: worst ? heardSeverity(worst.margin, worst.below).severity : 'clean'
  };
}
