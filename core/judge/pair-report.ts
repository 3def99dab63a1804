import type { Finding } from './types';
import { worst } from './types';
import type { LineReport } from './judge';

/** Whether two sides of a pair are told the same: as bad, and for the same reasons. */
export const toldAlike = (a: LineReport, b: LineReport): boolean =>
  a.severity === b.severity && codes(a).join() === codes(b).join();

/** What is wrong with a line, without its figures. */
const codes = ({ findings }: LineReport): string[] =>
  findings
    .filter((f) => f.severity !== 'clean')
    .map((f) => `${f.code} ${f.at} ${f.severity}`)
    .sort();

/** The two sides of a pair as one line: of every figure the worse one, and everything that is found on either. */
export function bothSides(left: LineReport, right: LineReport): LineReport {
  const more = right.findings.filter((f) => !left.findings.some((g) => sameFinding(f, g)));
  return {
    ...left,
    severity: worst([left.severity, right.severity]),
    findings: [...left.findings, ...more],
    marks: left.marks.map((row, k) =>
      row.map((severity, check) => worst([severity, right.marks[k]?.[check] ?? 'clean']))
    ),
    arrives: lower(left.arrives, right.arrives),
    gain: left.gain === null || right.gain === null ? (left.gain ?? right.gain) : Math.max(left.gain, right.gain),
    room: lower(left.room, right.room),
    snr: lower(left.snr, right.snr),
    hum: left.hum && right.hum && right.hum.below < left.hum.below ? right.hum : left.hum
  };
}

const sameFinding = (f: Finding, g: Finding): boolean =>
  f.code === g.code && f.at === g.at && f.severity === g.severity;

const lower = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? (a ?? b) : Math.min(a, b);
