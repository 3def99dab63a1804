import { modelAt, settingsAt } from '../plan/devices';
import { isComplete, type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { benchOf, sourceOf } from '../rig/bench';
import { ownResponse } from '../rig/own';
import { phantomOf } from '../rig/phantom';
import { probe } from '../rig/probe';
import { shapeOf } from '../rig/solve';
import { starved } from '../rig/spans';
import { portOf } from '../gear/catalogue';
import { NoiseReader } from '../solver/noise';
import { minimumPhase } from './minimum-phase';
import type { Curve } from './rational';

/** A line's network as it is heard: complex response to every stage that can be too small, to the input, and the hiss there. */

/** Something on the way that takes no more than so much. */
export interface Stage {
  readonly device: string;
  readonly end: 'in' | 'out';
  /** Volts there for a volt of the source’s EMF. */
  readonly curve: Curve;
  /** What it takes at most, volts peak; of a core at `lowest`. */
  readonly most: number;
  /** A core carries so much flux and no more: half of it an octave lower. Null for a stage with rails. */
  readonly lowest: number | null;
}
export interface Transfer {
  /** Volts at the input, its own equalisation included, for a volt of the source’s EMF. */
  readonly out: Curve;
  /** In the order in which the signal meets them. */
  readonly stages: readonly Stage[];
  /** Noise at the input behind its equalisation, volts a root of hertz; null where nothing amplifies. */
  readonly hiss: { readonly hz: Float64Array; readonly density: Float64Array } | null;
  /** Source’s EMF: average playing, volts RMS; and the most that it gives, volts peak, Infinity where nothing bounds it. */
  readonly nominal: number;
  readonly rail: number;
}

/** Points an octave, from well below what is heard to just under half of 44.1 kHz. */
const PER_OCTAVE = 16;
const FROM = 2;
const TO = 21_800;
const GRID = Float64Array.from(
  { length: Math.round(Math.log2(TO / FROM) * PER_OCTAVE) + 1 },
  (_, k) => FROM * (TO / FROM) ** (k / Math.round(Math.log2(TO / FROM) * PER_OCTAVE))
);

/** @throws CircuitError where the network cannot be solved; Error where the line has no source or no input */
export function transferOf(plan: Plan, line: Line): Transfer {
  if (!isComplete(plan, line)) throw new Error(`line ${line.id} has no source or no input`);
  const { rig, system } = benchOf(plan, lineScope(plan, line));
  system.sourcesOf = sourceOf(line);
  const probes = line.cables.map((cable) => probe(plan, rig, cable));
  const ends = probes.flatMap((p) => [p.near, p.far]);
  const [re, im] = [ends.map(() => new Float64Array(GRID.length)), ends.map(() => new Float64Array(GRID.length))];
  const sense = rig.senses.get(line.id) ?? null;
  const [scratch, adjoint] = [system.blank(), system.blank()];
  const reader = sense && new NoiseReader(system.network, adjoint);
  const into = new Float64Array(reader?.sources.length ?? 0);
  const density = new Float64Array(GRID.length);
  GRID.forEach((hz, k) => {
    system.at(hz).solveSources(scratch);
    ends.forEach((nodes, e) => ([re[e][k], im[e][k]] = scratch.voltage(...nodes)));
    if (!sense || !reader) return;
    density[k] = Math.sqrt(reader.read(system.solveAdjoint(...sense.nodes, adjoint), 0, into) + sense.density ** 2);
  });

  const shaped = shapes(plan, line);
  const curveOf = (e: number, shape: Shape | null): Curve =>
    shape ? turned({ hz: GRID, re: re[e], im: im[e] }, shape) : { hz: GRID, re: re[e], im: im[e] };
  const source = settingsAt(plan, line.devices[0]);
  const phantom = phantomOf(plan, line);
  const stages = line.cables.flatMap((cable, k): Stage[] => {
    const { from, to } = plan.cables[cable];
    return [from, to].flatMap(({ device, port }, side): Stage[] => {
      const e = 2 * k + side;
      // The source is what it is, up to its own rails; of a device that the line goes through both ends count.
      if (e === 0) return [];
      const model = modelAt(plan, device);
      const read = settingsAt(plan, device, side === 0 ? line.cables[k - 1] : cable);
      const limits = model.clip?.(starved(read, device, phantom), source.notes.low);
      const way = portOf(model, port)!.way;
      const volts = way === 'in' ? limits?.in : (limits?.out ?? (port === 'thru' ? limits?.in : undefined));
      if (volts === undefined) return [];
      const core = model.isolated === true && !model.buffers;
      return [
        {
          ...{ device, end: side === 0 ? ('out' as const) : ('in' as const), most: volts * Math.SQRT2 },
          ...{ curve: curveOf(e, shaped.before(device)), lowest: core ? source.notes.low : null }
        }
      ];
    });
  });
  const rail = source.model.clip?.(source, source.notes.low).out;
  const end = shaped.end;
  return {
    out: curveOf(ends.length - 1, shaped.all),
    stages,
    hiss: sense ? { hz: GRID, density: end ? density.map((d, k) => d * 10 ** (end(GRID[k]) / 20)) : density } : null,
    nominal: source.value('nominal'),
    rail: rail === undefined ? Infinity : rail * Math.SQRT2
  };
}

/** What is known of a response as a magnitude alone, dB at a frequency. */
type Shape = (hz: number) => number;

/** Responses that no network has: a record’s, a phono stage’s, measured ones. */
function shapes(
  plan: Plan,
  line: Line
): { all: Shape | null; end: Shape | null; before: (device: string) => Shape | null } {
  const source = settingsAt(plan, line.devices[0]);
  const { shape } = source.model;
  const first: Shape | null = shape ? (hz) => shape(source, hz) : null;
  const end = shapeOf(plan, line) ?? null;
  const measured = line.devices.map((id) => ownResponse(plan, id));
  const sum = (some: readonly (Shape | null)[]): Shape | null => {
    const there = some.filter((s) => s !== null);
    return there.length === 0 ? null : (hz) => there.reduce((db, s) => db + s(hz), 0);
  };
  return {
    all: sum([first, ...measured, end]),
    end,
    before: (device) => sum([first, ...measured.slice(0, line.devices.indexOf(device) + 1)])
  };
}

/** What no network has of a line’s response: dB at a frequency; null where that is nothing. */
export const responseShape = (plan: Plan, line: Line): Shape | null => shapes(plan, line).all;

/** A curve times a magnitude with the least phase that it can have. */
function turned({ hz, re, im }: Curve, shape: Shape): Curve {
  const phase = minimumPhase(shape, hz);
  const out = { hz, re: new Float64Array(hz.length), im: new Float64Array(hz.length) };
  hz.forEach((f, k) => {
    const size = 10 ** (shape(f) / 20);
    const [c, s] = [size * Math.cos(phase[k]), size * Math.sin(phase[k])];
    out.re[k] = re[k] * c - im[k] * s;
    out.im[k] = re[k] * s + im[k] * c;
  });
  return out;
}
