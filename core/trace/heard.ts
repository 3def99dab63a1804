import { modelAt } from '../plan/devices';
import type { LineReport } from '../judge/judge';
import type { Node } from '../solver/network';
import { System } from '../solver/system';
import { portOf } from '../gear/catalogue';
import { type Line, lineScope, scopeKey } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Rig } from '../rig/builder';
import { compileRig, signalNodes } from '../rig/compile';
import type { EarthSum } from '../rig/earth-sum';
import { RigHum } from '../rig/hum';
import { humBySource, sounds } from '../rig/hum-domain';
import { shieldAmpere } from '../rig/loops';
import { aWeight } from '../rig/noise';
import { shapeOf } from '../rig/solve';
import { senseOf } from '../rig/bench';
import { emfSpectrum, HARMONICS, type HumSource } from '../rig/stray';
import { DBU_VOLTS } from '../units/quantity';

/** What is heard of a line when nobody plays, with something on it other than planned. Solved on the network like any other plan. */

/** A state of a line, as planned or not. */
export interface Situation {
  readonly plan: Plan;
  /** How many times as strong a stray source is; one where left out. */
  readonly boost?: (source: HumSource) => number;
  /** Everything up to this device is taken away and a shorting plug put in its place: the first box, or the input itself. */
  readonly shortedAt?: string;
  /** As `shortedAt`, but nothing put in its place: the input of that device is open. */
  readonly openAt?: string;
  /** A device in which a shield's current and the signal share so many ohms: pin 1 on the signal's ground. */
  readonly pin?: { readonly device: string; readonly ohm: number };
  /** A device whose stages get no supply: its grounds stay joined, and nothing is amplified. */
  readonly dead?: string;
  /** Noise that something on the line makes itself, over the playing, dB: its own rectifier's ripple, where nothing else is known of it. */
  readonly own?: {
    /** Device or cable that makes it; `air` what comes in by the air, `field` what a small winding picks up. */
    readonly of: string;
    /** Device that it reaches the input from. */
    readonly at: string;
    readonly db: number;
  };
  /** Gain turned up or down at the input, dB: all that comes before it with it. */
  readonly gainDb?: number;
  /** Hiss louder than planned, dB: gain that makes up for a level that is missing. */
  readonly hissDb?: number;
}

/** Heard with the ear's weighting (IEC 61672-1, A), volts squared at the input. */
export interface Heard {
  readonly power: number;
  readonly hiss: number;
  /** Share of the hum that lies at and above the fifth harmonic: what makes it a buzz. */
  readonly buzz: number;
  /** Power of each harmonic as it is, not weighted, volts squared. */
  readonly harmonics: readonly number[];
}

/** What stays the same whatever is tried on a line. */
export interface Stage {
  readonly line: Line;
  readonly report: LineReport;
  readonly rest: EarthSum;
  /** Networks compiled so far, each by what its numbers depend on: most tests make no other of most causes. */
  readonly networks: Map<string, Network>;
}
interface Network {
  readonly rig: Rig;
  readonly system: System;
  /** Nodes where the input is read. */
  readonly sense: readonly [Node, Node];
  readonly hum: ReturnType<typeof humBySource>;
}

const SHORT_OHM = 0.05;
/** Ripple behind a rectifier of both half waves: even harmonics, falling 6 dB an octave. */
const RIPPLE = Array.from({ length: HARMONICS }, (_, k) => (k % 2 === 1 ? 2 / (k + 1) : 0));

/** @throws CircuitError */
export function heard(stage: Stage, at: Situation): Heard {
  const { plan } = at;
  const { line } = stage;
  const network = networkFor(stage, at);
  const own = network.hum(at.boost ?? (() => 1));
  const rigHum = new RigHum(plan, [own], stage.rest);
  const hum = rigHum.at(own, line.id, shapeOf(plan, line));
  const weighted = (spectrum: ArrayLike<number>): number[] =>
    Array.from({ length: HARMONICS }, (_, k) => (spectrum[k] * aWeight(plan.policy.mainsHz * (k + 1))) ** 2);
  const byHarmonic = weighted(hum.spectrum);
  const pin = at.pin && pinSpectrum(stage, at, network, rigHum);
  if (pin) weighted(pin).forEach((p, k) => (byHarmonic[k] += p));
  if (at.own && !isCutOff(line, at, at.own.at) && stage.report.arrives !== null) {
    const volts = DBU_VOLTS * 10 ** ((stage.report.arrives + at.own.db) / 20);
    weighted(RIPPLE.map((share) => volts * share)).forEach((p, k) => (byHarmonic[k] += p));
  }
  const gain = 10 ** ((at.gainDb ?? 0) / 10);
  byHarmonic.forEach((p, k) => (byHarmonic[k] = p * gain));
  const total = byHarmonic.reduce((a, b) => a + b, 0);
  const hiss = hissOf(stage, at) * gain;
  return {
    harmonics: byHarmonic.map((p, k) => p / aWeight(plan.policy.mainsHz * (k + 1)) ** 2),
    power: total + hiss,
    hiss,
    buzz: total > 0 ? byHarmonic.slice(4).reduce((a, b) => a + b, 0) / total : 0
  };
}

/** Whether what a device puts out does not reach the input any more. */
function isCutOff(line: Line, { shortedAt, openAt, dead }: Situation, device: string): boolean {
  const at = line.devices.indexOf(device);
  const cut = shortedAt ?? openAt;
  return (
    (cut !== undefined && at < line.devices.indexOf(cut)) || (dead !== undefined && at <= line.devices.indexOf(dead))
  );
}

/** Socket of a device through which a shield's current gets into its board: that of what it puts out, the input's own. */
const pinCable = (line: Line, device: string): string =>
  line.cables[Math.min(line.devices.indexOf(device), line.cables.length - 1)];

/** What a shield's current does in a device where it shares some ohms with the signal: an EMF in series with its output, harmonic by harmonic, volts at the input. */
function pinSpectrum(
  { line }: Stage,
  { plan, pin, shortedAt }: Situation,
  { rig, system, sense }: Network,
  rigHum: RigHum
): number[] | null {
  const { device, ohm } = pin!;
  const cable = pinCable(line, device);
  const core = rig.net.parts.find((p) => p.name === `${cable}/core-a-0`);
  // A plug in the device itself, or beyond it, has taken the cable away.
  if (core?.kind !== 'R' || shortedAt === line.id) return null;
  const { mainsHz } = plan.policy;
  const volts = ohm * shieldAmpere(rig, system.at(mainsHz), rigHum, cable);
  const adjoint = system.blank();
  return Array.from({ length: HARMONICS }, (_, k) => {
    const share = emfSpectrum(k + 1, false);
    if (share === 0) return 0;
    system.at(mainsHz * (k + 1)).solveAdjoint(...sense, adjoint);
    const [re, im] = adjoint.voltage(core.a, core.b);
    return (volts * share * Math.hypot(re, im)) / core.ohm;
  });
}

/** Hiss at the input: the planned line's, less what is no longer connected or no longer passed on. */
function hissOf({ line, report }: Stage, { shortedAt, openAt, dead, hissDb = 0 }: Situation): number {
  if (!report.noise) return 0;
  const gone = new Set<string>();
  const drop = (count: number): void => {
    for (const id of [...line.devices.slice(0, count), ...line.cables.slice(0, count)]) gone.add(id);
  };
  const cut = shortedAt ?? openAt;
  if (cut !== undefined) drop(line.devices.indexOf(cut));
  if (dead !== undefined) drop(line.devices.indexOf(dead) + 1);
  const left = report.noise.shares.filter((s) => !gone.has(s.of)).reduce((sum, s) => sum + s.share, 0);
  return (DBU_VOLTS * 10 ** ((report.noise.weightedDbu + hissDb) / 20)) ** 2 * left;
}

/** The network of a situation, solved once. How strong the supplies' EMFs are is no matter of it, only which harmonics they have. @throws CircuitError */
function networkFor({ line, networks }: Stage, at: Situation): Network {
  const { plan, shortedAt, openAt, dead } = at;
  const supplies = Object.entries(plan.supplies).map(([id, { ohm, phase }]) => [id, ohm, phase]);
  const shared = [plan.policy, plan.hosts, plan.touches, supplies, sounds(plan, 2), shortedAt, openAt, dead];
  const key = scopeKey(plan, lineScope(plan, line), JSON.stringify(shared));
  let known = networks.get(key);
  if (!known) {
    const { rig, system } = networkOf(plan, line, at);
    const sense = senseOf(plan, rig, line.cables[line.cables.length - 1]);
    networks.set(key, (known = { rig, system, sense, hum: humBySource(plan, rig, system, [[line.id, sense]]) }));
  }
  return known;
}

function networkOf(plan: Plan, line: Line, { shortedAt, openAt, dead }: Situation): { rig: Rig; system: System } {
  const cut = shortedAt ?? openAt;
  if (cut === undefined) {
    const rig = compileRig(plan, lineScope(plan, line), 'held');
    // Its amplifiers give nothing any more; what joins its grounds is as it was.
    for (const part of rig.net.parts)
      if (part.kind === 'VCVS' && dead !== undefined && part.name.startsWith(`${dead}/`)) part.gain = 0;
    return { rig, system: new System(rig.net) };
  }
  const k = line.devices.indexOf(cut);
  const rig = compileRig(plan, { devices: line.devices.slice(k), cables: line.cables.slice(k) }, 'held');
  if (shortedAt !== undefined) {
    const { port } = plan.cables[line.cables[k - 1]].to;
    const model = modelAt(plan, cut);
    const nodes = rig.ports.get(`${cut}.${port}`)!;
    const [p, q] = signalNodes(model, port, nodes);
    rig.net.resistor('shorting-plug', p, q, SHORT_OHM);
    // A plug's shell ties its sleeve to what it is in.
    if (portOf(model, port)!.carries === 'balanced')
      rig.net.resistor('shorting-plug-shell', q, nodes.shield, SHORT_OHM);
  }
  return { rig, system: new System(rig.net) };
}

export const dbOf = (power: number): number => 10 * Math.log10(Math.max(power, 1e-30));
