import { resolve } from '../plan/resolved';
import { modelAt } from '../plan/devices';
import { choicesOf, givesPhantom, modelOf, portFor, wantsPhantom } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import { judgeLine, type LineReport } from '../judge/judge';
import { SolvedRig, type Around } from '../judge/solved-rig';
import { unbalancedLimit } from '../judge/limits';
import { type Finding, rank } from '../judge/types';
import { type Chain, chainOf, putChain } from '../plan/chain';
import { diffPlans } from '../plan/diff';
import { planFaults } from '../plan/integrity';
import { type Line, lineScope } from '../plan/lines';
import { type Stretch, stretchOf } from '../plan/stretch';
import type { Op, Plan } from '../plan/schema';
import { type Beside, countsOfBoth, MIC_METRES, micDelay, putMicrophone } from './direct-and-mic';
import { beats, type Counts, countsOf, lostBy, pointsOf } from './counts';
import { leadKey, missingBeside, type Part, partsOf, Stock, takenBeside } from './stock';
import { switches } from './switches';
import { type Candidate, type Wanted, type Way, waysOf } from './ways';

/** One whole way of a line, computed with the rig around it. */
export interface Route {
  /** Text that is equal for ways that are. */
  readonly key: string;
  readonly way: Way;
  readonly chain: Chain;
  /** The line on that way: steps from the plan as it is, empty when it is on it already. */
  readonly ops: readonly Op[];
  readonly report: LineReport;
  readonly counts: Counts;
  /** Boxes, adapters and leads that it takes. */
  readonly parts: readonly Part[];
  /** Those of them that are not in the kit, or taken by other lines. */
  readonly missing: readonly Part[];
  /** What feeds its boxes. */
  readonly power: readonly ('phantom' | 'battery' | 'mains')[];
  /** Points against it; the least is the best. */
  readonly points: number;
  /** Index of a better one that is at least as good on every count; null when none is. */
  readonly beatenBy: number | null;
  /** What it lost by: the worst finding that the best way has not. Null for the best. */
  readonly lostBy: Finding | null;
  /** The line as it is planned now. */
  readonly present: boolean;
  /** The microphone's line beside it, where the way is two at once. */
  readonly beside: Beside | null;
}

export interface RouteOptions {
  readonly perOctave?: number;
  readonly around?: Around;
  /** What may be used; anything when left out. */
  readonly stock?: Stock;
  /** What others take of it; found out when left out. */
  readonly beside?: readonly Part[];
  /** Ways that ask for what is not in the kit are left out where one from the kit does well, and so are further inputs behind a box that does. */
  readonly kitFirst?: boolean;
  /** Called between candidates; returning false ends the search with what there is. */
  readonly between?: () => boolean;
}

/** Fine enough to rank and to draw. */
const PER_OCTAVE = 6;
/** The lead to a box, where nobody has said how long it is, metres. */
const USUAL_LEAD = 3;

/** Inputs that a desk has of each kind. */
const DESK = new Set(['mic-in', 'line-in', 'combo-in']);

/** Whether a line ends where there are microphone and line inputs as well: at the host of some, or where nothing is said. */
export function endsAtDesk(plan: Plan, line: Line): boolean {
  const input = plan.devices[line.id];
  if (DESK.has(input.model)) return true;
  if (!['consumer-in', 'instrument-in', 'aux-in'].includes(input.model)) return false;
  // The first host is the desk, whatever else is plugged into it; of another one only what is known counts.
  if (input.host === Object.keys(plan.hosts)[0]) return true;
  return Object.keys(plan.lines).some((id) => {
    const other = plan.devices[id];
    return other && DESK.has(other.model) && other.host === input.host;
  });
}

/** What the route finder starts from. */
export function wantedOf(plan: Plan, line: Line, { part, out, head }: Stretch = stretchOf(plan, line)): Wanted {
  const chain = chainOf(plan, part);
  const { cables } = chain;
  const [first] = cables;
  const run = cables[cables.length - 1];
  const balancedRun = ['mic', 'star-quad', 'multicore'].includes(run.kind);
  // A lead that is too long is what is to be mended, not what is wanted.
  const limit = unbalancedLimit(plan.policy, out.level);
  const lead = cables.length > 1 ? Math.min(Math.max(first.metres, 0.5), limit) : Math.min(USUAL_LEAD, limit);
  return {
    source: chain.devices[0],
    out,
    branch: head > 0,
    input: chain.devices[chain.devices.length - 1],
    metres: cables.reduce((sum, c) => sum + c.metres, 0),
    leadMetres: lead,
    runKind: balancedRun ? run.kind : null,
    desk: endsAtDesk(plan, line),
    ...(line.info?.want ? { want: line.info.want } : {})
  };
}

/**
 * Every sensible way of a line, computed whole with the rig around it, best first.
 * What it shares with other lines stays as it is: a branch has ways from where it leaves, a box with something on its thru is exchanged for one with a thru.
 * @returns empty for a line that is unfinished
 */
export function routesFor(plan: Plan, line: Line, options: RouteOptions = {}): Route[] {
  const families = line.devices.map((id) => modelAt(plan, id).family);
  if (families[0] !== 'source' || families[families.length - 1] !== 'input') return [];
  const around = options.around ?? new SolvedRig(plan).around(line);
  const stock = options.stock ?? new Stock(null);
  const beside = options.beside ?? (stock.kit ? takenBeside(plan, line.id) : []);
  const finder = new Finder(
    plan,
    onlyLine(plan, line),
    line,
    stretchOf(plan, line),
    { around, perOctave: options.perOctave ?? PER_OCTAVE },
    stock,
    beside
  );
  const found: Found[] = [];
  const seen = new Set<string>();
  const keep = (tried: Found | null): void => {
    if (!tried || seen.has(tried.key)) return;
    seen.add(tried.key);
    found.push(tried);
  };
  keep(finder.present());
  const owned = (c: Candidate): boolean => c.way.boxes.every((what) => stock.count({ what, metres: 0 }) > 0);
  const { keeps, keepsInput } = finder.stretch;
  const all = waysOf(wantedOf(plan, line, finder.stretch)).filter(
    ({ way, chain }) =>
      (!keeps || modelOf(chain.devices[1].model).ports.some((p) => p.id === keeps)) &&
      (!keepsInput || way.input === plan.devices[line.id].model)
  );
  const first = options.kitFirst ? all.filter(owned) : all;
  const goOn = (): boolean => options.between?.() ?? true;
  // Where a box does well into one input, the next input would only be another way of having the same box.
  const good = new Set<string>();
  for (const candidate of first) {
    if (!goOn() || (options.kitFirst && good.has(candidate.way.id))) continue;
    const tried = finder.best(candidate);
    if (tried && candidate.way.boxes.length > 0 && tried.counts.severity <= rank('note')) good.add(candidate.way.id);
    keep(tried);
  }
  if (options.kitFirst && !found.some((r) => r.counts.severity <= rank('note')))
    for (const candidate of all) if (!owned(candidate) && goOn()) keep(finder.best(candidate));
  const both = finder.both(found);
  if (both) keep(both);
  // Who wants the direct sound and the amp is not served by one of them.
  const wants = line.info?.want === 'both' && !line.info.micMetres;
  return compare(wants ? found.map((r) => (r.beside ? r : { ...r, points: r.points + UNMET })) : found);
}

/** A wish that a way does not fulfil weighs as much as a care. */
const UNMET = 40;

/** The plan with nothing in it but this line and what hangs on it: what is tried on it is tried many times, and the others stay as they are. */
function onlyLine(plan: Plan, line: Line): Plan {
  const scope = lineScope(plan, line);
  const pick = <T>(rows: Readonly<Record<string, T>>, ids: readonly string[]): Record<string, T> =>
    Object.fromEntries(ids.flatMap((id) => (id in rows ? [[id, rows[id]]] : [])));
  return {
    ...plan,
    devices: pick(plan.devices, scope.devices),
    cables: pick(plan.cables, scope.cables),
    lines: pick(plan.lines, scope.devices)
  };
}

/** A way that was computed, before it is compared with the others. */
type Found = Omit<Route, 'beatenBy' | 'lostBy'>;

class Finder {
  constructor(
    readonly whole: Plan,
    /** The line by itself. */
    readonly plan: Plan,
    readonly line: Line,
    readonly stretch: Stretch,
    readonly at: { around: Around; perOctave: number },
    readonly stock: Stock,
    readonly beside: readonly Part[]
  ) {}

  /** The line as it is. */
  present(): Found | null {
    const chain = chainOf(this.plan, this.stretch.part);
    const last = chain.devices[chain.devices.length - 1].model;
    const boxes = chain.devices.slice(1, -1).map((d) => d.model);
    return this.#compute({ way: { id: 'present', boxes, input: last }, chain });
  }

  /** A way with its switches where they do most good: lift, pad, battery are tried one after the other. */
  best(candidate: Candidate): Found | null {
    let chain = this.#powered(this.#cut(candidate.chain));
    let best = this.#compute({ ...candidate, chain });
    if (!best) return null;
    for (const [k, device] of chain.devices.entries()) {
      // What it leaves is another line's to set.
      if (k === 0 && this.stretch.head > 0) continue;
      for (const [setting, value] of switches(this.plan.policy, device, best.report)) {
        const devices = chain.devices.map((d, j) =>
          j === k ? { ...d, settings: { ...d.settings, [setting]: value } } : d
        );
        const next = this.#compute({ ...candidate, chain: { ...chain, devices } });
        if (!next || next.points > best.points - SWITCH_MUST_GAIN) continue;
        best = next;
        chain = { ...chain, devices };
      }
    }
    return best;
  }

  /** The best direct way, with a microphone on an input of its own; null where there is one already, or nothing to stand before. */
  both(found: readonly Found[]): Found | null {
    const { plan, line, whole, stock } = this;
    const least = (list: readonly Found[]): Found | undefined =>
      list.reduce<Found | undefined>((a, b) => (a && a.points <= b.points ? a : b), undefined);
    const direct = least(found.filter((r) => !r.way.source));
    const mic = least(found.filter((r) => r.way.source === 'microphone'));
    if (!direct || !mic || line.info?.micMetres) return null;
    const put = putOn(plan, line, this.stretch, direct.chain, whole, mic.chain);
    if (!put) return null;
    const parts = [...direct.parts, ...mic.parts];
    const missing = missingBeside(stock, this.beside, parts);
    return {
      ...direct,
      key: `${direct.key}+microphone`,
      way: {
        ...direct.way,
        id: 'direct-and-mic',
        input: direct.chain.devices[direct.chain.devices.length - 1].model,
        source: 'both'
      },
      ops: diffPlans(plan, put.draft),
      counts: { ...countsOfBoth(direct.counts, mic.counts), missing: missing.length },
      parts,
      missing,
      points: direct.points + mic.points / 2,
      present: false,
      beside: { chain: mic.chain, report: mic.report, metres: MIC_METRES, delay: micDelay() }
    };
  }

  /** Leads as they lie in the case: the shortest that reaches, or two of them coupled. */
  #cut(chain: Chain): Chain {
    if (!this.stock.kit) return chain;
    const cables = chain.cables.map((cable, k) => {
      if (cable.kind === 'multicore') return cable;
      const from = k === 0 ? this.stretch.out : portFor(modelOf(chain.devices[k].model), 'out', cable.kind);
      const to = portFor(modelOf(chain.devices[k + 1].model), 'in', cable.kind);
      const plugs = [plugFor(cable.kind, from.socket), plugFor(cable.kind, to.socket)] as const;
      const what = leadKey(cable.kind, plugs);
      const one = this.stock.shortest({ what, metres: cable.metres });
      if (one !== null) return { ...cable, metres: one };
      const [longest] = this.stock.lengths(what);
      if (!longest || this.stock.lengths(what).length < 2) return cable;
      const pieces = Math.ceil(cable.metres / longest);
      return pieces <= MOST_PIECES ? { ...cable, metres: longest * pieces, couplers: pieces - 1 } : cable;
    });
    return { ...chain, cables };
  }

  /** Phantom is on where a box wants it and the input has it; otherwise the box runs on its battery, if it has one. */
  #powered(chain: Chain): Chain {
    const last = chain.devices.length - 1;
    const input = chain.devices[last];
    const hungry = chain.devices.slice(this.stretch.head > 0 ? 1 : 0, last).some(wantsPhantom);
    if (!givesPhantom(input.model)) {
      const devices = chain.devices.map((d) =>
        wantsPhantom(d) && choicesOf(modelOf(d.model), 'power').includes('battery')
          ? { ...d, settings: { ...d.settings, power: 'battery' } }
          : d
      );
      return { ...chain, devices };
    }
    const settings = { ...input.settings, phantom: hungry ? 'on' : 'off' };
    return { ...chain, devices: chain.devices.map((d, k) => (k === last ? { ...d, settings } : d)) };
  }

  #compute({ way, chain }: Candidate): Found | null {
    const { plan, line } = this;
    const present = way.id === 'present';
    const put = present ? { draft: plan, next: line } : putOn(plan, line, this.stretch, chain, this.whole);
    if (!put) return null;
    const { draft, next } = put;
    const report = judgeLine(draft, next, this.at);
    // Of what it shares with another line it takes nothing.
    const { head } = this.stretch;
    const own = { ...next, devices: next.devices.slice(head), cables: next.cables.slice(head) };
    const parts = partsOf(draft, head > 0 ? own.devices.slice(1) : own.devices, own.cables);
    const missing = missingBeside(this.stock, this.beside, parts);
    const ops = present ? [] : diffPlans(plan, draft);
    const counts = countsOf(report, parts, missing, own, draft);
    return {
      key: keyOf(draft, next),
      way,
      chain,
      ops,
      report,
      counts,
      parts,
      missing,
      power: powerOf(draft, own),
      points: pointsOf(report, counts) + (present ? 0 : CHANGE),
      present: present || ops.length === 0,
      beside: null
    };
  }
}

/** The plan with the line on another way; null where it does not go together. @param mic a microphone's chain to put beside it */
function putOn(
  plan: Plan,
  line: Line,
  { part, out, head }: Stretch,
  chain: Chain,
  whole: Plan,
  mic?: Chain
): { draft: Plan; next: Line } | null {
  const draft: Plan = {
    ...plan,
    devices: { ...plan.devices },
    cables: { ...plan.cables },
    lines: { ...plan.lines }
  };
  let made = 0;
  const newId = (role: string): string => freshId(draft, whole, line.id, role, made++);
  putChain(draft, part, chain, newId, head > 0 ? out.id : undefined);
  if (mic) putMicrophone(draft, line, mic.cables[mic.cables.length - 1], newId);
  if (planFaults(draft).length > 0) return null;
  const next = resolve(draft).line(line.id);
  return next ? { draft, next } : null;
}

/** A route that was computed for a line, for another one that is like it in everything but its name. */
export function reroute(plan: Plan, line: Line, route: Route): Route {
  const small = onlyLine(plan, line);
  const put = route.present
    ? { draft: small, next: line }
    : putOn(small, line, stretchOf(small, line), route.chain, plan, route.beside?.chain);
  if (!put) return route;
  const { devices, cables } = put.next;
  return {
    ...route,
    ops: route.present ? [] : diffPlans(small, put.draft),
    report: { ...route.report, id: line.id, devices, cables }
  };
}

/** Leaving what is planned has to be worth the trouble. */
const CHANGE = 1;
/** Coupled of more pieces than this nobody lays a lead. */
const MOST_PIECES = 3;
/** A switch is touched when it gains something that is heard or seen. */
const SWITCH_MUST_GAIN = 1;

/** Text that is equal for lines that are: settings as they act, said or not. */
function keyOf(plan: Plan, line: Line): string {
  const settings = (id: string): string => {
    const { model, settings } = plan.devices[id];
    const { options } = modelOf(model);
    const said = Object.entries(settings).filter(([name, value]) => options[name]?.default !== value);
    return JSON.stringify([model, said.sort(([a], [b]) => (a < b ? -1 : 1))]);
  };
  const cable = (id: string): string => {
    const { kind, metres, couplers, plugs, wiring, settings } = plan.cables[id];
    return JSON.stringify([kind, metres, couplers ?? 0, plugs, wiring ?? 0, settings ?? 0]);
  };
  return [...line.devices.map(settings), ...line.cables.map(cable)].join();
}

/** An id that neither the line on its new way nor the rest of the plan has. */
const freshId = (draft: Plan, whole: Plan, line: string, role: string, n: number): string => {
  const has = (id: string): boolean => [draft, whole].some((p) => id in p.devices || id in p.cables);
  for (let k = n + 1; ; k++) {
    const id = `${line}-${role}${k}`.slice(-40);
    if (!has(id)) return id;
  }
};

function powerOf(plan: Plan, line: Line): Route['power'] {
  const list = line.devices.slice(1, -1).flatMap((id) => {
    const device = plan.devices[id];
    const { feeds } = modelOf(device.model);
    if (device.settings.power === 'battery') return ['battery' as const];
    if (wantsPhantom(device)) return ['phantom' as const];
    return feeds[0].startsWith('mains') ? ['mains' as const] : [];
  });
  return [...new Set(list)];
}

/** Best first, each with what it lost by and whether another is at least as good on every count. */
function compare(found: readonly Found[]): Route[] {
  const sorted = [...found].sort(
    (a, b) => a.points - b.points || a.parts.length - b.parts.length || (a.key < b.key ? -1 : 1)
  );
  const best = sorted[0];
  return sorted.map((r, k) => {
    const beatenBy = sorted.findIndex((other, j) => j < k && beats(other.counts, r.counts));
    return {
      ...r,
      beatenBy: beatenBy < 0 ? null : beatenBy,
      lostBy: k === 0 ? null : lostBy(r.report, best.report)
    };
  });
}
