import type { Rig } from './builder';
import type { Plan } from '../plan/schema';
import { lineScope, type Line } from '../plan/lines';
import { legsOf, type Legs } from './contacts';
import { type Point, sourceOf, PER_DB } from './bench';
import { PHANTOM_VOLTS } from '../gear/boxes';
import { type DeviceSettings, portOf, hasTrait } from '../gear/catalogue';
import type { Phantom } from './phantom';
import { System, magnitude } from '../solver/system';
import { toDb, toDbu } from '../units/quantity';
import { compileRig } from './compile';
import { CURVES, curve, probe } from './probe';
import { settingsAt, modelAt } from '../plan/devices';
import { commonMode } from './common';
import { bandLevel } from './grid';

/** One cable of the line with what it joins. */
export interface Span extends Legs {
  readonly cable: string;
  readonly near: Point;
  readonly far: Point;
  /** What the output sees and what it has behind it, ohms on the grid; null behind a joint, which has no output of its own. */
  readonly zin: Float64Array | null;
  readonly zout: Float64Array | null;
  readonly mated: readonly [boolean, boolean];
  /** Rejection of what all conductors carry alike, dB at the mains frequency; null where this stretch is not balanced. */
  readonly cmrrDb: number | null;
}
/** The rails of a box on phantom are no higher than what the feed leaves it. */
export function starved(
  read: DeviceSettings,
  device: string,
  phantom: Phantom | null
): Pick<DeviceSettings, 'value' | 'choice'> {
  if (phantom?.device !== device || read.feed !== 'phantom') return read;
  const ideal = PHANTOM_VOLTS;
  return {
    choice: (name) => read.choice(name),
    value: (name) =>
      name === 'regulator' && phantom.volts < ideal ? Math.min(read.value(name), phantom.volts) : read.value(name)
  };
}

/**
 * Gain from the source's EMF to the line's far terminals at chosen frequencies, dB.
 * @param hz frequencies in hertz, any order
 */
export function gainAt(plan: Plan, line: Line, hz: Float64Array): Float64Array {
  const rig = compileRig(plan, lineScope(plan, line));
  const { far } = probe(plan, rig, line.cables[line.cables.length - 1]);
  const system = new System(rig.net);
  const scratch = system.blank();
  system.sourcesOf = sourceOf(line);
  return hz.map((f) =>
    toDb(
      magnitude(
        system
          .at(f)
          .solveSources(scratch)
          .voltage(...far)
      )
    )
  );
}

export function spansOf(
  plan: Plan,
  line: Line,
  rig: Rig,
  hz: Float64Array,
  curves: readonly Float64Array[],
  phantom: Phantom | null,
  system: System
): Span[] {
  const source = settingsAt(plan, line.devices[0]);
  const { low, high } = source.notes;
  const nominal = toDbu(source.value('nominal'));
  const ownClip = source.model.clip?.(source, low).out;
  // A source cannot peak above its own rails.
  const peak = Math.min(nominal + source.value('crest'), ownClip === undefined ? Infinity : toDbu(ownClip));
  // What was recorded with its bass lowered is raised again by a phono stage: together they are flat, and so is the level behind it.
  const stage = line.devices.findIndex((id) => hasTrait(plan.devices[id].model, 'phono-stage'));
  const lowered = stage < 0 ? null : hz.map((f) => source.model.shape?.(source, f) ?? 0);
  const behindStage = (device: string, port: string): boolean => {
    const at = line.devices.indexOf(device);
    return at > stage || (at === stage && port !== 'in');
  };
  const point = (device: string, port: string, gainDb: Float64Array, through?: string): Point => {
    const level = lowered && behindStage(device, port) ? gainDb.map((db, k) => db + lowered[k]) : gainDb;
    const gain = bandLevel(hz, level, low, high);
    const read = settingsAt(plan, device, through);
    const limits = read.model.clip?.(starved(read, device, phantom), low);
    const spec = portOf(read.model, port)!;
    const clip = spec.way === 'in' ? limits?.in : (limits?.out ?? (port === 'thru' ? limits?.in : undefined));
    return {
      device,
      port,
      gainDb,
      nominalDbu: nominal + gain,
      peakDbu: peak + gain,
      clipDbu: clip === undefined ? Infinity : toDbu(clip)
    };
  };
  const ohms = (db: Float64Array): Float64Array => db.map((x) => Math.exp(x * PER_DB));
  return line.cables.map((cable, k): Span => {
    const { from, to } = plan.cables[cable];
    const of = (c: number): Float64Array => curves[k * CURVES + c];
    const joint = modelAt(plan, from.device).family === 'joint';
    const legs = legsOf(plan, rig, cable);
    return {
      cable,
      near: point(from.device, from.port, of(curve.near), line.cables[k - 1]),
      far: point(to.device, to.port, of(curve.far), cable),
      zin: joint ? null : ohms(of(curve.zin)),
      zout: joint ? null : ohms(of(curve.zout)),
      mated: rig.mated.get(cable)!,
      cmrrDb: legs.balanced ? commonMode(plan, rig, system, cable) : null,
      ...legs
    };
  });
}
