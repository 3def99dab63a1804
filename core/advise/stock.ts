import { resolve } from '../plan/resolved';
import { modelOf } from '../gear/catalogue';
import type { CableKindId } from '../gear/cables';
import type { Plug } from '../gear/sockets';
import { type Line, timesOf, together } from '../plan/lines';
import type { Cable, Plan } from '../plan/schema';
import { type Kit, unitOf } from '../kit/schema';

/** What a way of a line takes out of the kit. */
export interface Part {
  /** A model; or a lead's kind with its plugs, as `lead:mic:xlr-xlr`; or `battery`. */
  readonly what: string;
  /** Of a lead, metres; 0 of everything else. */
  readonly metres: number;
}

/** Leads of one kind are told apart by their plugs, whichever way round they lie. */
export const leadKey = (kind: CableKindId, plugs: readonly [Plug, Plug]): string =>
  `lead:${kind}:${[...plugs].sort().join('-')}`;

/** Shorter than this a cable is the device's own tail, metres. */
const TAIL = 0.5;

const leadPart = ({ kind, plugs, metres, couplers }: Cable): Part[] => {
  // The house's multicore and a tail that belongs to its device are not carried.
  if (kind === 'multicore' || metres < TAIL) return [];
  const pieces = (couplers ?? 0) + 1;
  return Array.from({ length: pieces }, () => ({ what: leadKey(kind, plugs), metres: metres / pieces }));
};

/** Everything between source and input that somebody has to bring. Sources and inputs are there already. */
export function partsOf(plan: Plan, devices: readonly string[], cables: readonly string[]): Part[] {
  const parts: Part[] = [];
  for (const id of devices) {
    const { model, settings } = plan.devices[id];
    const { family } = modelOf(model);
    if (family !== 'box' && family !== 'joint') continue;
    parts.push({ what: model, metres: 0 });
    if (settings.power === 'battery') parts.push({ what: 'battery', metres: 0 });
  }
  for (const id of cables) parts.push(...leadPart(plan.cables[id]));
  return parts;
}

/** What there is of everything; leads by their lengths, longest first. */
export class Stock {
  readonly #counts = new Map<string, number>();
  readonly #lengths = new Map<string, number[]>();

  /** Of what works: what is suspect or in repair is not planned with. @param kit null when anything can be had */
  constructor(readonly kit: Kit | null) {
    for (const item of Object.values(kit ?? {})) {
      if (item.condition !== 'works') continue;
      if (item.kind === 'lead') {
        const key = leadKey(item.cable, item.plugs);
        const list = this.#lengths.get(key) ?? [];
        for (let k = 0; k < item.count; k++) list.push(item.metres);
        this.#lengths.set(key, list);
      } else {
        const key = item.kind === 'device' ? item.model : 'battery';
        this.#counts.set(key, (this.#counts.get(key) ?? 0) + item.count);
      }
    }
    for (const list of this.#lengths.values()) list.sort((a, b) => b - a);
  }

  /** How many there are; of a lead, that are at least so long. Infinity when anything can be had. */
  count({ what, metres }: Part): number {
    if (!this.kit) return Infinity;
    if (!what.startsWith('lead:')) return this.#counts.get(what) ?? 0;
    return this.lengths(what).filter((l) => l >= metres).length;
  }

  /** Lengths there are of a kind of lead, longest first. */
  lengths(what: string): readonly number[] {
    return this.#lengths.get(what) ?? [];
  }

  /** The shortest lead that reaches, metres; null when none does or anything can be had. */
  shortest({ what, metres }: Part): number | null {
    return this.lengths(what).findLast((l) => l >= metres) ?? null;
  }

  /**
   * What of these parts there is not enough of. Leads: every need has a lead of its own that reaches exactly when for each
   * length there are as many leads that reach as needs (Hall's condition on nested sets).
   */
  missing(parts: readonly Part[]): Part[] {
    if (!this.kit) return [];
    const out: Part[] = [];
    for (const list of group(parts)) {
      const longestFirst = [...list].sort((a, b) => b.metres - a.metres);
      let short = 0;
      longestFirst.forEach((part, k) => {
        if (k + 1 - short <= this.count(part)) return;
        short++;
        out.push(part);
      });
    }
    return out;
  }
}

/** What of these parts is not there once others have taken theirs; what the others lack is not counted against them. */
export function missingBeside(stock: Stock, taken: readonly Part[], parts: readonly Part[]): Part[] {
  const before = stock.missing(taken);
  const after = stock.missing([...taken, ...parts]);
  return after.length > before.length
    ? parts.filter(({ what, metres }) => {
        const own = (list: readonly Part[]): number => list.filter((p) => p.what === what).length;
        return own(after) > own(before) && stock.count({ what, metres }) < own([...taken, ...parts]);
      })
    : [];
}

function group(parts: readonly Part[]): Part[][] {
  const by = new Map<string, Part[]>();
  for (const part of parts) by.set(part.what, [...(by.get(part.what) ?? []), part]);
  return [...by.values()];
}

/** The kit that a show draws from: null when anything can be had. */
export const kitFor = (plan: Plan, crew: Kit): Kit | null =>
  plan.policy.kit === 'crew' ? crew : plan.policy.kit === 'own' ? (plan.kit ?? {}) : null;

/** What each line takes; a device that several share is the first one's. @param known devices that are accounted for already */
export function partsByLine(
  plan: Plan,
  lines: readonly Line[],
  known: readonly string[] = []
): { line: Line; parts: Part[] }[] {
  const seen = new Set(known);
  return lines.map((line) => {
    const fresh = line.devices.filter((id) => !seen.has(id));
    fresh.forEach((id) => seen.add(id));
    return { line, parts: partsOf(plan, fresh, line.cables) };
  });
}

/** What the other lines of a plan take while this one is on. */
export function takenBeside(plan: Plan, lineId: string): Part[] {
  const act = plan.lines[lineId]?.act;
  const lines = resolve(plan).lines;
  const mine = lines.find((l) => l.id === lineId)?.devices ?? [];
  const others = lines.filter((l) => l.id !== lineId && together(act, l.info?.act));
  return partsByLine(plan, others, mine).flatMap(({ parts }) => parts);
}

/** What a plan takes, beside what a kit has. */
export interface Use {
  /** By thing and length: how many there are, how many the lines take at the same time at most. */
  readonly list: readonly { part: Part; have: number; used: number }[];
  /** How many of each item of the kit are in use, by its id; the shortest lead that reaches is taken. */
  readonly used: ReadonlyMap<string, number>;
  /** What there is not enough of. */
  readonly short: readonly { part: Part; count: number }[];
}

export function usedOf(plan: Plan, kit: Kit): Use {
  const lines = resolve(plan).lines;
  const used = new Map<string, number>();
  const short = new Map<string, { part: Part; count: number }>();
  for (const act of timesOf(lines)) {
    const { taken, missing } = dealOut(plan, lines, kit, act);
    for (const [id, n] of taken) used.set(id, Math.max(used.get(id) ?? 0, n));
    for (const [key, entry] of missing) if ((short.get(key)?.count ?? 0) < entry.count) short.set(key, entry);
  }
  const list = new Map<string, { part: Part; have: number; used: number }>();
  for (const [id, item] of Object.entries(kit)) {
    const part = partOfItem(item);
    const key = `${part.what} ${part.metres}`;
    const entry = list.get(key) ?? { part, have: 0, used: 0 };
    entry.have += item.condition === 'works' ? item.count : 0;
    entry.used += used.get(id) ?? 0;
    list.set(key, entry);
  }
  for (const [key, { part, count }] of short) {
    const entry = list.get(key) ?? { part, have: 0, used: 0 };
    entry.used += count;
    list.set(key, entry);
  }
  return { list: [...list.values()], used, short: [...short.values()] };
}

export const partOfItem = (item: Kit[string]): Part =>
  item.kind === 'lead'
    ? { what: leadKey(item.cable, item.plugs), metres: item.metres }
    : { what: item.kind === 'device' ? item.model : 'battery', metres: 0 };

/** Gives every part that is on in an act an item of the kit: longest needs first, each the shortest that reaches. */
function dealOut(plan: Plan, lines: readonly Line[], kit: Kit, act: string | undefined) {
  const on = lines.filter((line) => together(act, line.info?.act));
  const parts = partsByLine(plan, on)
    .flatMap((l) => l.parts)
    .sort((a, b) => b.metres - a.metres);
  const items = Object.entries(kit)
    .filter(([, item]) => item.condition === 'works')
    .map(([id, item]) => ({ id, ...partOfItem(item), left: item.count, failed: unitOf(item)?.failed ?? 0 }))
    // Of equals the one that has failed least.
    .sort((a, b) => a.metres - b.metres || a.failed - b.failed);
  const taken = new Map<string, number>();
  const missing = new Map<string, { part: Part; count: number }>();
  for (const part of parts) {
    const item = items.find((i) => i.what === part.what && i.metres >= part.metres - 1e-9 && i.left > 0);
    if (item) {
      item.left--;
      taken.set(item.id, (taken.get(item.id) ?? 0) + 1);
    } else {
      const key = `${part.what} ${part.metres}`;
      missing.set(key, { part, count: (missing.get(key)?.count ?? 0) + 1 });
    }
  }
  return { taken, missing };
}
