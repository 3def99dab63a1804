import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { settingsAt } from '../plan/devices';
import { resolve } from '../plan/resolved';
import { plan as anyPlan } from '../tests/arbitrary';
import { toDbu } from '../units/quantity';
import { sentence } from '../words/findings';
import { judgePlan, type LineReport } from './judge';
import type { Finding } from './types';

/** What a sentence says is what the solved line says: the figure in it is computed once more, another way, from the report. */

/** Figures of a sentence, with their sign. */
const figures = (text: string): number[] =>
  [
    ...text
      .replaceAll('\u202F', ' ')
      .replace('less than 1 dB', '0 dB')
      .matchAll(/[+−-]?\d+(?:\.\d+)?(?= (?:dB|dBu)\b)/g)
  ].map(([n]) => Number(n.replace('−', '-')));
const near = (a: number, b: number, within = 0.51): boolean => Math.abs(a - b) <= within;

type Check = (f: Finding, report: LineReport, working: { dbu: number; pad: number; least: number }) => boolean | null;
const last = (report: LineReport) => report.points[report.points.length - 1];
/** Gain to the working level, or less for what is livelier: its peaks stay 6 dB below full scale, 18 dB over that level. */
const gainFor = (r: LineReport, { dbu, pad, least }: { dbu: number; pad: number; least: number }): number => {
  const { peak, nominal } = last(r).far;
  return Math.max(Math.min(dbu - nominal, dbu + 18 - 6 - peak) + pad, least);
};
const CHECKS: Readonly<Record<string, Check>> = {
  gain: (f, r, input) => near(Math.abs(figures(sentence(f))[0] ?? 0), Math.abs(gainFor(r, input))),
  'too-quiet': (f, r, input) => near(figures(sentence(f))[0], Math.min(gainFor(r, input), 200)),
  'much-gain': (f, r, input) => near(figures(sentence(f))[0], gainFor(r, input)),
  'too-hot': (f, r, { dbu, pad }) => near(figures(sentence(f))[0], dbu - r.arrives! + pad),
  quiet: (f, r) => near(figures(sentence(f))[0], r.snr!),
  hissy: (f, r) => near(Math.abs(figures(sentence(f))[0]), Math.abs(r.snr!)),
  'hum-low': (f, r) => (f.value > 100 ? r.hum!.below > 99 : near(figures(sentence(f))[0], Math.abs(r.hum!.below))),
  clips: (f, r) => {
    const over = r.points.flatMap((p) => [p.near, p.far]).filter((p) => p.clip !== null && p.peak > p.clip);
    return over.some((p) => near(figures(sentence(f))[0], p.peak) && near(figures(sentence(f))[1], p.peak - p.clip!));
  },
  headroom: (f, r) => {
    if (!Number.isFinite(f.value)) return null;
    const all = r.points.flatMap((p) => [p.near, p.far]).filter((p) => p.clip !== null);
    const said = figures(sentence(f))[0] ?? 0;
    return all.some((p) => near(said, p.clip! - p.peak));
  }
};

describe('a sentence and the line it is about', () => {
  it('have the same figures, in random shows', () => {
    let looked = 0;
    fc.assert(
      fc.property(anyPlan, (plan) => {
        for (const report of judgePlan(plan)) {
          if (report.arrives === null || report.points.length === 0 || report.arrives <= -150) continue;
          const line = resolve(plan).line(report.id)!;
          const input = settingsAt(plan, line.id, line.cables[line.cables.length - 1]);
          const working = {
            dbu: input.has('working') ? toDbu(input.value('working')) : 0,
            pad: input.choice('pad') === '20' ? 20 : 0,
            least: input.has('gainMin') ? input.value('gainMin') : 0
          };
          expect(last(report).far.nominal).toBeCloseTo(report.arrives, 6);
          for (const f of report.findings) {
            const holds = CHECKS[f.code]?.(f, report, working) ?? null;
            if (holds === null) continue;
            looked++;
            expect(holds, `${f.code}: ${sentence(f)}`).toBe(true);
          }
        }
      }),
      { numRuns: 80 }
    );
    expect(looked).toBeGreaterThan(500);
  });
  it('the worst is the first: what is said of a line first is as bad as the line', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        for (const report of judgePlan(plan))
          if (report.severity !== 'clean')
            expect(report.findings.some((f) => f.severity === report.severity)).toBe(true);
      }),
      { numRuns: 30 }
    );
  });
});
