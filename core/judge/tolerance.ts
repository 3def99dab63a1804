import { resolve } from '../plan/resolved';
import { CABLES } from '../gear/cables';
import { modelOf } from '../gear/catalogue';
import { settingsAt } from '../plan/devices';
import { type Domain } from '../plan/lines';
import type { Cable, Device, Plan } from '../plan/schema';
import { judgeLine } from './judge';
import { rank, type Severity, worst } from './types';
import { type Around, SolvedRig } from './solved-rig';

/** A small, well-spread generator of numbers in [0, 1): 32 bits, as good as draws of values need. */
export function mulberry32(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A draw from the triangle over min–typ–max; of spans of more than three to one, on a logarithmic axis. */
export function triangular(u: number, min: number, typ: number, max: number): number {
  if (!(max > min)) return typ;
  if (min > 0 && max / min > 3)
    return Math.exp(triangular(u, Math.log(min), Math.log(Math.max(typ, min)), Math.log(max)));
  const turn = (typ - min) / (max - min);
  return u < turn
    ? min + Math.sqrt(u * (max - min) * (typ - min))
    : max - Math.sqrt((1 - u) * (max - min) * (max - typ));
}

/** Points an octave of a run's response. */
const PER_OCTAVE = 3;
/** Positions of knobs are set, not spread. */
const KNOBS = new Set(['gain', 'trim', 'turn', 'bright', 'level', 'low', 'high']);
/** EMFs between earths are known to a factor of two either way. */
const EMF_SPREAD = 2;

/** A plan with every value of a piece that was not set by hand drawn from its spread. */
export function drawPlan(plan: Plan, scope: Pick<Domain, 'devices' | 'cables'>, random: () => number): Plan {
  const draft = { ...plan, devices: { ...plan.devices }, cables: { ...plan.cables }, supplies: { ...plan.supplies } };
  for (const id of scope.devices) draft.devices[id] = drawDevice(plan, plan.devices[id], random);
  for (const id of scope.cables) draft.cables[id] = drawCable(plan.cables[id], random);
  for (const [id, supply] of Object.entries(plan.supplies)) {
    const factor = triangular(random(), 1 / EMF_SPREAD, 1, EMF_SPREAD);
    draft.supplies[id] = { ...supply, emf: supply.emf * factor };
  }
  return draft;
}

function drawDevice(plan: Plan, device: Device, random: () => number): Device {
  const own = device.own === undefined ? undefined : plan.models?.[device.own]?.values;
  const settings = { ...device.settings };
  for (const [name, spec] of Object.entries(modelOf(device.model).params)) {
    // Always one number each, so that a value set by hand does not shift the draws of the others.
    const u = random();
    const spread = own?.[name];
    if (spread && settings[name] === spread.typ) settings[name] = triangular(u, spread.min, spread.typ, spread.max);
    else if (settings[name] === undefined && !KNOBS.has(name))
      settings[name] = triangular(u, spec.min, spec.typ, spec.max);
  }
  return { ...device, settings };
}

function drawCable(cable: Cable, random: () => number): Cable {
  const settings = { ...cable.settings };
  for (const [name, spec] of Object.entries(CABLES[cable.kind].params)) {
    const u = random();
    const key = name as keyof typeof settings;
    settings[key] ??= triangular(u, spec.min, spec.typ, spec.max);
  }
  return { ...cable, settings };
}

/** What some runs gave; plain data to send between threads. */
export interface Samples {
  readonly hz: readonly number[];
  /** By run: response on `hz`, dB under its own best within what is played: level has a spread of its own. */
  readonly response: readonly (readonly number[])[];
  readonly arrives: readonly number[];
  readonly snr: readonly number[];
  readonly hum: readonly number[];
  readonly severity: readonly Severity[];
  /** By run: codes of problems and how bad. */
  readonly codes: readonly Readonly<Record<string, Severity>>[];
}

/**
 * Runs of one line with drawn values. Run k draws from `seed + k`, so that it does not matter how runs are shared out.
 * @param between called after each run; returning false ends it early
 */
export function sampleLine(
  plan: Plan,
  lineId: string,
  seed: number,
  first: number,
  count: number,
  between: (done: number) => boolean = () => true,
  around?: Around
): Samples {
  const line = resolve(plan).line(lineId)!;
  const domain = resolve(plan).domain(lineId)!;
  const { low, reach } = settingsAt(plan, line.devices[0]).notes;
  const rest = around ?? new SolvedRig(plan).around(line);
  const out = {
    hz: [] as number[],
    response: [] as number[][],
    arrives: [] as number[],
    snr: [] as number[],
    hum: [] as number[],
    severity: [] as Severity[],
    codes: [] as Record<string, Severity>[]
  };
  for (let k = 0; k < count; k++) {
    const drawn = drawPlan(plan, domain, mulberry32(Math.imul(seed, 1000003) + first + k));
    const report = judgeLine(drawn, line, { perOctave: PER_OCTAVE, around: rest, domain });
    if (report.response) {
      const keep = report.response.hz.map((f) => onGrid(f)).flatMap((on, at) => (on ? [at] : []));
      if (out.hz.length === 0) out.hz = keep.map((at) => report.response!.hz[at]);
      const shape = keep.map((at) => report.response!.db[at]);
      const best = Math.max(...shape.filter((_, k) => out.hz[k] >= low && out.hz[k] <= reach));
      out.response.push(shape.map((db) => db - best));
      out.arrives.push(report.arrives!);
      if (report.snr !== null) out.snr.push(report.snr);
      if (report.hum) out.hum.push(report.hum.below);
    }
    out.severity.push(report.severity);
    const codes: Record<string, Severity> = {};
    for (const f of report.findings)
      if (f.severity !== 'clean') codes[f.code] = worst([codes[f.code] ?? 'clean', f.severity]);
    out.codes.push(codes);
    if (!between(k + 1)) break;
  }
  return out;
}

/** Points that every run has: those of the grid, not the ones added round its own resonance. */
const onGrid = (hz: number): boolean => {
  const at = (Math.log2(hz / 20) / Math.log2(1000)) * Math.round(Math.log2(1000) * PER_OCTAVE);
  return Math.abs(at - Math.round(at)) < 1e-6;
};

type Band = readonly [low: number, middle: number, high: number];

/** What tolerance does to a line. */
export interface Tolerance {
  readonly runs: number;
  readonly hz: readonly number[];
  /** Response that 5, 50 and 95 % of the runs stay under, dB under each one's own best. */
  readonly low: readonly number[];
  readonly middle: readonly number[];
  readonly high: readonly number[];
  readonly arrives: Band | null;
  readonly snr: Band | null;
  readonly hum: Band | null;
  /** Share of the runs by verdict, worst first. */
  readonly verdicts: readonly { severity: Severity; share: number }[];
  /** Problems that some runs have and some have not, most undecided first. */
  readonly flips: readonly { code: string; share: number }[];
}

/** Puts together what several threads have drawn. */
export function summarise(parts: readonly Samples[]): Tolerance {
  const all = <T>(read: (s: Samples) => readonly T[]): T[] => parts.flatMap(read);
  const response = all((s) => s.response);
  const hz = parts.find((s) => s.hz.length > 0)?.hz ?? [];
  const bands = hz.map((_, k) => band(response.map((r) => r[k]))!);
  const severity = all((s) => s.severity);
  const codes = all((s) => s.codes);
  const counts = new Map<string, number>();
  for (const run of codes) for (const code of Object.keys(run)) counts.set(code, (counts.get(code) ?? 0) + 1);
  return {
    runs: severity.length,
    hz,
    low: bands.map((b) => b[0]),
    middle: bands.map((b) => b[1]),
    high: bands.map((b) => b[2]),
    arrives: band(all((s) => s.arrives)),
    snr: band(all((s) => s.snr)),
    hum: band(all((s) => s.hum)),
    verdicts: [...new Set(severity)]
      .sort((a, b) => rank(b) - rank(a))
      .map((s) => ({ severity: s, share: severity.filter((x) => x === s).length / severity.length })),
    flips: [...counts]
      .map(([code, n]) => ({ code, share: n / codes.length }))
      .filter(({ share }) => share > 0.05 && share < 0.95)
      .sort((a, b) => Math.abs(a.share - 0.5) - Math.abs(b.share - 0.5))
  };
}

function band(values: number[]): Band | null {
  if (values.length === 0) return null;
  const sorted = values.sort((a, b) => a - b);
  const at = (p: number): number => {
    const x = p * (sorted.length - 1);
    const k = Math.floor(x);
    return sorted[k] + (x - k) * (sorted[Math.min(k + 1, sorted.length - 1)] - sorted[k]);
  };
  return [at(0.05), at(0.5), at(0.95)];
}
