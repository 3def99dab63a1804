import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgePlan, judgeWhole } from '../judge/judge';
import { SolvedRig } from '../judge/solved-rig';
import { isComplete, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { EarthSum } from '../rig/earth-sum';
import { aWeight } from '../rig/noise';
import { plan as anyPlan } from '../tests/arbitrary';
import { onTwoSupplies } from '../tests/plans';
import { heard } from './heard';
import { hypothesesFor } from './hypotheses';
import { Trace } from './infer';
import { CHANGES, changeWord } from './ear';
import { earthMap } from './map';
import { probesFor } from './probes';
import { traceView } from './view';

/** Random shows on two supplies 0.3 V apart, their sources on either. */
const rigs = anyPlan.map((plan): Plan => {
  const two = onTwoSupplies(structuredClone(plan));
  Object.values(two.devices).forEach((d, k) => {
    if (d.supply !== undefined) d.supply = k % 2 ? 'stage' : 'annex';
  });
  return two;
});
const complete = (plan: Plan) => traceLines(plan).filter((line) => isComplete(plan, line));

describe('over random rigs', () => {
  it('the map has every chassis once, every thread between two of them, rings of what is there', () =>
    fc.assert(
      fc.property(rigs, (plan) => {
        const whole = new SolvedRig(plan);
        const map = earthMap(whole, new Map(judgeWhole(whole).map((r) => [r.id, r])));
        const ids = map.points.map((p) => p.id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const t of map.threads) {
          expect([ids.includes(t.from), ids.includes(t.to)]).toEqual([true, true]);
          for (const c of t.cables) expect(c in plan.cables).toBe(true);
        }
        for (const ring of map.rings) {
          expect(Number.isFinite(ring.ampere) && ring.ampere >= 0).toBe(true);
          for (const p of ring.points) expect(ids).toContain(p);
          for (const s of ring.supplies) expect(s in plan.supplies).toBe(true);
          // A ring that is heard is heard on one of its own lines.
          if (ring.worst) expect(ring.lines).toContain(ring.worst.line);
        }
        // Worst first.
        const below = map.rings.map((r) => r.worst?.below ?? Infinity);
        expect([...below].sort((a, b) => a - b)).toEqual(below);
      }),
      { numRuns: 40 }
    ));

  it('what is heard of a line as planned is what the judge’s spectrum says, weighted by the ear', () =>
    fc.assert(
      fc.property(rigs, (plan) => {
        const whole = new SolvedRig(plan);
        const reports = new Map(judgePlan(plan).map((r) => [r.id, r]));
        for (const line of complete(plan)) {
          const report = reports.get(line.id)!;
          if (!report.hum || report.points.length === 0) continue;
          // Other lines of its piece have sources of their own, which a trace of this line leaves out.
          if (whole.domains.find((d) => d.lines.some((l) => l.id === line.id))!.lines.length > 1) continue;
          const stage = { line, report, rest: new EarthSum(plan, whole.around(line).hums), networks: new Map() };
          const at = heard(stage, { plan });
          const weighted = report.hum.spectrum.reduce(
            (sum, dbu, k) => sum + (10 ** (dbu / 20) * aWeight(plan.policy.mainsHz * (k + 1))) ** 2,
            0
          );
          const hum = (at.power - at.hiss) / 0.7745966692414834 ** 2;
          if (weighted < 1e-15) continue;
          expect(Math.abs(10 * Math.log10(hum / weighted))).toBeLessThan(0.1);
        }
      }),
      { numRuns: 25 }
    ));

  it('a trace of any complete line can be begun and gone on with, whatever is answered', () =>
    fc.assert(
      fc.property(rigs, fc.array(fc.nat(50), { minLength: 3, maxLength: 3 }), (plan, picks) => {
        const [line] = complete(plan);
        if (!line) return;
        const trace = new Trace(plan, line);
        if (trace.hypotheses.length === 0) return;
        let view = traceView(trace, [], []);
        const answers: Parameters<typeof traceView>[1][number][] = [];
        for (const pick of picks) {
          const [question] = view.questions;
          if (!question) break;
          const { is } = question.answers[pick % question.answers.length];
          answers.push({ ask: question.ask, is } as never);
          view = traceView(trace, answers, []);
          expect(view.suspects.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 6);
          for (const s of view.suspects) expect(Number.isFinite(s.share)).toBe(true);
          for (const q of view.questions) expect(q.bits >= 0 && Number.isFinite(q.minutes)).toBe(true);
        }
      }),
      { numRuns: 20 }
    ));

  it('no cause and no test takes a protective earth away', () =>
    fc.assert(
      fc.property(rigs, (plan) => {
        for (const line of complete(plan)) {
          const states = hypothesesFor(plan, line);
          const probes = probesFor(plan, line);
          for (const h of states)
            for (const { change } of probes)
              for (const [id, d] of Object.entries(change(h).plan.devices))
                expect(d.settings.earth).toBe(plan.devices[id].settings.earth);
        }
      }),
      { numRuns: 15 }
    ));
});

describe('what is answered', () => {
  it('each word for a change has its own stretch of decibels, none left out', () =>
    fc.assert(
      fc.property(fc.double({ min: -100, max: 60, noNaN: true }), (db) => {
        const word = changeWord(db);
        expect(CHANGES).toContain(word);
        expect(word === 'gone').toBe(db < -18);
        expect(word === 'worse').toBe(db >= 3);
        expect(CHANGES.indexOf(changeWord(db + 1))).toBeGreaterThanOrEqual(CHANGES.indexOf(word));
      })
    ));
  it('the causes that a test leaves as they are, it does not speak against', () => {
    const plan = onTwoSupplies(structuredClone(fc.sample(anyPlan, { numRuns: 1, seed: 5 })[0]));
    for (const line of complete(plan)) {
      const trace = new Trace(plan, line);
      for (const probe of trace.probes) {
        const still = trace.hypotheses.filter((h) => Math.abs(trace.changeOf(h, probe)) < 0.5);
        for (const h of still)
          for (const is of ['gone', 'worse'] as const)
            expect(trace.likelihood(h, { ask: probe.id, is: 'same' })).toBeGreaterThan(
              trace.likelihood(h, { ask: probe.id, is })
            );
      }
    }
  });
});
