import { expect, it } from 'vitest';
import { planOf } from '../casebook/cases';
import { MISTAKES } from '../casebook/mistakes';
import { SCENARIOS } from '../casebook/scenarios';
import { verdict } from '../words/findings';
import { atGlance } from './at-glance';
import { judgePlan } from './judge';
import { bothSides, toldAlike } from './pair-report';

const reports = [...SCENARIOS, ...MISTAKES].flatMap((c) => judgePlan(planOf(c)));

it('tells in a row what the whole report tells in it', () => {
  expect(reports.length).toBeGreaterThan(50);
  for (const report of reports) {
    const row = atGlance(report);
    expect(verdict(row)).toBe(verdict(report));
    expect([row.id, row.severity, row.marks]).toEqual([report.id, report.severity, report.marks]);
    for (const key of ['arrives', 'gain', 'room', 'snr'] as const) {
      if (report[key] === null) expect(row[key]).toBeNull();
      else expect(Math.abs(row[key]! - report[key])).toBeLessThanOrEqual(0.05 + 1e-9);
    }
    expect(row.hum === null).toBe(report.hum === null);
  }
});

it('folds the two sides of a pair as the whole reports do', () => {
  for (const [k, a] of reports.entries()) {
    const b = reports[(k * 7 + 3) % reports.length];
    expect(toldAlike(atGlance(a), atGlance(b))).toBe(toldAlike(a, b));
    expect(verdict(bothSides(atGlance(a), atGlance(b)))).toBe(verdict(bothSides(a, b)));
  }
});

it('is a tenth of the report', () => {
  const size = (of: readonly unknown[]): number => JSON.stringify(of).length;
  expect(size(reports.map(atGlance))).toBeLessThan(0.1 * size(reports));
});
