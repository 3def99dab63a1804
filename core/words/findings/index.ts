import type { LineReport } from '../../judge/judge';
import type { Code, Finding } from '../../judge/types';
import { BALANCE } from './balance';
import { CONNECTOR } from './connector';
import { GROUND } from './ground';
import { IMPEDANCE } from './impedance';
import { LEVEL } from './level';
import type { Saying } from './said';

/** Findings in words: one entry a code, by check. */
const SAID: { readonly [C in Code]: Saying<C> } = { ...CONNECTOR, ...BALANCE, ...LEVEL, ...IMPEDANCE, ...GROUND };
/** Of the code that the finding is of: each saying takes its own. */
export const sayingOf = (f: Finding): Saying<Code> => SAID[f.code] as Saying<Code>;

/** The finding in one plain sentence with its number in it. */
export const sentence = (f: Finding): string => sayingOf(f).sentence(f);
/** One finding in two or three words. */
export const short = (f: Finding): string => sayingOf(f).short(f);
/** The number before and after that a remedy is judged by, e.g. `100 Hz −19.4 dB`. */
export const measure = (f: Finding): string => (sayingOf(f).measure ?? sayingOf(f).short)(f);

/** Two or three words for the board's last column. */
export function verdict(report: Pick<LineReport, 'severity' | 'findings'>): string {
  const bad = report.findings.filter((f) => f.severity === report.severity);
  if (report.severity === 'clean') return 'clean';
  if (bad.length > 1)
    return `${bad.length} ${report.severity === 'care' ? 'with care' : plural(report.severity, bad.length)}`;
  return short(bad[0]);
}
const plural = (severity: string, n: number): string => (n === 1 ? severity : `${severity}s`);
