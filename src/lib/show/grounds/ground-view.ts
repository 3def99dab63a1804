import { formatNumber } from '$core/units/format';
import type { Contact, EarthMap, EarthPoint, EarthRing, Thread } from '$core/trace/map';
import type { Plan } from '$core/plan/schema';
import { modelShort } from '$core/words/names';

/** Where the parts of an earth map stand on the screen. Pure: sizes in, places out. */

export const POINT_Y = 268;
export const BAR_Y = 396;
export const HEIGHT = 482;
const TOP = 18;
const LEAST_COLUMN = 58;
/** More chassis than this in one group and those that nothing is heard of stand together. */
const CROWD = 6;

interface PlacedPoint {
  /** Chassis that stand here: one, or quiet ones together. */
  readonly points: readonly EarthPoint[];
  readonly id: string;
  readonly x: number;
  readonly wide: number;
  /** Nothing is heard of any of them. */
  readonly quiet: boolean;
  /** Where they all are; empty where that is not said, or not the same. */
  readonly place: string;
}
interface PlacedSupply {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly wide: number;
}
interface PlacedThread extends Thread {
  readonly path: string;
  /** The two ends of its gap, when it is open. */
  readonly gap: readonly [x1: number, y1: number, x2: number, y2: number] | null;
  readonly ring: EarthRing | null;
  /** Middles of the chassis at its ends. */
  readonly ends: readonly [number, number];
  /** Middle of its way. */
  readonly top: readonly [x: number, y: number];
}
interface PlacedContact extends Contact {
  readonly path: string;
  readonly ends: readonly [x1: number, y1: number, x2: number, y2: number];
  readonly ring: EarthRing | null;
}
export interface EarthView {
  readonly width: number;
  readonly supplies: readonly PlacedSupply[];
  readonly points: readonly PlacedPoint[];
  readonly threads: readonly PlacedThread[];
  readonly contacts: readonly PlacedContact[];
}

/**
 * The picture as a whole where there is room; where there is not, others than the chosen ring's stand together, by place or all of a supply.
 * @param width of the screen's part, pixels
 * @param apart chassis of crowds that somebody has opened: then there is no room to be saved
 * @param focus chassis that are looked at, those of the chosen ring
 */
export function earthView(
  plan: Plan,
  map: EarthMap,
  width: number,
  apart: ReadonlySet<string>,
  focus: ReadonlySet<string> = new Set()
): EarthView {
  const ringed = new Set(map.rings.filter((r) => r.severity !== 'clean').flatMap((r) => r.points));
  const touching = new Set(map.contacts.flatMap((c) => [c.from, c.to]));
  const always = (p: EarthPoint): boolean => apart.has(p.id) || focus.has(p.id) || p.id.startsWith('host:');
  const place = (stands: (p: EarthPoint) => boolean, byPlace: boolean): EarthView =>
    placed(plan, map, width, stands, byPlace, ringed);
  const whole = place((p) => always(p) || ringed.has(p.id) || touching.has(p.id), true);
  if (whole.width <= width || focus.size === 0 || apart.size > 0) return whole;
  const focused = place(always, true);
  return focused.width <= width ? focused : place(always, false);
}

function placed(
  plan: Plan,
  map: EarthMap,
  width: number,
  stands: (p: EarthPoint) => boolean,
  byPlace: boolean,
  ringed: ReadonlySet<string>
): EarthView {
  const groups = [null, ...Object.keys(plan.supplies)].map((supply) => {
    const here = map.points.filter((p) => p.supply === supply);
    const quiet = here.filter((p) => !stands(p));
    const crowded = supply === null ? quiet.length > 2 : here.length > CROWD && quiet.length > 1;
    const crowds = crowded ? (byPlace ? crowdsOf(plan, quiet) : [quiet]) : [];
    const own = here.filter((p) => !crowds.some((c) => c.includes(p)));
    // The desk last: threads come to it from the left, as they do on a stage.
    own.sort((a, b) => Number(a.id.startsWith('host:')) - Number(b.id.startsWith('host:')));
    return { supply, cells: [...crowds, ...own.map((p) => [p])] };
  });
  const shown = groups.filter((g) => g.cells.length > 0 || g.supply !== null);
  // A supply has to have room for its name.
  const weights = shown.map((g) => Math.max(wideOf(g.cells), g.supply === null ? 1 : 1.5));
  const total = weights.reduce((a, b) => a + b, 0) + 0.35 * (shown.length - 1);
  const column = Math.max(width / total, LEAST_COLUMN);
  const supplies: PlacedSupply[] = [];
  const points: PlacedPoint[] = [];
  let x = 0;
  shown.forEach(({ supply, cells }, k) => {
    const wide = weights[k] * column;
    if (supply !== null)
      supplies.push({ id: supply, name: plan.supplies[supply].name, x: x + wide / 2, wide: wide - 8 });
    let at = x + (wide - wideOf(cells) * column) / 2;
    for (const cell of cells) {
      const w = weight(cell) * column;
      points.push({
        points: cell,
        id: cell[0].id,
        x: at + w / 2,
        wide: w - 8,
        quiet: !cell.some((p) => ringed.has(p.id)),
        place: cell.every((p) => placeOf(plan, p) === placeOf(plan, cell[0])) ? placeOf(plan, cell[0]) : ''
      });
      at += w;
    }
    x += wide + 0.35 * column;
  });
  const threads = placeThreads(map, points);
  return {
    width: Math.max(width, x - 0.35 * column),
    supplies,
    points,
    threads,
    contacts: placeContacts(map, points, threads, supplies)
  };
}

/** What a line, a host or a chassis of the map is called. @param id a line's, or a point's: `host:desk`, `device:l-1-src` */
export function earthName(plan: Plan, map: EarthMap | null, id: string): string {
  if (plan.lines[id]) return plan.lines[id].name;
  const [kind, of] = id.split(':');
  if (kind === 'host') return plan.hosts[of]?.name ?? of;
  const at = map?.points.find((p) => p.id === id);
  const line = plan.lines[at?.lines[0] ?? ''];
  const ends = at?.lines.includes(of);
  return ends ? `${line?.name ?? ''} ${modelShort(plan.devices[of]?.model ?? '')}` : (line?.name ?? of);
}

/** Where on stage a chassis stands, as its line says. */
const placeOf = (plan: Plan, point: EarthPoint): string => plan.lines[point.lines[0]]?.place ?? '';

/** Quiet chassis together by where they stand; whoever is alone at his place stands with those of no place. */
function crowdsOf(plan: Plan, quiet: readonly EarthPoint[]): EarthPoint[][] {
  const places = new Set(quiet.map((p) => placeOf(plan, p)).filter(Boolean));
  const crowds = [...places].map((at) => quiet.filter((p) => placeOf(plan, p) === at)).filter((c) => c.length > 1);
  const rest = quiet.filter((p) => !crowds.some((c) => c.includes(p)));
  return rest.length > 0 ? [...crowds, rest] : crowds;
}

/** A point of a thread, from 0 at its beginning to 1 at its end. */
const along = (x1: number, x2: number, y: number, high: number, t: number): [number, number] => [
  x1 + (x2 - x1) * (3 * t * t - 2 * t ** 3),
  y - 3 * high * t * (1 - t)
];
const wideOf = (cells: readonly (readonly EarthPoint[])[]): number => cells.reduce((sum, c) => sum + weight(c), 0);
const weight = (cell: readonly EarthPoint[]): number =>
  cell.length > 1 ? 1.2 : cell[0].id.startsWith('host:') && cell[0].lines.length > 4 ? 1.7 : 1;

function placeThreads(map: EarthMap, points: readonly PlacedPoint[]): PlacedThread[] {
  const place = new Map(points.flatMap((p) => p.points.map((q) => [q.id, p] as const)));
  const ends = map.threads.map((t) => ({ t, from: place.get(t.from)!, to: place.get(t.to)! }));
  // Quiet ones that stand together go to the desk as one thread.
  const seen = new Set<string>();
  const drawn = ends.filter(({ t, from, to }) => {
    if (from === to) return false;
    const crowd = from.points.length > 1 || to.points.length > 1;
    const key = crowd ? `${from.id} ${to.id}` : t.line + t.cables.join();
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
  // Threads that meet at one chassis are spread over its width, the farthest outermost.
  const spread = (of: PlacedPoint, other: PlacedPoint): number => {
    const all = drawn
      .filter((d) => d.from === of || d.to === of)
      .map((d) => (d.from === of ? d.to.x : d.from.x))
      .sort((a, b) => b - a);
    const k = all.indexOf(other.x);
    return all.length < 2 ? 0 : ((k + 0.5) / all.length - 0.5) * Math.min(of.wide - 16, all.length * 12);
  };
  return drawn.map(({ t, from, to }) => {
    const [x1, x2] = [from.x + spread(from, to), to.x + spread(to, from)];
    const y = POINT_Y;
    const high = Math.min(50 + Math.abs(x2 - x1) * 0.36, y - TOP) / 0.75;
    return {
      ...t,
      path: `M${x1} ${y}C${x1} ${y - high} ${x2} ${y - high} ${x2} ${y}`,
      // Of a crowd one thread stands for all: what is lifted in it is not told.
      gap:
        t.open && from.points.length === 1 && to.points.length === 1
          ? [...along(x1, x2, y, high, 0.14), ...along(x1, x2, y, high, 0.19)]
          : null,
      ends: [from.x, to.x],
      top: along(x1, x2, y, high, 0.5),
      ring: map.rings.find((r) => t.cables.some((c) => r.cables.includes(c))) ?? null
    };
  });
}

/** Of a chassis a contact goes out beside its earth, of a box or a plug from the top of its thread; to a bar straight down, to a chassis below both. */
function placeContacts(
  map: EarthMap,
  points: readonly PlacedPoint[],
  threads: readonly PlacedThread[],
  supplies: readonly PlacedSupply[]
): PlacedContact[] {
  const OFF = 14;
  const standing = (id: string): PlacedPoint | undefined => points.find((p) => p.points.some((q) => q.id === id));
  return map.contacts.flatMap((contact): PlacedContact[] => {
    const from = contact.from === null ? undefined : standing(contact.from);
    const thread = threads.find((t) => t.line === contact.line);
    const start = from ? ([from.x + OFF, POINT_Y + 32] as const) : thread?.top;
    const bar = supplies.find((s) => `supply:${s.id}` === contact.to);
    const to = bar ?? standing(contact.to);
    if (!start || !to) return [];
    const [x1, y1] = start;
    const half = to.wide / 2 - 6;
    const x2 = bar ? Math.min(Math.max(x1, to.x - half), to.x + half) : to.x - OFF;
    const y2 = bar ? BAR_Y : POINT_Y + 32;
    const below = POINT_Y + 62;
    return [
      {
        ...contact,
        path: from || !bar ? `M${x1} ${y1}V${below}H${x2}V${y2}` : `M${x1} ${y1}L${x2} ${y2}`,
        ends: [x1, y1, x2, y2],
        ring: map.rings.find((r) => r.touches.includes(contact.id)) ?? null
      }
    ];
  });
}

/** How far under the signal something is, with its unit. */
export const below = (db: number): string => `${formatNumber(db)}\u202FdB`;
