import { divide, magnitude, minus, type Solution, System } from '../circuit/system';
import type { Node } from '../circuit/network';
import { modelOf, portOf, Readings } from '../gear/catalogue';
import { isComplete, type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { toDb, toDbu } from '../units/quantity';
import { compileRig, type Rig, signalNodes } from './compile';
import { bandLevel, logGrid, refineAround } from './grid';

/** One end of a cable: the level there. */
export interface Point {
  readonly device: string;
  readonly port: string;
  /** Signal voltage over the source's EMF, dB, on the grid. */
  readonly gainDb: Float64Array;
  /** Average playing, peak, and the largest undistorted level, dBu. Clip is Infinity where nothing can clip. */
  readonly nominalDbu: number;
  readonly peakDbu: number;
  readonly clipDbu: number;
}

/** One cable of the line with what it joins. */
export interface Span {
  readonly cable: string;
  readonly near: Point;
  readonly far: Point;
  /** What the output sees and what it has behind it, ohms on the grid; null behind a joint, which has no output of its own. */
  readonly zin: Float64Array | null;
  readonly zout: Float64Array | null;
  readonly mated: readonly [boolean, boolean];
  /** Both of the output's contacts reach the cable's two cores, and both of those the input's: no leg is on the shield. */
  readonly balanced: boolean;
  /** The output's cold (or right) contact has been put on its shield by the plug. */
  readonly coldOnShield: boolean;
}

export interface LineSolution {
  readonly line: Line;
  readonly hz: Float64Array;
  readonly spans: readonly Span[];
  /** The same source into 10 MΩ with no cable, dB re its EMF. */
  readonly idealDb: Float64Array;
  /** Mains hum at the input from the earth EMFs of this line's own supplies, fundamental only, volts RMS, worst phase. */
  readonly humVolts: number;
  readonly rig: Rig;
}

/** What a source is compared with: next to no load, ohms. */
const IDEAL_OHM = 10e6;

/**
 * Solves one complete line: response, impedances and levels at every join.
 * @throws CircuitError naming the part when the network cannot be solved
 */
export function solveLine(plan: Plan, line: Line, perOctave?: number): LineSolution {
  if (!isComplete(plan, line)) throw new Error(`line ${line.id} has no source or no input`);
  const rig = compileRig(plan, lineScope(plan, line));
  const system = new System(rig.net);
  const probes = line.cables.map((cable) => probe(plan, rig, cable));
  const coarse = logGrid(perOctave);
  const first = sweep(system, probes, rig, coarse);
  const extra = refineAround(coarse, first.far[first.far.length - 1]);
  const hz = Float64Array.from([...coarse, ...extra]).sort();
  const swept =
    extra.length === 0 ? first : merge(hz, coarse, first, extra, sweep(system, probes, rig, Float64Array.from(extra)));

  const sourceId = line.devices[0];
  const read = new Readings(modelOf(plan.devices[sourceId].model), plan.devices[sourceId].settings);
  const nominal = toDbu(read.value('nominal'));
  const ownClip = modelOf(plan.devices[sourceId].model).clip?.(read, read.notes.low).out;
  // A source cannot peak above its own rails.
  const peak = Math.min(nominal + read.value('crest'), ownClip === undefined ? Infinity : toDbu(ownClip));
  const { low, high } = read.notes;
  const point = (device: string, port: string, gainDb: Float64Array): Point => {
    const gain = bandLevel(hz, gainDb, low, high);
    const model = modelOf(plan.devices[device].model);
    const own = new Readings(model, plan.devices[device].settings);
    const limits = model.clip?.(own, low);
    const spec = portOf(model, port)!;
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
  const spans = line.cables.map((cable, k): Span => {
    const { from, to } = plan.cables[cable];
    return {
      cable,
      near: point(from.device, from.port, swept.near[k]),
      far: point(to.device, to.port, swept.far[k]),
      zin: swept.zin[k],
      zout: swept.zout[k],
      mated: rig.mated.get(cable)!,
      ...legs(plan, rig, cable)
    };
  });
  const output = probes[probes.length - 1].far;
  return {
    line,
    hz,
    spans,
    idealDb: idealResponse(plan, sourceId, hz),
    humVolts: humAt(plan, rig, system, output),
    rig
  };
}

/** Which contacts the plugs have joined, read off the network's wires. */
function legs(plan: Plan, rig: Rig, cable: string): Pick<Span, 'balanced' | 'coldOnShield'> {
  const ends = [plan.cables[cable].from, plan.cables[cable].to].map((end) => {
    const nodes = rig.ports.get(`${end.device}.${end.port}`)!;
    const spec = portOf(modelOf(plan.devices[end.device].model), end.port)!;
    const apart = rig.net.root(nodes.cold) !== rig.net.root(nodes.shield);
    return { apart, two: spec.carries !== 'unbalanced', balanced: spec.carries === 'balanced' };
  });
  let last = 0;
  while (rig.net.has(`${cable}/s${last + 1}`)) last++;
  const core = `${cable}/b${last}`;
  // The plug at the far end may do it as well, by way of the second core.
  const joinedFar =
    rig.net.has(core) && rig.net.root(rig.net.node(core)) === rig.net.root(rig.net.node(`${cable}/s${last}`));
  return {
    balanced: ends.every((end) => end.balanced && end.apart),
    coldOnShield: ends[0].two && (!ends[0].apart || joinedFar)
  };
}

/** Sum of what each supply's EMF does at the output, by one adjoint solve at the mains frequency. */
function humAt(plan: Plan, rig: Rig, system: System, [a, b]: readonly [Node, Node]): number {
  const adjoint = system.at(plan.policy.mainsHz).solveAdjoint(a, b);
  let volts = 0;
  for (const [id, supply] of Object.entries(plan.supplies)) {
    if (rig.net.has(`supply:${id}`)) volts += supply.emf * magnitude(adjoint.current(`supply:${id}/emf`));
  }
  return volts;
}

interface Probe {
  readonly near: readonly [Node, Node];
  readonly far: readonly [Node, Node];
  /** Where a test current is put in to read both impedances; null behind a joint. */
  readonly inject: { a: Node; b: Node; meter: string } | null;
}

function probe(plan: Plan, rig: Rig, cable: string): Probe {
  const { from, to } = plan.cables[cable];
  const near = modelOf(plan.devices[from.device].model);
  const far = modelOf(plan.devices[to.device].model);
  const nearNodes = rig.ports.get(`${from.device}.${from.port}`)!;
  const farNodes = rig.ports.get(`${to.device}.${to.port}`)!;
  const pair = signalNodes(near, from.port, nearNodes);
  return {
    near: pair,
    far: signalNodes(far, to.port, farNodes),
    inject: near.family === 'joint' ? null : { a: rig.net.node(`${cable}/a0`), b: pair[1], meter: rig.meter(cable) }
  };
}

interface Sweep {
  near: Float64Array[];
  far: Float64Array[];
  zin: (Float64Array | null)[];
  zout: (Float64Array | null)[];
}

function sweep(system: System, probes: readonly Probe[], rig: Rig, hz: Float64Array): Sweep {
  const fresh = (): Float64Array => new Float64Array(hz.length);
  const out: Sweep = {
    near: probes.map(fresh),
    far: probes.map(fresh),
    zin: probes.map((p) => (p.inject ? fresh() : null)),
    zout: probes.map((p) => (p.inject ? fresh() : null))
  };
  const solution: Solution = system.blank();
  for (let f = 0; f < hz.length; f++) {
    system.at(hz[f]).solveSources(solution);
    probes.forEach((p, k) => {
      out.near[k][f] = toDb(magnitude(solution.voltage(...p.near)));
      out.far[k][f] = toDb(magnitude(solution.voltage(...p.far)));
    });
    probes.forEach((p, k) => {
      if (!p.inject) return;
      system.solveInjection(p.inject.a, p.inject.b, solution);
      const volts = solution.voltage(p.inject.a, p.inject.b);
      // One ampere divides: what flows back through the meter enters the output, the rest enters the load.
      const [re, im] = solution.current(p.inject.meter);
      const back = [-re, -im] as const;
      out.zout[k]![f] = magnitude(divide(volts, back));
      out.zin[k]![f] = magnitude(divide(volts, minus([1, 0], back)));
    });
  }
  return out;
}

/** Puts the refined frequencies in their places. */
function merge(hz: Float64Array, coarse: Float64Array, a: Sweep, extra: readonly number[], b: Sweep): Sweep {
  const place = new Map<number, [Sweep, number]>();
  coarse.forEach((f, k) => place.set(f, [a, k]));
  extra.forEach((f, k) => place.set(f, [b, k]));
  const pick = (read: (s: Sweep) => Float64Array): Float64Array =>
    hz.map((f) => {
      const [s, k] = place.get(f)!;
      return read(s)[k];
    });
  return {
    near: a.near.map((_, i) => pick((s) => s.near[i])),
    far: a.far.map((_, i) => pick((s) => s.far[i])),
    zin: a.zin.map((z, i) => z && pick((s) => s.zin[i]!)),
    zout: a.zout.map((z, i) => z && pick((s) => s.zout[i]!))
  };
}

/** Response of a source alone into 10 MΩ. */
function idealResponse(plan: Plan, sourceId: string, hz: Float64Array): Float64Array {
  const device = plan.devices[sourceId];
  const model = modelOf(device.model);
  const rig = compileRig({ ...plan, devices: { [sourceId]: device } }, { devices: [sourceId], cables: [] });
  const { net } = rig;
  const [a, b] = signalNodes(model, 'out', rig.ports.get(`${sourceId}.out`)!);
  net.resistor('ideal-load', a, b, IDEAL_OHM);
  const system = new System(net);
  const solution = system.blank();
  return hz.map((f) => toDb(magnitude(system.at(f).solveSources(solution).voltage(a, b))));
}

/**
 * Gain from the source's EMF to the line's far terminals at chosen frequencies, dB.
 * @param hz frequencies in hertz, any order
 */
export function gainAt(plan: Plan, line: Line, hz: Float64Array): Float64Array {
  const rig = compileRig(plan, lineScope(plan, line));
  const probes = [probe(plan, rig, line.cables[line.cables.length - 1])];
  return sweep(new System(rig.net), probes, rig, hz).far[0];
}
