import { CircuitError } from '../circuit/network';
import { modelOf, Readings } from '../gear/catalogue';
import type { Notes } from '../gear/instruments';
import { isComplete, type Line, lineKey, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { type LineSolution, solveLine } from '../rig/solve';
import { checkBalance } from './balance';
import { checkConnector } from './connector';
import { finding, joinContext } from './context';
import { checkGround } from './ground';
import { checkImpedance } from './impedance';
import { checkLevel } from './level';
import { CHECKS, fact, type Finding, rank, type Severity, worst } from './types';

/** Levels at one end of a cable, dBu; clip is null where nothing clips. */
interface PointReport {
  readonly nominal: number;
  readonly peak: number;
  readonly clip: number | null;
}

/** All that the screen needs of one line; plain data, small enough to send between threads. */
export interface LineReport {
  readonly id: string;
  /** Text that changes when, and only when, an answer may change. */
  readonly key: string;
  readonly devices: readonly string[];
  readonly cables: readonly string[];
  readonly severity: Severity;
  /** Every reading, clean ones too. */
  readonly findings: readonly Finding[];
  /** Per cable, per check in stitch order. */
  readonly marks: readonly (readonly Severity[])[];
  readonly points: readonly { near: PointReport; far: PointReport }[];
  /** Level at the input terminals, gain to the working level, least room to clip; null when the line is unfinished. */
  readonly arrives: number | null;
  readonly gain: number | null;
  readonly room: number | null;
  readonly response: { hz: number[]; db: number[]; ideal: number[] } | null;
  readonly notes: Notes | null;
}

/** Problems of a line, worst first, then in the order the signal meets them. */
export const problems = (report: Pick<LineReport, 'findings'>): Finding[] =>
  report.findings
    .filter((f) => f.severity !== 'clean')
    .sort((a, b) => rank(b.severity) - rank(a.severity) || a.at - b.at);

/** Judges every line of a plan. */
export const judgePlan = (plan: Plan): LineReport[] => traceLines(plan).map((line) => judgeLine(plan, line));

/** Judges one line. Never throws on a plan that loads: what cannot be solved is a finding. */
export function judgeLine(plan: Plan, line: Line, perOctave?: number): LineReport {
  if (!isComplete(plan, line)) return bare(plan, line, unfinished(plan, line));
  try {
    return report(plan, solveLine(plan, line, perOctave));
  } catch (error) {
    if (!(error instanceof CircuitError)) throw error;
    const { fault } = error;
    const part = 'part' in fault ? fault.part : 'node' in fault ? fault.node : 'unknown' in fault ? fault.unknown : '';
    return bare(
      plan,
      line,
      finding('unsolvable', -1, { severity: 'stop', value: 0, unit: 'none', limit: null }, [
        fact('part', 'id', part),
        fact('fault', 'id', fault.code)
      ])
    );
  }
}

function unfinished(plan: Plan, line: Line): Finding {
  const family = (id: string): string => modelOf(plan.devices[id].model).family;
  const missing = family(line.devices[0]) !== 'source' ? 'source' : 'input';
  return finding('unfinished', -1, { severity: 'note', value: 0, unit: 'none', limit: null }, [
    fact('missing', 'id', missing)
  ]);
}

function bare(plan: Plan, line: Line, only: Finding): LineReport {
  return {
    id: line.id,
    key: lineKey(plan, line),
    devices: line.devices,
    cables: line.cables,
    severity: only.severity,
    findings: [only],
    marks: line.cables.map(() => CHECKS.map(() => 'clean' as const)),
    points: [],
    arrives: null,
    gain: null,
    room: null,
    response: null,
    notes: null
  };
}

function report(plan: Plan, solution: LineSolution): LineReport {
  const { line, spans, hz } = solution;
  const findings = spans.flatMap((_, at) => {
    const c = joinContext(plan, solution, at);
    return [...checkConnector(c), ...checkBalance(c), ...checkLevel(c), ...checkImpedance(c), ...checkGround(c)];
  });
  const marks = spans.map((_, at) =>
    CHECKS.map((check) => worst(findings.filter((f) => f.at === at && f.check === check).map((f) => f.severity)))
  );
  const last = spans[spans.length - 1].far;
  const gain = findings.find((f) => f.check === 'level' && f.because.some((b) => b.name === 'gainMax'));
  const rooms = spans
    .flatMap((s) => [s.near, s.far])
    .slice(1)
    .map((p) => p.clipDbu - p.peakDbu);
  const room = Math.min(...rooms);
  const source = plan.devices[line.devices[0]];
  const point = (p: typeof last): PointReport => ({
    nominal: floor(p.nominalDbu),
    peak: floor(p.peakDbu),
    clip: Number.isFinite(p.clipDbu) ? p.clipDbu : null
  });
  return {
    id: line.id,
    key: lineKey(plan, line),
    devices: line.devices,
    cables: line.cables,
    severity: worst(findings.map((f) => f.severity)),
    findings,
    marks,
    points: spans.map((s) => ({ near: point(s.near), far: point(s.far) })),
    arrives: floor(last.nominalDbu),
    gain: gain ? gain.value : null,
    room: Number.isFinite(room) ? room : null,
    response: {
      hz: Array.from(hz),
      db: Array.from(last.gainDb, floor),
      ideal: Array.from(solution.idealDb)
    },
    notes: new Readings(modelOf(source.model), source.settings).notes
  };
}

/** Total cancellation is −∞ dB; −200 says the same and survives JSON. */
const floor = (db: number): number => Math.max(db, -200);
