import { modelAt } from '../plan/devices';

import { costOf } from '../gear/cost';
import { type LineReport, problems } from '../judge/judge';
import { type Finding, rank, type Severity } from '../judge/types';
import type { Line } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { gainPoints, penalty } from './score';
import type { Part } from './stock';

/** What ways are compared by, count by count. */

/** What ways are compared by; of each the lesser is better. */
export interface Counts {
  readonly severity: number;
  /** Unevenness against the ideal load over the notes that are played, dB. */
  readonly deviation: number;
  /** Gain that is needed, dB over what is easy. */
  readonly gain: number;
  readonly room: number;
  readonly snr: number;
  readonly hum: number;
  readonly cost: number;
  readonly parts: number;
  readonly adapters: number;
  readonly missing: number;
}

/** What a judged way counts. */
export function countsOf(
  report: LineReport,
  parts: readonly Part[],
  missing: readonly Part[],
  line: Line,
  plan: Plan
): Counts {
  const middle = line.devices.slice(1, -1).map((id) => modelAt(plan, id));
  return {
    severity: rank(report.severity),
    deviation: deviationOf(report),
    gain: gainPoints(report) * 10,
    room: -(report.room ?? 60),
    snr: -(report.snr ?? 0),
    hum: -(report.hum?.below ?? 0),
    cost: middle.reduce((sum, m) => sum + costOf(m.id, m.family), 0),
    parts: parts.length,
    adapters: middle.filter((m) => m.family === 'joint').length,
    missing: missing.length
  };
}

/** Largest less smallest difference from the ideal load over the notes played, dB; 0 where nothing is known. */
function deviationOf({ response, notes }: Pick<LineReport, 'response' | 'notes'>): number {
  if (!response || !notes) return 0;
  let least = Infinity;
  let most = -Infinity;
  response.hz.forEach((hz, k) => {
    if (hz < notes.low || hz > notes.reach) return;
    const off = response.db[k] - response.ideal[k];
    least = Math.min(least, off);
    most = Math.max(most, off);
  });
  return most >= least ? most - least : 0;
}

/** Points against a way: what is wrong with it, then what it asks for. */
export function pointsOf(report: LineReport, c: Counts): number {
  return (
    penalty(report.findings) +
    c.gain / 10 +
    c.deviation / 4 +
    c.cost * 0.4 +
    c.parts * 0.3 +
    c.adapters * 0.5 +
    // What has to be hired costs as much as a remark.
    c.missing * 8
  );
}

const COUNTED = [
  'severity',
  'deviation',
  'gain',
  'room',
  'snr',
  'hum',
  'cost',
  'parts',
  'adapters',
  'missing'
] as const;
/** Differences less than these nobody hears or minds. */
const SAME: Readonly<Record<(typeof COUNTED)[number], number>> = {
  severity: 0,
  deviation: 0.5,
  gain: 1,
  room: 1,
  snr: 1,
  hum: 3,
  cost: 0,
  parts: 0,
  adapters: 0,
  missing: 0
};
/** Beyond this more is of no use: room, distance to noise and hum, dB. */
const ENOUGH: Partial<Record<(typeof COUNTED)[number], number>> = { room: -20, snr: -90, hum: -90 };

/** Whether one way is at least as good as another on every count, and better on one. */
export function beats(a: Counts, b: Counts): boolean {
  let better = false;
  for (const name of COUNTED) {
    const enough = ENOUGH[name] ?? -Infinity;
    const x = Math.max(a[name], enough);
    const y = Math.max(b[name], enough);
    if (x > y + SAME[name]) return false;
    if (x < y - SAME[name]) better = true;
  }
  return better;
}

/** The worst problem that the other has not, or has less badly. */
export function lostBy(report: LineReport, best: LineReport): Finding | null {
  const theirs = (f: Finding): Severity =>
    best.findings
      .filter((g) => g.code === f.code)
      .reduce<Severity>((s, g) => (rank(g.severity) > rank(s) ? g.severity : s), 'clean');
  return problems(report).find((f) => rank(f.severity) > rank(theirs(f))) ?? null;
}
