import type { LineReport } from '../judge/judge';
import { System } from '../circuit/system';
import { modelOf, portOf } from '../gear/catalogue';
import type { Line } from '../plan/lines';
import { lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Rig } from '../rig/builder';
import { compileRig, signalNodes } from '../rig/compile';
import type { EarthSum } from '../rig/hum';
import { domainHum, RigHum } from '../rig/hum';
import { shieldAmpere } from '../rig/loops';
import { aWeight } from '../rig/noise';
import { senseOf, shapeOf } from '../rig/solve';
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
  /** Resistance that the shield's current and the signal share inside the input, ohms: pin 1 on the signal's ground. */
  readonly pinOhm?: number;
  /** Hum that the source itself puts out, over its playing, dB: its own rectifier's ripple. */
  readonly ownDb?: number;
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
}

const SHORT_OHM = 0.05;
/** Ripple behind a rectifier of both half waves: even harmonics, falling 6 dB an octave. */
const RIPPLE = Array.from({ length: HARMONICS }, (_, k) => (k % 2 === 1 ? 2 / (k + 1) : 0));

/** @throws CircuitError */
export function heard(stage: Stage, at: Situation): Heard {
  const { plan } = at;
  const { line } = stage;
  const { rig, system } = networkOf(plan, line, at.shortedAt);
  const boost = at.boost;
  const driven: Rig = boost
    ? {
        ...rig,
        hums: rig.hums.map((source) => {
          const times = boost(source);
          return times === 1
            ? source
            : { ...source, parts: source.parts.map((p) => ({ ...p, share: (p.share ?? 1) * times })) };
        })
      }
    : rig;
  const cable = line.cables[line.cables.length - 1];
  const own = domainHum(plan, driven, system, [[line.id, senseOf(plan, driven, cable)]]);
  const rigHum = new RigHum(plan, [own], stage.rest);
  const hum = rigHum.at(own, line.id, shapeOf(plan, line));
  const weighted = (spectrum: ArrayLike<number>): number[] =>
    Array.from({ length: HARMONICS }, (_, k) => (spectrum[k] * aWeight(plan.policy.mainsHz * (k + 1))) ** 2);
  const byHarmonic = weighted(hum.spectrum);
  if (at.pinOhm && at.shortedAt !== line.id) {
    system.at(plan.policy.mainsHz);
    const volts = shieldAmpere(driven, system, rigHum, cable) * at.pinOhm;
    const shape = Array.from({ length: HARMONICS }, (_, k) => volts * emfSpectrum(k + 1, false));
    weighted(shape).forEach((p, k) => (byHarmonic[k] += p));
  }
  if (at.ownDb !== undefined && at.shortedAt === undefined && stage.report.arrives !== null) {
    const volts = DBU_VOLTS * 10 ** ((stage.report.arrives + at.ownDb) / 20);
    weighted(RIPPLE.map((share) => volts * share)).forEach((p, k) => (byHarmonic[k] += p));
  }
  const total = byHarmonic.reduce((a, b) => a + b, 0);
  const hiss = hissOf(stage, at);
  return {
    harmonics: byHarmonic.map((p, k) => p / aWeight(plan.policy.mainsHz * (k + 1)) ** 2),
    power: total + hiss,
    hiss,
    buzz: total > 0 ? byHarmonic.slice(4).reduce((a, b) => a + b, 0) / total : 0
  };
}

/** Hiss at the input: the planned line's, less what is no longer connected. */
function hissOf({ line, report }: Stage, { shortedAt, hissDb = 0 }: Situation): number {
  if (!report.noise) return 0;
  const gone = shortedAt === undefined ? [] : line.devices.slice(0, line.devices.indexOf(shortedAt));
  const cables = gone.length > 0 ? line.cables.slice(0, gone.length) : [];
  const left = report.noise.shares
    .filter((s) => !gone.includes(s.of) && !cables.includes(s.of))
    .reduce((sum, s) => sum + s.share, 0);
  return (DBU_VOLTS * 10 ** ((report.noise.weightedDbu + hissDb) / 20)) ** 2 * left;
}

function networkOf(plan: Plan, line: Line, shortedAt: string | undefined): { rig: Rig; system: System } {
  const whole = lineScope(plan, line);
  if (shortedAt === undefined) {
    const rig = compileRig(plan, whole, 'held');
    return { rig, system: new System(rig.net) };
  }
  const k = line.devices.indexOf(shortedAt);
  const rig = compileRig(plan, { devices: line.devices.slice(k), cables: line.cables.slice(k) }, 'held');
  const { port } = plan.cables[line.cables[k - 1]].to;
  const [p, q] = signalNodes(modelOf(plan.devices[shortedAt].model), port, rig.ports.get(`${shortedAt}.${port}`)!);
  rig.net.resistor('shorting-plug', p, q, SHORT_OHM);
  // A plug's shell ties its sleeve to what it is in.
  const nodes = rig.ports.get(`${shortedAt}.${port}`)!;
  if (portOf(modelOf(plan.devices[shortedAt].model), port)!.carries === 'balanced')
    rig.net.resistor('shorting-plug-shell', q, nodes.shield, SHORT_OHM);
  return { rig, system: new System(rig.net) };
}

export const dbOf = (power: number): number => 10 * Math.log10(Math.max(power, 1e-30));
