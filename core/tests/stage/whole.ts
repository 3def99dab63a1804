import { portOf } from '../../gear/catalogue';
import { modelAt } from '../../plan/devices';
import { copyOf } from '../../plan/json';
import type { Line } from '../../plan/lines';
import type { Plan } from '../../plan/schema';
import { compileRig } from '../../rig/compile';
import type { HumSource } from '../../rig/stray';
import { System } from '../../solver/system';

/**
 * What stands at the inputs of a stage when nobody plays, from its one whole network: earths, supplies and all lines solved at
 * once, not piece by piece. Tests hold the tracing to it: gear and the solver are the same in both, and nothing else.
 */

/** How a stage is, as somebody finds it. */
export interface State {
  readonly plan: Plan;
  /** Conductors that are not as planned, ohms by the part's name. */
  readonly ohms: Readonly<Record<string, number>>;
  /** How many times as strong a stray source is, by `kind:of`. */
  readonly times: Readonly<Record<string, number>>;
  /** A plug pulled out of a device of the line: left open, or with a shorting plug in its place. */
  readonly cut?: { readonly device: string; readonly short: boolean };
  /** What something makes itself, whatever the mains do. */
  readonly own: readonly Own[];
  /** Ohms that a device's shield current shares with the signal. */
  readonly pin?: { readonly cable: string; readonly device: string; readonly ohm: number };
  /** Gain at the input against what it was, dB. */
  readonly gainDb: number;
}
/** A noise that is made, with how loud it is at the input as planned, volts squared. */
export interface Own {
  readonly of: string;
  /** Device that it comes out of. */
  readonly at: string;
  readonly power: number;
}

/** The state with its plan changed. */
export function edited(state: State, change: (draft: Plan) => void): State {
  const plan = copyOf(state.plan);
  change(plan);
  return { ...state, plan };
}
/** The state with a stray source so many times as strong. */
export const scaled = (state: State, kind: string, of: string, by: number): State => ({
  ...state,
  times: { ...state.times, [`${kind}:${of}`]: (state.times[`${kind}:${of}`] ?? 1) * by }
});

const ORDER = [1, 2, 3, 4, 5, 6, 7, 9, 11, 13] as const;
const MAINS = 115;
/** Share of each harmonic in a clean mains' earth currents, and in one with phase-cut lamps on it. */
const clean = (h: number): number => (h % 2 ? 1 / h ** 2 : 0);
const cutPhase = (h: number): number => (h % 2 ? 1 / h : 0.3 / h);
/** Harmonics of the mains voltage. */
const VOLTS: Readonly<Record<number, number>> = { 1: 1, 3: 0.03, 5: 0.03, 7: 0.02, 9: 0.01, 11: 0.015, 13: 0.01 };
/** A-weighting, as a factor (IEC 61672-1). */
function weight(hz: number): number {
  const f = hz * hz;
  return (1.2589 * 12194 ** 2 * f * f) / ((f + 424.36) * Math.sqrt((f + 11599.3) * (f + 544496.4)) * (f + 148_693_636));
}

export interface Heard {
  /** Weighted, volts squared. */
  readonly power: number;
  /** Share of the hum from the fourth harmonic on. */
  readonly buzz: number;
}

/** @param lines those that are read. @param signs whether each supply's EMF is with the first or against it */
export function heardOf(
  state: State,
  lines: readonly Line[],
  signs: Readonly<Record<string, number>>
): Map<string, Heard> {
  const { plan, cut } = state;
  const on = lines.find((l) => cut && l.devices.includes(cut.device));
  const pulled = on && on.cables[on.devices.indexOf(cut!.device) - 1];
  const cables = Object.keys(plan.cables).filter((id) => id !== pulled);
  const rig = compileRig(plan, { devices: Object.keys(plan.devices), cables });
  /** Ohms that are not as planned, by the nodes between which they stand: a field drives what is there. */
  const changed = new Map<string, number>();
  for (const part of rig.net.parts) {
    const ohm = state.ohms[part.name];
    if (ohm === undefined || part.kind !== 'R') continue;
    part.ohm = ohm;
    changed.set(`${part.a} ${part.b}`, ohm);
  }
  const ends = (device: string, port: string): [number, number] => {
    const nodes = rig.ports.get(`${device}.${port}`)!;
    return [nodes.hot, portOf(modelAt(plan, device), port)!.carries === 'unbalanced' ? nodes.shield : nodes.cold];
  };
  if (pulled && cut!.short) rig.net.resistor('plug', ...ends(cut!.device, plan.cables[pulled].to.port), 0.05);
  const system = new System(rig.net);
  const { mainsHz } = plan.policy;
  const out = new Map(lines.map((l) => [l.id, new Float64Array(ORDER.length)]));
  ORDER.forEach((h, k) => {
    system.at(mainsHz * h);
    for (const line of lines) {
      const { port } = plan.cables[line.cables[line.cables.length - 1]].to;
      const own = rig.senses.get(line.id)?.nodes;
      const seen = system.solveAdjoint(...(own ?? ends(line.id, port)));
      let [re, im, squared] = [0, 0, 0];
      for (const [id, { emf, ohm, dimmers }] of Object.entries(plan.supplies)) {
        if (!rig.net.has(`supply:${id}`)) continue;
        const [x, y] = seen.voltage(rig.net.node(`supply:${id}`), 0);
        const ampere = (signs[id] * emf * (dimmers ? cutPhase(h) : clean(h))) / ohm;
        re += x * ampere;
        im += y * ampere;
      }
      for (const source of rig.hums)
        squared +=
          strayOf(source, h, mainsHz, seen.voltage.bind(seen), changed) *
          (state.times[`${source.kind}:${source.of}`] ?? 1) ** 2;
      const pin =
        line.devices.includes(state.pin?.device ?? '') && !isCut(state, line, state.pin!.device)
          ? pinPower(state, system, rig, h, seen)
          : 0;
      out.get(line.id)![k] = (re * re + im * im + squared + pin) * weight(mainsHz * h) ** 2;
    }
  });
  return new Map(
    lines.map((line) => {
      const each = out.get(line.id)!;
      const hum = each.reduce((a, b) => a + b, 0);
      const own = state.own
        .filter((o) => line.devices.includes(o.at) && !isCut(state, line, o.at))
        .reduce((sum, o) => sum + o.power, 0);
      const gain = 10 ** (state.gainDb / 10);
      return [
        line.id,
        { power: (hum + own) * gain, buzz: hum > 0 ? each.slice(3).reduce((a, b) => a + b, 0) / hum : 0 }
      ];
    })
  );
}

/** Whether what comes out of a device does not reach the input. */
const isCut = ({ cut }: State, line: Line, device: string): boolean =>
  cut !== undefined && line.devices.indexOf(device) < line.devices.indexOf(cut.device);

type Voltage = (a: number, b: number) => readonly [number, number];

/** A stray source alone, volts squared at the input. */
function strayOf(
  { kind, m2, parts }: HumSource,
  h: number,
  mainsHz: number,
  voltage: Voltage,
  changed: ReadonlyMap<string, number>
): number {
  const omega = 2 * Math.PI * mainsHz * h;
  const field = kind === 'winding' || kind === 'cable';
  const volts = field ? omega * 3e-7 * m2 * clean(h) : (kind === 'leak' ? MAINS : 2 * MAINS) * (VOLTS[h] ?? 0);
  let [re, im] = [0, 0];
  for (const { a, b, ohm, farad, share = 1 } of parts) {
    const [x, y] = voltage(a, b);
    const drive = volts * share * (ohm === undefined ? omega * farad! : 1 / (changed.get(`${a} ${b}`) ?? ohm));
    re += drive * x;
    im += drive * y;
  }
  return re * re + im * im;
}

/** What a shield's current drops over the ohms that it shares with the signal, volts squared at the input. */
function pinPower(
  state: State,
  system: System,
  rig: ReturnType<typeof compileRig>,
  h: number,
  seen: { voltage: Voltage }
): number {
  const { cable, ohm } = state.pin!;
  const shield = rig.net.parts.find((p) => p.name === `${cable}/shield-0`);
  const core = rig.net.parts.find((p) => p.name === `${cable}/core-a-0`);
  if (shield?.kind !== 'R' || core?.kind !== 'R') return 0;
  const [x, y] = seen.voltage(core.a, core.b);
  const transfer = Math.hypot(x, y) / core.ohm;
  // Current of the shield from every supply, worst case.
  let ampere = 0;
  for (const [id, { emf, ohm: inner, dimmers }] of Object.entries(state.plan.supplies)) {
    if (!rig.net.has(`supply:${id}`)) continue;
    const solved = system.solveCurrents([
      { a: rig.net.node(`supply:${id}`), b: 0, ampere: [(emf * (dimmers ? cutPhase(h) : clean(h))) / inner, 0] }
    ]);
    const [r, i] = solved.voltage(shield.a, shield.b);
    ampere += Math.hypot(r, i) / shield.ohm;
  }
  return (ampere * ohm * transfer) ** 2;
}
