import { judgePlan } from '../judge/judge';
import { earthVolts } from './knobs';
import type { At } from './types';

/** Hum of the same line at 1 V between the earths, dBu; null where a ground loop is not what it hums by. */
export function taughtHum({ plan, line, report }: At): number | null {
  const most = report.hum?.byKind.reduce((a, b) => (b.dbu > a.dbu ? b : a));
  if (most?.kind !== 'earths') return null;
  const reference = earthVolts(1, 1).on(plan, line)?.put(plan, 1);
  return (reference && judgePlan(reference).find((r) => r.id === line.id)?.hum?.dbu) ?? null;
}
