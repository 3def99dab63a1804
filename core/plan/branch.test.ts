import { describe, expect, it } from 'vitest';
import { judgePlan } from '../judge/judge';
import { namesOf } from '../reader/names';
import { readLine } from '../reader/read-line';
import { tellLine } from '../reader/write-line';
import { show as showOf } from '../tests/plans';
import { branchesOf } from './branch';
import { planFaults } from './integrity';
import { traceLines } from './lines';
import { dropLine, putLine } from './put';
import type { Plan } from './schema';
import { specOf } from './spec';

function show(...texts: string[]): Plan {
  const plan = showOf(...texts.map((text): [string] => [text]));
  expect(planFaults(plan)).toEqual([]);
  return plan;
}
const told = (plan: Plan): string[] =>
  traceLines(plan).map((line) => tellLine(specOf(plan, line)!, namesOf(plan)).replaceAll('\u202f', ' '));
const branches = (plan: Plan) => [...branchesOf(plan, traceLines(plan))].map(([id, b]) => [id, b.of]);
const level = (plan: Plan, id: string): number => judgePlan(plan).find((r) => r.id === id)!.arrives!;

describe('lines that leave other lines', () => {
  const BASS = 'Bass: passive bass, 3 m, passive DI, 30 m, mic 1';

  it.each([
    ['the thru of a box', BASS, 'from Bass, 2 m, guitar amp', 'l0-mid', 'thru'],
    [
      'a splitter',
      'Voice: dynamic mic, 5 m, splitter, 30 m, mic 1',
      'from Voice, 20 m mic cable, mic',
      'l0-mid',
      'iso'
    ],
    [
      'the link of a speaker',
      'Left: balanced line, 20 m, powered speaker',
      'from Left, 6 m, powered speaker',
      'l0-in',
      'thru'
    ],
    ['a Y lead at the source', 'Keys: keyboard, 3 m, line 1', 'from Keys, 3 m, guitar amp', 'l1-y', 'thru'],
    ['a Y lead behind the box', BASS, 'from Bass, 20 m mic cable, mic', 'l1-y', 'thru']
  ])('%s', (_, first, second, device, port) => {
    const plan = show(first, second);
    expect(branches(plan)).toEqual([['l1-in', 'l0-in']]);
    const leaving = Object.values(plan.cables).filter(({ from }) => from.device === device && from.port === port);
    expect(leaving).toHaveLength(1);
    // Both are lines with numbers of their own, and both can be said again.
    for (const report of judgePlan(plan)) expect(report.arrives, report.id).toBeGreaterThan(-60);
    const again = show(...told(plan));
    expect(told(again)).toEqual(told(plan));
    expect(branches(again)).toHaveLength(1);
  });

  it('a second load takes from the first: two inputs in parallel are heard in both', () => {
    const one = show('Keys: keyboard (R 10k), 3 m, line 1');
    const two = show('Keys: keyboard (R 10k), 3 m, line 1', 'from Keys, 3 m mic cable, line');
    // 10 kΩ behind 10 kΩ halves; two of them in parallel leave a third.
    expect(level(one, 'l0-in') - level(two, 'l0-in')).toBeCloseTo(20 * Math.log10(1 / 2 / (1 / 3)), 0);
    expect(level(two, 'l1-in')).toBeCloseTo(level(two, 'l0-in'), 1);
  });

  it('three speakers in a chain are three lines, each off the one before, all equally loud', () => {
    const plan = show(
      'Left: balanced line, 20 m, powered speaker',
      'Middle: from Left, 6 m, powered speaker',
      'Right: from Middle, 6 m, powered speaker'
    );
    expect(branches(plan)).toEqual([
      ['l1-in', 'l0-in'],
      ['l2-in', 'l1-in']
    ]);
    const levels = judgePlan(plan).map((r) => r.arrives!);
    for (const db of levels) expect(db).toBeCloseTo(levels[0], 1);
    expect(told(plan)[2]).toBe('Right: from Middle, 6 m, powered speaker, on House');
  });

  it('a branch that is dropped leaves the line whole; a line that is said anew may become a branch', () => {
    const plan = show(BASS, 'from Bass, 2 m, guitar amp');
    dropLine(
      plan,
      traceLines(plan).find((l) => l.id === 'l1-in')!
    );
    expect(Object.keys(plan.devices).sort()).toEqual(['l0-in', 'l0-mid', 'l0-src']);
    const two = show(BASS, 'Amp: guitar single coil, 3 m, guitar amp');
    const line = traceLines(two).find((l) => l.id === 'l1-in')!;
    putLine(two, readLine('Amp: from Bass, 2 m, guitar amp', namesOf(two)).spec!, (r) => `new-${r}`, line);
    expect(planFaults(two)).toEqual([]);
    expect(branches(two)).toEqual([['l1-in', 'l0-in']]);
    expect('l1-src' in two.devices).toBe(false);
  });

  it('names the lines there are when one is meant that is not', () => {
    const { faults } = readLine('from Cello, 3 m, mic', namesOf(show(BASS)));
    expect(faults).toMatchObject([{ code: 'no-such-line', name: 'Cello', known: ['Bass'] }]);
    expect(readLine('from Bass, from Bass, 2 m, mic', namesOf(show(BASS))).faults[0].code).toBe('twice');
  });
});
