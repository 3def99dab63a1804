import { resolve } from './resolved';
import { describe, expect, it } from 'vitest';
import { wantedOf } from '$core/advise/desk';
import { waysOf } from '../advise/ways';
import { readLine } from '../reader/read-line';
import { addThru } from '../tests/plans';
import { blankPlan } from './blank';
import { chainOf, putChain, standsAlone } from './chain';
import { planFaults } from './integrity';
import { copyOf } from './json';
import { traceLines } from './lines';
import type { Plan } from './schema';
import { putLine } from './put';

const TEXTS = [
  'Bass: upright bass piezo, 3 m, active DI 10m lifted, 40 m, mic 3, exposed',
  'Player: rca player, 12 m, rca input',
  'Feed: balanced line, 30 m, rca input',
  'Laptop: laptop, 3 m, mic',
  'Cab: power amp, 3 m, line'
];
function show(text: string): Plan {
  const plan = blankPlan();
  // A neighbour that nothing may touch.
  putLine(plan, readLine('keyboard, 3 m, active DI, 20 m, mic').spec!, (role) => `other-${role}`);
  putLine(plan, readLine(text).spec!, (role) => role);
  return plan;
}

describe.each(TEXTS)('%s', (text) => {
  const plan = show(text);
  const line = resolve(plan).line('in')!;
  const ways = waysOf(wantedOf(plan, line));

  it('every way is a chain of joined things', () => {
    expect(ways.length).toBeGreaterThan(0);
    for (const { chain, way } of ways) {
      expect(chain.cables).toHaveLength(chain.devices.length - 1);
      expect(chain.devices.slice(1, -1).map((d) => d.model)).toEqual(way.boxes);
      expect(chain.devices[chain.devices.length - 1].model).toBe(way.input);
      for (const { metres } of chain.cables) expect(metres).toBeGreaterThan(0);
    }
  });
  it('put in, it is read off the plan again; ends, name and neighbours stay', () => {
    for (const { chain } of ways) {
      const draft = copyOf(plan);
      let n = 0;
      putChain(draft, line, chain, (role) => `new-${role}${n++}`);
      expect(planFaults(draft)).toEqual([]);
      const next = traceLines(draft).find((l) => l.id === 'in')!;
      const is = chainOf(draft, next);
      expect(is.devices.map((d) => d.model)).toEqual(chain.devices.map((d) => d.model));
      expect(is.cables.map((c) => [c.kind, c.metres])).toEqual(chain.cables.map((c) => [c.kind, c.metres]));
      expect([next.devices[0], next.id]).toEqual([line.devices[0], 'in']);
      expect(draft.lines).toEqual(plan.lines);
      for (const id of Object.keys(plan.devices).filter((d) => d.startsWith('other')))
        expect(draft.devices[id]).toEqual(plan.devices[id]);
      // Nothing is left lying about: two lines, and no device outside them.
      const used = new Set(traceLines(draft).flatMap((l) => l.devices));
      expect(Object.keys(draft.devices).filter((id) => !used.has(id))).toEqual([]);
      expect(traceLines(draft)).toHaveLength(2);
    }
  });
  it('there and back again is where one was', () => {
    for (const { chain } of ways) {
      const draft = copyOf(plan);
      let n = 0;
      const make = (role: string): string => `new-${role}${n++}`;
      putChain(draft, line, chain, make);
      putChain(
        draft,
        traceLines(draft).find((l) => l.id === 'in')!,
        chainOf(plan, line),
        make
      );
      expect(
        chainOf(
          draft,
          traceLines(draft).find((l) => l.id === 'in')!
        )
      ).toEqual(chainOf(plan, line));
    }
  });
});

it('a line that another hangs on does not stand alone', () => {
  const plan = show(TEXTS[0]);
  expect(standsAlone(plan, resolve(plan).line('in')!)).toBe(true);
  addThru(plan);
  expect(standsAlone(plan, resolve(plan).line('in')!)).toBe(false);
});
