import { describe, expect, it } from 'vitest';
import { type Kit, PLAIN } from '../kit/schema';
import { blankPlan } from '../plan/blank';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { readKit } from '../reader/kit';
import { readLine } from '../reader/read-line';
import { partName } from '../words/routes';
import { kitFor, leadKey, missingBeside, partsOf, Stock, takenBeside, usedOf } from './stock';

const kit = (text: string): Kit => Object.fromEntries(readKit(text).items.map((item, k) => [`k${k}`, item]));
function show(...lines: string[]): Plan {
  const plan = blankPlan();
  lines.forEach((text, k) => putLine(plan, readLine(text).spec!, (role) => `l${k}-${role}`));
  return plan;
}
const named = (parts: readonly { what: string; metres: number }[]): string[] =>
  parts.map((p) => partName(p).replaceAll('\u202F', ' '));

describe('what a line takes', () => {
  it.each([
    ['piezo, 3 m, active DI, 40 m multicore, mic', ['active DI, 1 MΩ', '3 m jack lead']],
    [
      'piezo, 6 m 1 coupler, active DI on battery, 20 m mic cable, mic',
      ['active DI, 1 MΩ', 'battery', '3 m jack lead', '3 m jack lead', '20 m microphone cable']
    ],
    ['laptop, 3 m, mic', ['3 m 3.5 mm stereo lead, 3.5 mm stereo to XLR']],
    ['dynamic mic, 40 m multicore, mic', []]
  ])('%s', (text, parts) => {
    const plan = show(text);
    const [line] = traceLines(plan);
    expect(named(partsOf(plan, line.devices, line.cables))).toEqual(parts);
  });
  it('a lead is the same lead whichever way round it lies', () =>
    expect(leadKey('rca', ['rca', 'ts'])).toBe(leadKey('rca', ['ts', 'rca'])));
});

describe('what there is', () => {
  const stock = new Stock(kit('2 active DIs, 3 x 3 m TS, 2 x 6 m TS'));
  const lead = (metres: number) => ({ what: 'lead:instrument:ts-ts', metres });
  it('a longer lead does for a shorter one', () => {
    expect([lead(3), lead(4), lead(6), lead(7)].map((p) => stock.count(p))).toEqual([5, 2, 2, 0]);
    expect([1, 3, 4, 9].map((m) => stock.shortest(lead(m)))).toEqual([3, 3, 6, null]);
  });
  it('anything is everything', () => {
    const any = new Stock(null);
    expect(any.count(lead(100))).toBe(Infinity);
    expect(any.missing([lead(100), lead(100)])).toEqual([]);
  });
  it('what others lack is not counted against a line', () => {
    const box = { what: 'active-di', metres: 0 };
    const flute = { what: 'isolator', metres: 0 };
    expect(missingBeside(stock, [flute, flute], [box])).toEqual([]);
    expect(missingBeside(stock, [box, box], [box])).toEqual([box]);
    expect(missingBeside(stock, [flute], [box, flute])).toEqual([flute]);
  });
  it('suspect and in repair stay at home', () => {
    const item = { kind: 'device' as const, model: 'balun', ...PLAIN };
    const ill: Kit = {
      a: { ...item, condition: 'suspect' },
      b: { ...item, condition: 'repair' },
      c: { ...item, count: 2 }
    };
    expect(new Stock(ill).count({ what: 'balun', metres: 0 })).toBe(2);
  });
  it('a show draws from what it says', () => {
    const plan = show('piezo, 3 m, active DI, 40 m, mic');
    const crew = kit('2 active DIs');
    expect(kitFor(plan, crew)).toBeNull();
    expect(kitFor({ ...plan, policy: { ...plan.policy, kit: 'crew' } }, crew)).toBe(crew);
    expect(kitFor({ ...plan, policy: { ...plan.policy, kit: 'own' } }, crew)).toEqual({});
  });
});

describe('what a show uses', () => {
  const piezo = 'piezo, 3 m, active DI, 40 m multicore, mic';
  const crew = kit('2 active DIs, 1 x 3 m TS, 2 x 6 m TS');
  it('deals out the shortest lead that reaches, and names what is short', () => {
    const use = usedOf(show(piezo, piezo, piezo), crew);
    expect([...use.used]).toEqual([
      ['k1', 1],
      ['k2', 2],
      ['k0', 2]
    ]);
    expect(use.short).toEqual([{ part: { what: 'active-di', metres: 0 }, count: 1 }]);
    expect(use.list[0]).toMatchObject({ have: 2, used: 3 });
  });
  it('acts share; a line without an act is there in all', () => {
    const plan = show(piezo, piezo, piezo);
    plan.lines['l0-in'].act = 'one';
    plan.lines['l1-in'].act = 'two';
    expect(usedOf(plan, crew).short).toEqual([]);
    expect(takenBeside(plan, 'l0-in')).toHaveLength(2);
    expect(takenBeside(plan, 'l2-in')).toHaveLength(4);
  });
});
