import { CircuitError } from '../solver/network';

import type { Notes } from '../gear/instruments';
import { modelAt, settingsAt } from '../plan/devices';
import { type Domain, isComplete, type Line, lineKey } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { type HumKind, HUM_KINDS } from '../rig/hum-domain';
import type { Noise } from '../rig/noise';
import type { LineSolution } from '../rig/solve';
import { toDbu } from '../units/quantity';
import { checkAcross } from './across';
import { checkBalance } from './balance';
import { checkConnector } from './connector';
import { finding, joinContext, type JoinContext } from './context';
import { checkGround } from './ground';
import { exposureOf, humMargin } from './heard';
import { checkImpedance } from './impedance';
import { checkLevel } from './level';
import { type Around, type Pieces, type Which, SolvedRig, type Solved, solveWithin } from './solved-rig';
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
  /** How much less gain than that to the working level it is, for peaks that want their room, dB. */
  readonly lively: number;
  readonly room: number | null;
  /** Average level over the noise, dB; null where nothing amplifies. */
  readonly snr: number | null;
  readonly noise: Noise | null;
  /** Hum of the whole rig at this input: level, how far under the playing, by harmonic and by cause, dBu. */
  readonly hum: {
    dbu: number;
    below: number;
    spectrum: number[];
    /** With how far each stays under what is heard, dB. */
    byKind: { kind: HumKind; dbu: number; margin: number }[];
  } | null;
  /** What phantom leaves at the end of its way, volts. */
  readonly phantomVolts: number | null;
  /** Drawn from the input's phantom supply, amperes; 0 where there is none. */
  readonly phantomAmpere: number;
  /** Rejection of the last stretch, dB; null when it is not balanced. */
  readonly cmrr: number | null;
  readonly response: { hz: number[]; db: number[]; ideal: number[] } | null;
  readonly notes: Notes | null;
}

/** Problems of a line, worst first, then in the order the signal meets them. */
export const problems = (report: Pick<LineReport, 'findings'>): Finding[] =>
  report.findings
    .filter((f) => f.severity !== 'clean')
    .sort((a, b) => rank(b.severity) - rank(a.severity) || a.at - b.at);

/** Judges every line of a plan. @param pieces what is known from an earlier plan; kept up to date */
export function judgePlan(plan: Plan, pieces?: Pieces): LineReport[] {
  const whole = new SolvedRig(plan, pieces);
  return judgeWhole(whole);
}

/** Reports of the lines of a plan in pieces. @param which as for `SolvedRig.solved` */
export function judgeWhole(whole: SolvedRig, which: Which = 'all'): LineReport[] {
  const solved = whole.solved(which);
  const reports = new Map<string, LineReport>();
  for (const [k, domain] of whole.domains.entries()) {
    const key = whole.keyOf(k);
    if (key === undefined) break;
    for (const line of domain.lines)
      if (which !== 'fresh' || solved.has(line.id))
        reports.set(line.id, assemble(whole.plan, line, solved.get(line.id), key));
  }
  const across = checkAcross(whole.lines);
  return whole.lines.flatMap((line) => {
    const report = reports.get(line.id);
    return report ? withMore(report, across.get(line.id) ?? []) : [];
  });
}

/** A report with findings that come of other lines. */
const withMore = (report: LineReport, more: readonly Finding[]): LineReport =>
  more.length === 0
    ? report
    : {
        ...report,
        findings: [...report.findings, ...more],
        severity: worst([report.severity, ...more.map((f) => f.severity)])
      };

export interface JudgeOptions {
  readonly perOctave?: number;
  /** The rest of the rig, where it is known already. */
  readonly around?: Around;
  /** The piece that the line is in, where it is known already; the report then has no key of its own. */
  readonly domain?: Domain;
}

/** Judges one line of a plan. Never throws on a plan that loads: what cannot be solved is a finding. */
export function judgeLine(plan: Plan, line: Line, { perOctave, around, domain }: JudgeOptions = {}): LineReport {
  const solved = isComplete(plan, line)
    ? solveWithin(plan, line, around ?? new SolvedRig(plan).around(line), perOctave, domain)
    : undefined;
  return assemble(plan, line, solved, domain ? '' : lineKey(plan, line));
}

function assemble(plan: Plan, line: Line, solved: Solved | undefined, key: string): LineReport {
  if (!solved) return bare(line, key, unfinished(plan, line));
  const { solution } = solved;
  if (!(solution instanceof CircuitError)) return report(plan, solution, solved, key);
  const { fault } = solution;
  const part = 'part' in fault ? fault.part : 'node' in fault ? fault.node : 'unknown' in fault ? fault.unknown : '';
  return bare(
    line,
    key,
    finding('unsolvable', -1, { severity: 'stop', value: 0, unit: 'none', limit: null }, [
      fact('part', 'id', part),
      fact('fault', 'id', fault.code)
    ])
  );
}

function unfinished(plan: Plan, line: Line): Finding {
  const family = (id: string): string => modelAt(plan, id).family;
  const missing = family(line.devices[0]) !== 'source' ? 'source' : 'input';
  return finding('unfinished', -1, { severity: 'note', value: 0, unit: 'none', limit: null }, [
    fact('missing', 'id', missing)
  ]);
}

function bare(line: Line, key: string, only: Finding): LineReport {
  return {
    id: line.id,
    key,
    devices: line.devices,
    cables: line.cables,
    severity: only.severity,
    findings: [only],
    marks: line.cables.map(() => CHECKS.map(() => 'clean' as const)),
    points: [],
    arrives: null,
    gain: null,
    lively: 0,
    room: null,
    snr: null,
    hum: null,
    noise: null,
    phantomVolts: null,
    phantomAmpere: 0,
    cmrr: null,
    response: null,
    notes: null
  };
}

/** What of a report the rest of the rig has no say in. */
interface Still {
  readonly contexts: readonly JoinContext[];
  /** Findings of all checks but ground, by cable. */
  readonly findings: readonly (readonly Finding[])[];
  /** By cable, of the four checks before ground. */
  readonly marks: readonly (readonly Severity[])[];
  readonly report: Omit<LineReport, 'key' | 'severity' | 'findings' | 'marks' | 'hum'>;
}
/** By solution: it lives as long as the line does not change. */
const still = new WeakMap<LineSolution, Still>();

function stillOf(plan: Plan, solution: LineSolution): Still {
  const known = still.get(solution);
  if (known) return known;
  const { line, spans, hz } = solution;
  const contexts = spans.map((_, at) => joinContext(plan, solution, at));
  const findings = contexts.map((c) => [
    ...checkConnector(c),
    ...checkBalance(c),
    ...checkLevel(c),
    ...checkImpedance(c)
  ]);
  const last = spans[spans.length - 1].far;
  const gain = findings.flat().find((f) => f.check === 'level' && f.because.some((b) => b.name === 'gainMax'));
  const rooms = spans
    .flatMap((s) => [s.near, s.far])
    .slice(1)
    .map((p) => p.clipDbu - p.peakDbu);
  const room = Math.min(...rooms);
  const point = (p: typeof last): PointReport => ({
    nominal: floor(p.nominalDbu),
    peak: floor(p.peakDbu),
    clip: Number.isFinite(p.clipDbu) ? p.clipDbu : null
  });
  const made: Still = {
    contexts,
    findings,
    marks: findings.map((list) =>
      CHECKS.slice(0, -1).map((check) => worst(list.filter((f) => f.check === check).map((f) => f.severity)))
    ),
    report: {
      id: line.id,
      devices: line.devices,
      cables: line.cables,
      points: spans.map((s) => ({ near: point(s.near), far: point(s.far) })),
      arrives: floor(last.nominalDbu),
      gain: gain ? gain.value : null,
      lively: Number(gain?.because.find((b) => b.name === 'lively')?.value ?? 0),
      room: Number.isFinite(room) ? room : null,
      snr: solution.noise ? floor(last.nominalDbu - solution.noise.flatDbu) : null,
      noise: solution.noise,
      phantomVolts: solution.phantom?.volts ?? null,
      phantomAmpere: solution.phantom?.ampere ?? 0,
      cmrr: spans[spans.length - 1].cmrrDb,
      response: {
        hz: Array.from(hz),
        db: Array.from(solution.soundDb, floor),
        ideal: Array.from(solution.idealDb)
      },
      notes: settingsAt(plan, line.devices[0]).notes
    }
  };
  still.set(solution, made);
  return made;
}

function report(plan: Plan, solution: LineSolution, { hum, ties, drawn }: Solved, key: string): LineReport {
  const { contexts, findings: before, marks: stillMarks, report: rest } = stillOf(plan, solution);
  const findings: Finding[] = [];
  const marks = contexts.map((c, at) => {
    findings.push(...before[at]);
    let ground: Severity = 'clean';
    for (const f of checkGround(c, { hum, ties, drawn })) {
      findings.push(f);
      if (rank(f.severity) > rank(ground)) ground = f.severity;
    }
    return [...stillMarks[at], ground];
  });
  // What cannot be computed is no silence.
  if (!hum) findings.push(finding('hum-unknown', -1, { severity: 'care', value: 0, unit: 'none', limit: null }));
  const humDbu = hum ? floor(toDbu(hum.volts)) : null;
  return {
    ...rest,
    key,
    severity: worst(findings.map((f) => f.severity)),
    findings,
    marks,
    hum:
      hum && humDbu !== null
        ? {
            dbu: humDbu,
            below: floor(rest.arrives! - humDbu),
            spectrum: Array.from(hum.spectrum, (v) => floor(toDbu(v))),
            byKind: HUM_KINDS.map((kind) => ({
              kind,
              dbu: floor(toDbu(hum.byKind[kind])),
              margin: humMargin(plan.policy, exposureOf(solution.line), rest.arrives!, hum.loudest[kind])
            }))
          }
        : null
  };
}

/** Total cancellation is −∞ dB; −200 says the same and survives JSON. */
const floor = (db: number): number => Math.max(db, -200);
