import { magnitude, type Solution, System } from '../solver/system';
import type { Node } from '../solver/network';
import { PHANTOM_VOLTS } from '../gear/boxes';
import { portOf, type DeviceSettings } from '../gear/catalogue';
import { modelAt, settingsAt } from '../plan/devices';
import { isComplete, type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { toDb, toDbu } from '../units/quantity';
import type { Rig, Scope, Sense } from './builder';
import { commonMode } from './common';
import { compileRig, signalNodes } from './compile';
import { type Legs, legsOf } from './contacts';
import { bandLevel, logGrid, refineAround } from './grid';
import { idealResponse } from './ideal';
import { type Noise, NoiseSum } from './noise';
import { ownResponse } from './own';
import { type Phantom, phantomOf } from './phantom';
import { curve, CURVES, probe, type Probe, readProbes } from './probe';
import { alwaysOf, sweepAdaptive } from './sweep';

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

export interface LineSolution {
  readonly line: Line;
  readonly hz: Float64Array;
  readonly spans: readonly Span[];
  /** The same source into 10 MΩ with no cable, dB re its EMF. */
  readonly idealDb: Float64Array;
  /** What the input's stage makes of it, the source's own curve included: terminals plus equalisation, dB. */
  readonly soundDb: Float64Array;
  /** At the input; null where nothing amplifies. */
  readonly noise: Noise | null;
  readonly phantom: Phantom | null;
  readonly rig: Rig;
}

/** Grids as fine as this are refined round a resonance, points an octave. */
const REFINED = 12;

/** ln of a ratio, per decibel. */
const PER_DB = Math.LN10 / 20;

/** A piece of a plan with its network, compiled once for all that is asked of it. */
export interface Bench {
  readonly rig: Rig;
  readonly system: System;
}
/** @throws CircuitError naming the part when the network cannot be solved */
export function benchOf(plan: Plan, scope: Scope): Bench {
  const rig = compileRig(plan, scope, 'held');
  return { rig, system: new System(rig.net) };
}

export interface SolveOptions {
  /** Points an octave; 24 unless told. */
  readonly perOctave?: number;
  /** Computes every point of the grid instead of interpolating where the curve is smooth. */
  readonly exact?: boolean;
  readonly bench?: Bench;
}

/** Nodes where an input is read: behind its own amplifier's noise where it has one. */
export function senseOf(plan: Plan, rig: Rig, cable: string): readonly [Node, Node] {
  const { to } = plan.cables[cable];
  const own = rig.senses.get(to.device);
  return own?.nodes ?? signalNodes(modelAt(plan, to.device), to.port, rig.ports.get(`${to.device}.${to.port}`)!);
}

/** Where each of these lines is read at its input, by line. */
export const inputsOf = (plan: Plan, rig: Rig, lines: readonly Line[]) =>
  lines.map((line) => [line.id, senseOf(plan, rig, line.cables[line.cables.length - 1])] as const);

/** Parts of a line's own source: other sources that share its network stay silent. */
export const sourceOf = (line: Line): ((part: string) => boolean) => {
  const own = `${line.devices[0]}/`;
  return (part) => part.startsWith(own);
};

/**
 * Solves one complete line: response, impedances, levels, noise and phantom at every join.
 * @throws CircuitError naming the part when the network cannot be solved
 */
export function solveLine(plan: Plan, line: Line, options: SolveOptions = {}): LineSolution {
  if (!isComplete(plan, line)) throw new Error(`line ${line.id} has no source or no input`);
  const { rig, system } = options.bench ?? benchOf(plan, lineScope(plan, line));
  system.sourcesOf = sourceOf(line);
  const probes = line.cables.map((cable) => probe(plan, rig, cable));
  const coarse = logGrid(options.perOctave);
  const end = shapeOf(plan, line);
  const swept = sweepLine(
    system,
    probes,
    coarse,
    line.id,
    rig.senses.get(line.id) ?? null,
    end,
    options.exact ?? false
  );
  const far = swept.curves[(probes.length - 1) * CURVES + curve.far];
  // A coarse answer, for ranking or for draws, does without the very tip of a resonance.
  const extra = (options.perOctave ?? REFINED) >= REFINED ? refineAround(coarse, far) : [];
  const { hz, curves } = withExtra(system, probes, coarse, swept.curves, extra);
  applyOwn(plan, line, hz, curves);
  const phantom = phantomOf(plan, line);
  const spans = spansOf(plan, line, rig, hz, curves, phantom, system);
  const source = settingsAt(plan, line.devices[0]);
  const shape = hz.map((f) => (source.model.shape?.(source, f) ?? 0) + (end?.(f) ?? 0));
  return {
    line,
    hz,
    spans,
    idealDb: idealResponse(plan, line.devices[0], coarse, hz),
    soundDb: spans[spans.length - 1].far.gainDb.map((db, k) => db + shape[k]),
    noise: swept.noise,
    phantom,
    rig
  };
}

/** What a line's input makes of a frequency behind its terminals, dB; undefined where it leaves all alike. */
export function shapeOf(plan: Plan, line: Line): ((hz: number) => number) | undefined {
  const read = settingsAt(plan, line.id, line.cables[line.cables.length - 1]);
  const { shape } = read.model;
  return shape && ((hz) => shape(read, hz));
}

interface Swept {
  readonly curves: Float64Array[];
  readonly noise: Noise | null;
}

function sweepLine(
  system: System,
  probes: readonly Probe[],
  hz: Float64Array,
  device: string,
  sense: Sense | null,
  shape: ((hz: number) => number) | undefined,
  exact: boolean
): Swept {
  const scratch = system.blank();
  const sum = sense ? new NoiseSum(system, device, sense) : null;
  const octave = Math.log(hz[1] / hz[0]);
  const last = hz.length - 1;
  // Noise is read at three points an octave, whatever the response does between them.
  const step = exact ? 1 : alwaysOf(hz);
  const tail = Math.floor(last / step) * step;
  const curves = sweepAdaptive(
    hz.length,
    probes.length * CURVES,
    (k, row) => {
      system.at(hz[k]);
      readProbes(system, probes, scratch, row);
      if (!sum || (k % step !== 0 && k !== last)) return;
      // Trapezoids over ln f: half a step at the ends, what is left over at the last one.
      const left = k === 0 ? 0 : k === last ? last - (last === tail ? last - step : tail) : step;
      const right = k === last ? 0 : k === tail ? last - tail : step;
      sum.take((hz[k] * octave * (left + right)) / 2, shape?.(hz[k]));
    },
    step
  );
  return { curves, noise: sum ? sum.finish() : null };
}

/** Puts the frequencies round a resonance in their places. */
function withExtra(
  system: System,
  probes: readonly Probe[],
  coarse: Float64Array,
  curves: readonly Float64Array[],
  extra: readonly number[]
): { hz: Float64Array; curves: Float64Array[] } {
  if (extra.length === 0) return { hz: coarse, curves: curves.slice() };
  const scratch: Solution = system.blank();
  const fresh = [...extra].sort((a, b) => a - b);
  const row = new Float64Array(curves.length);
  const hz = new Float64Array(coarse.length + fresh.length);
  const out = curves.map(() => new Float64Array(hz.length));
  for (let at = 0, k = 0, e = 0; at < hz.length; at++) {
    const extraNext = e < fresh.length && (k >= coarse.length || fresh[e] < coarse[k]);
    if (extraNext) {
      hz[at] = fresh[e++];
      readProbes(system.at(hz[at]), probes, scratch, row);
      for (let c = 0; c < out.length; c++) out[c][at] = row[c];
    } else {
      hz[at] = coarse[k];
      for (let c = 0; c < out.length; c++) out[c][at] = curves[c][k];
      k++;
    }
  }
  return { hz, curves: out };
}

/** Adds measured responses of own models to all that comes after them. */
function applyOwn(plan: Plan, line: Line, hz: Float64Array, curves: Float64Array[]): void {
  line.cables.forEach((_, from) => {
    const own = ownResponse(plan, line.devices[from]);
    if (!own) return;
    const db = hz.map(own);
    for (let k = from; k < line.cables.length; k++)
      for (const c of [curve.near, curve.far]) {
        const at = k * CURVES + c;
        curves[at] = curves[at].map((x, f) => x + db[f]);
      }
  });
}

function spansOf(
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
  const point = (device: string, port: string, gainDb: Float64Array, through?: string): Point => {
    const gain = bandLevel(hz, gainDb, low, high);
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

/** The rails of a box on phantom are no higher than what the feed leaves it. */
function starved(
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
