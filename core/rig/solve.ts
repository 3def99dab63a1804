import type { System, Solution } from '../solver/system';
import { settingsAt } from '../plan/devices';
import { isComplete, type Line, lineScope } from '../plan/lines';
import type { Plan } from '../plan/schema';
import type { Rig, Sense } from './builder';
import { logGrid, refineAround } from './grid';
import { idealResponse } from './ideal';
import { type Noise, NoiseSum } from './noise';
import { ownResponse } from './own';
import { type Phantom, phantomOf } from './phantom';
import { curve, CURVES, probe, type Probe, readProbes } from './probe';
import { alwaysOf, sweepAdaptive } from './sweep';
import { spansOf, type Span } from './spans';
import { benchOf, sourceOf, type SolveOptions } from './bench';

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
