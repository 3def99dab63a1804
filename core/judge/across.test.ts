import { describe, expect, it } from 'vitest';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { judgePlan } from './judge';
import { worst } from './types';

const plan = (): Plan =>
  show(
    ['Alto mic: dynamic mic, 20 m, mic, ch 3'],
    ['Bell mic: dynamic mic, 25 m, mic, ch 3'],
    ['Choir mic: dynamic mic, 20 m, mic, ch 4']
  );
const twice = (p: Plan): (string | number)[][] =>
  judgePlan(p).map((r) =>
    r.findings.filter((f) => f.code === 'channel-twice').flatMap((f) => f.because.map((b) => b.value))
  );
const of = (p: Plan, name: string) => Object.values(p.lines).find((l) => l.name === name)!;

describe('one channel on two lines', () => {
  it('is told at both, with the other by name, and at no third', () => {
    expect(twice(plan())).toEqual([[3, 'Bell mic'], [3, 'Alto mic'], []]);
    const fine = plan();
    of(fine, 'Bell mic').channel = 5;
    expect(twice(fine)).toEqual([[], [], []]);
    // It counts: a line that is else a note wants care.
    const [alone, shared] = [judgePlan(fine)[0], judgePlan(plan())[0]];
    expect(shared.severity).toBe(worst([alone.severity, 'care']));
    expect(shared.findings).toHaveLength(alone.findings.length + 1);
  });
  it('is none for lines of different acts; a line of no act is always on', () => {
    const acts = plan();
    [of(acts, 'Alto mic').act, of(acts, 'Bell mic').act] = ['Morning', 'Evening'];
    expect(twice(acts)).toEqual([[], [], []]);
    of(acts, 'Bell mic').act = 'Morning';
    expect(twice(acts)[0]).toEqual([3, 'Bell mic']);
    delete of(acts, 'Bell mic').act;
    expect(twice(acts)[1]).toEqual([3, 'Alto mic']);
  });
  it('names all of three', () => {
    const three = plan();
    of(three, 'Choir mic').channel = 3;
    expect(twice(three)).toEqual([
      [3, 'Bell mic and Choir mic'],
      [3, 'Alto mic and Choir mic'],
      [3, 'Alto mic and Bell mic']
    ]);
  });
});
