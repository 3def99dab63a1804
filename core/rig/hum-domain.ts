import type { Plan } from '../plan/schema';
import type { Node } from '../solver/network';
import type { Solution, System } from '../solver/system';
import type { Rig } from './builder';
import { HARMONICS, type HumSource, type Phase, phaseTurn, strayVolts } from './stray';

/** Ways the mains gets in, as one is told of them. `earths`: EMFs between supplies. */
export const HUM_KINDS = ['earths', 'leak', 'electric', 'winding', 'cable'] as const;
export type HumKind = (typeof HUM_KINDS)[number];
export const STRAYS = ['leak', 'electric', 'winding', 'cable'] as const satisfies readonly HumSource['kind'][];
/**
 * A piece of the rig, solved once with its earths held and afterwards joined to the others. Seen from the hosts and supplies
 * it hangs on (its boundaries, k of them) and its m inputs, it is a few numbers for each harmonic; all of them lie in one array, for
 * many pieces are read one after the other.
 */
export interface DomainHum {
  readonly bounds: readonly string[];
  /** Devices whose inputs are read. */
  readonly outs: readonly string[];
  /** By harmonic − 1: whether anything is there to drive it. */
  readonly sounds: Uint8Array;
  /** Harmonic by harmonic, complex, as `Layout` says. */
  readonly data: Float64Array;
}

/**
 * Places in a harmonic's numbers: admittance between boundaries (k·k), transfer from boundaries to inputs (m·k), amperes
 * pushed out at boundaries (k for each group of stray sources), volts at inputs with boundaries held (m for each group).
 * The groups are the kinds, where nothing else is said.
 */
export class Layout {
  readonly k: number;
  readonly m: number;
  readonly h: number;
  readonly pushed: number;
  readonly direct: number;
  readonly size: number;
  constructor({ bounds, outs }: Pick<DomainHum, 'bounds' | 'outs'>, groups: number = STRAYS.length) {
    this.k = bounds.length;
    this.m = outs.length;
    this.h = 2 * this.k * this.k;
    this.pushed = this.h + 2 * this.m * this.k;
    this.direct = this.pushed + 2 * groups * this.k;
    this.size = this.direct + 2 * groups * this.m;
  }
}

/** Whether any supply or stray source has this harmonic. */
export const sounds = (plan: Plan, h: number): boolean =>
  h % 2 === 1 || Object.values(plan.supplies).some((s) => s.dimmers && s.emf > 0);
/** Stray sources of one kind and one phase: between which unknowns each drives, and how much of it for one volt. */
interface Drives {
  readonly phase: Phase;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly weight: Float64Array;
  /** In series with capacitors: a volt drives jωC. */
  readonly capacitive: boolean;
}

/** Stray sources of one kind, told apart from all others. */
interface Group {
  readonly kind: HumSource['kind'];
  readonly sources: readonly HumSource[];
}

const PHASES: readonly Phase[] = [1, 2, 3];
/** Stray EMFs as currents across the parts they are in series with, by group and phase: amperes for a volt, over ω where the part is a capacitor. */
function drivesOf(groups: readonly Group[], like: Solution): Drives[][] {
  return groups.map(({ kind, sources }) => {
    const all = sources.flatMap((s) => s.parts.map((part) => ({ ...part, m2: s.m2 })));
    const field = kind === 'winding' || kind === 'cable';
    return PHASES.flatMap((phase) => {
      const parts = all.filter((part) => (part.phase ?? 1) === phase);
      if (parts.length === 0) return [];
      return {
        phase,
        capacitive: !field,
        from: Int32Array.from(parts, ({ a }) => like.unknownOf[a]),
        to: Int32Array.from(parts, ({ b }) => like.unknownOf[b]),
        weight: Float64Array.from(
          parts,
          ({ ohm, farad, share = 1, m2 }) => share * (field ? m2 : 1) * (ohm === undefined ? farad! : 1 / ohm)
        )
      };
    });
  });
}

/** What the sources of a kind and phase make at an adjoint's output at a harmonic, added to what is in `data`. */
function sum(
  { re, im }: Solution,
  { phase, from, to, weight, capacitive }: Drives,
  volts: number,
  hz: number,
  h: number,
  data: Float64Array,
  at: number
): void {
  if (volts === 0) return;
  let r = 0;
  let x = 0;
  for (let k = 0; k < weight.length; k++) {
    const i = from[k];
    const j = to[k];
    r += weight[k] * ((i < 0 ? 0 : re[i]) - (j < 0 ? 0 : re[j]));
    x += weight[k] * ((i < 0 ? 0 : im[i]) - (j < 0 ? 0 : im[j]));
  }
  const omega = 2 * Math.PI * hz;
  const [ampere, reactive] = capacitive ? [-x * volts * omega, r * volts * omega] : [r * volts, x * volts];
  const [c, s] = phaseTurn(phase, h);
  data[at] += ampere * c - reactive * s;
  data[at + 1] += ampere * s + reactive * c;
}

/** Inputs to read, by device, with the nodes between which they stand. */
type Outs = readonly (readonly [string, readonly [Node, Node]])[];

/**
 * Solves a piece for all harmonics of the mains: one adjoint solve for each boundary and each input gives its answer to
 * everything. Exact, not an approximation: the rest of the rig sees it through its boundaries only (Schur complement).
 * @param rig compiled with earths held
 * @throws CircuitError
 */
export function domainHum(plan: Plan, rig: Rig, system: System, outs: Outs): DomainHum {
  return solveGroups(
    plan,
    rig,
    system,
    outs,
    STRAYS.map((kind) => ({ kind, sources: rig.hums.filter((s) => s.kind === kind) }))
  );
}

/**
 * As `domainHum`, for stray sources of any strength, solved once: all of it is a sum over the sources.
 * @returns the piece with each source so many times as strong as it is
 * @throws CircuitError
 */
export function humBySource(
  plan: Plan,
  rig: Rig,
  system: System,
  outs: Outs
): (times: (source: HumSource) => number) => DomainHum {
  const { hums } = rig;
  const each = solveGroups(
    plan,
    rig,
    system,
    outs,
    hums.map((source) => ({ kind: source.kind, sources: [source] }))
  );
  const from = new Layout(each, hums.length);
  const to = new Layout(each);
  const kinds = hums.map(({ kind }) => STRAYS.indexOf(kind));
  return (times) => {
    const data = new Float64Array(to.size * HARMONICS);
    const strengths = hums.map(times);
    for (let harmonic = 0; harmonic < HARMONICS; harmonic++) {
      if (!each.sounds[harmonic]) continue;
      const source = harmonic * from.size;
      const base = harmonic * to.size;
      data.set(each.data.subarray(source, source + from.pushed), base);
      /** One row of numbers for each source becomes one for each kind. */
      const add = (at: number, into: number, width: number): void =>
        strengths.forEach((strength, s) => {
          for (let k = 0; k < 2 * width; k++)
            data[into + 2 * kinds[s] * width + k] += strength * each.data[at + 2 * s * width + k];
        });
      add(source + from.pushed, base + to.pushed, from.k);
      add(source + from.direct, base + to.direct, from.m);
    }
    return { ...each, data };
  };
}

function solveGroups(plan: Plan, rig: Rig, system: System, outs: Outs, groups: readonly Group[]): DomainHum {
  const { bounds } = rig;
  const shape = {
    bounds,
    outs: outs.map(([id]) => id),
    sounds: Uint8Array.from({ length: HARMONICS }, (_, k) => (sounds(plan, k + 1) ? 1 : 0))
  };
  const layout = new Layout(shape, groups.length);
  const { k, m } = layout;
  const data = new Float64Array(layout.size * HARMONICS);
  const adjoint: Solution = system.blank();
  const drives = drivesOf(groups, adjoint);
  const branches = bounds.map((bound) => adjoint.branch(`bound:${bound}`));
  const volts = new Float64Array(groups.length);
  /** Writes what each boundary's volts make at the adjoint's output, and what each kind of stray does, `step` places apart. */
  const read = (h: number, byBound: number, sign: number, byKind: number, step: number): void => {
    for (let j = 0; j < k; j++) {
      data[byBound + 2 * j] = sign * adjoint.re[branches[j]];
      data[byBound + 2 * j + 1] = sign * adjoint.im[branches[j]];
    }
    drives.forEach((drive, g) => {
      for (const of of drive) sum(adjoint, of, volts[g], system.hz, h, data, byKind + 2 * g * step);
    });
  };
  for (let h = 1; h <= HARMONICS; h++) {
    if (!shape.sounds[h - 1]) continue;
    const base = (h - 1) * layout.size;
    system.at(plan.policy.mainsHz * h);
    groups.forEach(({ kind }, g) => (volts[g] = strayVolts(plan.policy, kind, 1, h)));
    for (let i = 0; i < k; i++) {
      system.solveAdjointCurrent(`bound:${bounds[i]}`, adjoint);
      // What leaves through a boundary is what the others receive; its answer to their volts is an admittance.
      read(h, base + 2 * i * k, -1, base + layout.pushed + 2 * i, k);
    }
    for (let o = 0; o < m; o++) {
      system.solveAdjoint(...outs[o][1], adjoint);
      read(h, base + layout.h + 2 * o * k, 1, base + layout.direct + 2 * o, m);
    }
  }
  return { ...shape, data };
}
