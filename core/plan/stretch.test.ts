import { resolve } from './resolved';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { namesOf } from '../reader/names';
import { readLine } from '../reader/read-line';
import { blankPlan } from './blank';
import { branchesOf } from './branch';
import { chainOf, putChain, standsAlone } from './chain';
import { planFaults } from './integrity';
import { traceLines } from './lines';
import { putLine } from './put';
import type { Plan } from './schema';
import { stretchOf } from './stretch';

const ROOTS = [
  'keyboard, 3 m, line',
  'bass guitar passive bass, 3 m, active DI, 20 m, mic',
  'dynamic mic, 5 m, splitter, 20 m, mic',
  'balanced line, 20 m, powered speaker',
  'rca player, 3 m, rca input'
];
const ENDS = [
  '3 m, guitar amp',
  '6 m mic cable, mic',
  '8 m, powered speaker',
  '2 m, active DI on battery, 20 m, reversed box, 2 m, guitar amp'
];

/** A show of a few lines and of branches that leave any line said before them. */
const branchy: fc.Arbitrary<Plan> = fc
  .tuple(
    fc.array(fc.constantFrom(...ROOTS), { minLength: 1, maxLength: 3 }),
    fc.array(fc.tuple(fc.nat(20), fc.constantFrom(...ENDS)), { maxLength: 4 })
  )
  .map(([roots, branches]) => {
    const plan = blankPlan();
    let made = 0;
    const put = (text: string): void => {
      const name = `L${made}`;
      putLine(plan, readLine(`${name}: ${text}`, namesOf(plan)).spec!, (role) => `l${made}-${role}`);
      made++;
    };
    roots.forEach(put);
    for (const [of, end] of branches) put(`from L${of % made}, ${end}`);
    return plan;
  });

describe('what of a line may be exchanged by itself', () => {
  it('is all of a line that stands alone', () => {
    const plan = blankPlan();
    putLine(plan, readLine(ROOTS[1]).spec!, (role) => role);
    const [line] = traceLines(plan);
    expect(stretchOf(plan, line)).toMatchObject({
      head: 0,
      keeps: null,
      keepsInput: false,
      part: { devices: line.devices }
    });
  });
  it('put back as it was, changes nothing: neither for the line nor for any other', () =>
    fc.assert(
      fc.property(branchy, (plan) => {
        expect(planFaults(plan)).toEqual([]);
        const lines = traceLines(plan);
        const branches = branchesOf(plan, lines);
        for (const line of lines) {
          const { part, head, out, keeps, keepsInput } = stretchOf(plan, line);
          // Its own part lies within the line, and behind whatever it shares.
          expect(line.devices.slice(head)).toEqual(part.devices);
          const at = branches.get(line.id)?.at ?? 0;
          expect(head).toBeGreaterThanOrEqual(at);
          if (standsAlone(plan, line)) expect([head, keeps, keepsInput]).toEqual([0, null, false]);
          const draft = structuredClone(plan);
          putChain(draft, part, chainOf(plan, part), (role) => `new-${role}`, head > 0 ? out.id : undefined);
          expect(planFaults(draft)).toEqual([]);
          expect(traceLines(draft).map((l) => [l.id, l.devices, l.cables])).toEqual(
            lines.map((l) => [l.id, l.devices, l.cables])
          );
          expect(
            resolve(draft)
              .line(line.id)!
              .devices.map((id) => draft.devices[id].model)
          ).toEqual(line.devices.map((id) => plan.devices[id].model));
        }
      }),
      { numRuns: 60 }
    ));
});
