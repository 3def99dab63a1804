import { freshId } from './ids';
import type { Plan } from '../plan/schema';
import { type Line, lineScope } from '../plan/lines';
import type { Route } from './route';
import { type Chain, chainOf, putChain } from '../plan/chain';
import { planFaults } from '../plan/integrity';
import { resolve } from '../plan/resolved';
import type { Stretch } from '../plan/stretch';
import { micDelay, MIC_METRES, countsOfBoth, putMicrophone } from './direct-and-mic';
import { givesPhantom, choicesOf, modelOf, portFor, wantsPhantom } from '../gear/catalogue';
import { plugFor } from '../gear/cables';
import { judgeLine } from '../judge/judge';
import type { Around } from '../judge/solved-rig';
import { diffPlans } from '../plan/diff';
import { countsOf, pointsOf } from './counts';
import { type Stock, type Part, missingBeside, leadKey, partsOf } from './stock';
import { switches } from './switches';
import type { Candidate } from './ways';

/** A way that was computed, before it is compared with the others. */
export type Found = Omit<Route, 'beatenBy' | 'lostBy'>;
/** The plan with nothing in it but this line and what hangs on it: what is tried on it is tried many times, and the others stay as they are. */
export function onlyLine(plan: Plan, line: Line): Plan {
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

/** The plan with the line on another way; null where it does not go together. @param mic a microphone's chain to put beside it */
export function putOn(
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
  const newId = (role: string): string => freshId([draft, whole], line.id, role, ++made);
  putChain(draft, part, chain, newId, head > 0 ? out.id : undefined);
  if (mic) putMicrophone(draft, line, mic.cables[mic.cables.length - 1], newId);
  if (planFaults(draft).length > 0) return null;
  const next = resolve(draft).line(line.id);
  return next ? { draft, next } : null;
}

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

/** Leaving what is planned has to be worth the trouble. */
const CHANGE = 1;
/** Coupled of more pieces than this nobody lays a lead. */
const MOST_PIECES = 3;
/** A switch is touched when it gains something that is heard or seen. */
const SWITCH_MUST_GAIN = 1;
export class Finder {
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
