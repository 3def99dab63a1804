import { applyEdit } from '../plan/edit';
import { type Chain, chainOf, putChain, standsAlone } from '../plan/chain';
import { diffPlans } from '../plan/diff';
import { copyOf, differing, same } from '../plan/json';
import type { Line } from '../plan/lines';
import type { Json, Op, Plan } from '../plan/schema';
import type { Setup } from './setup';

/** How a line was set when it last worked, held against how it is planned now. */

export type Differs =
  | { readonly code: 'source' | 'input'; readonly then: string; readonly now: string }
  /** Other DIs, or in another order. */
  | { readonly code: 'boxes'; readonly then: readonly string[]; readonly now: readonly string[] }
  /** Switches of something that is there both times. */
  | {
      readonly code: 'switch';
      readonly model: string;
      readonly setting: string;
      readonly then: Json;
      readonly now: Json;
    }
  | { readonly code: 'run'; readonly then: number; readonly now: number }
  | { readonly code: 'desk'; readonly then: string; readonly now: string };

export interface LastTime {
  /** What makes the line like it was; none where it is; null where it cannot be done by itself. */
  readonly ops: readonly Op[] | null;
  /** What is otherwise now, and may make it read otherwise. */
  readonly differs: readonly Differs[];
  /** Computed gain then and now, dB. */
  readonly gain: { readonly then: number | null; readonly now: number | null };
}

/** Runs that differ by less than this share, and this many metres, are as long as each other. */
const AS_LONG = 0.15;
const METRES = 3;

/**
 * @param gainNow computed for the line as it is planned, dB; null where it is not known
 * @param newId a fresh id for a role
 */
export function lastTime(
  plan: Plan,
  line: Line,
  setup: Setup,
  gainNow: number | null,
  newId: (role: string) => string
): LastTime {
  return {
    ops: setAgain(plan, line, setup.chain, newId),
    differs: differences(plan, line, setup),
    gain: { then: setup.computed.gain, now: gainNow }
  };
}

const boxesOf = (chain: Chain): readonly string[] => chain.devices.slice(1, -1).map((d) => d.model);
const longOf = (chain: Chain): number => chain.cables.reduce((sum, c) => sum + c.metres, 0);

function differences(plan: Plan, line: Line, { chain: then, desk }: Setup): Differs[] {
  const now = chainOf(plan, line);
  const out: Differs[] = [];
  const ends = (chain: Chain) => [chain.devices[0], chain.devices[chain.devices.length - 1]] as const;
  const [[source, input], [sourceThen, inputThen]] = [ends(now), ends(then)];
  if (source.model !== sourceThen.model) out.push({ code: 'source', then: sourceThen.model, now: source.model });
  const [boxes, boxesThen] = [boxesOf(now), boxesOf(then)];
  const alike = same(boxes as unknown as Json, boxesThen as unknown as Json);
  if (!alike) out.push({ code: 'boxes', then: boxesThen, now: boxes });
  if (input.model !== inputThen.model) out.push({ code: 'input', then: inputThen.model, now: input.model });
  if (alike)
    then.devices.forEach((device, k) => {
      const other = now.devices[k];
      if (other.model !== device.model) return;
      for (const { field: setting, from, to } of differing(device.settings, other.settings))
        out.push({ code: 'switch', model: device.model, setting, then: from, now: to });
    });
  const [long, longThen] = [longOf(now), longOf(then)];
  if (Math.abs(long - longThen) > Math.max(METRES, AS_LONG * longThen))
    out.push({ code: 'run', then: longThen, now: long });
  const host = plan.devices[line.id].host;
  const deskNow = (host && plan.hosts[host]?.name) ?? null;
  if (desk && deskNow && desk !== deskNow) out.push({ code: 'desk', then: desk, now: deskNow });
  return out;
}

/**
 * The DIs, leads, switches and kind of input of then, between this player and this desk: how long a run is and where it goes is the
 * venue's, not the setting's.
 */
function setAgain(plan: Plan, line: Line, then: Chain, newId: (role: string) => string): Op[] | null {
  const now = chainOf(plan, line);
  const draft = copyOf(plan);
  const [last, lastThen] = [now.devices.length - 1, then.devices.length - 1];
  const likeThen = (k: number, of: number): Chain['devices'][number] => {
    const [was, is] = [then.devices[k], now.devices[of]];
    const input = of === last;
    return input || was.model === is.model ? { ...is, model: was.model, settings: was.settings } : is;
  };
  if (same(boxesOf(now) as unknown as Json, boxesOf(then) as unknown as Json)) {
    line.devices.forEach((id, k) => {
      const { model, settings } = likeThen(k, k);
      draft.devices[id] = { ...draft.devices[id], model, settings: copyOf(settings) };
    });
  } else {
    if (!standsAlone(plan, line)) return null;
    const middle = then.devices.slice(1, -1).map(({ model, settings }) => ({ model, settings }));
    const cables = then.cables.map((cable, k) => {
      // The last run ends in this venue's input; the lead begins at this player.
      const here = k === lastThen - 1 ? now.cables[last - 1] : k === 0 && last > 1 ? now.cables[0] : undefined;
      return here ? { ...cable, metres: here.metres } : cable;
    });
    putChain(draft, line, { devices: [likeThen(0, 0), ...middle, likeThen(lastThen, last)], cables }, newId);
  }
  const ops = diffPlans(plan, draft);
  return ops.length === 0 || applyEdit(plan, { ops }).ok ? ops : null;
}
