import { judgePlan } from '$core/judge/judge';
import { loadPlan } from '$core/plan/load';
import { describe, expect, it } from 'vitest';
import { ropeRoom, saltRoad } from './demo-shows';

/** The demo as it is meant: which lines carry which mistake. */
const golden = (plan: ReturnType<typeof saltRoad>) =>
  Object.fromEntries(
    judgePlan(plan).map((r) => [
      plan.lines[r.id].name,
      [r.severity, ...new Set(r.findings.filter((f) => f.severity !== 'clean').map((f) => f.code))].join(' ')
    ])
  );

describe('demo shows', () => {
  it('load as plans', () => {
    for (const plan of [saltRoad(), ropeRoom()])
      expect(loadPlan(JSON.parse(JSON.stringify(plan)))).toMatchObject({ ok: true });
  });
  it('The Salt Road has its mistakes', () =>
    expect(golden(saltRoad())).toEqual({
      'Hammered dulcimer': 'stop coupled bass-loss',
      'Electric bouzouki': 'care long-unbalanced',
      'Upright bass': 'clean',
      'Pump organ': 'clean',
      Theremin: 'stop long-unbalanced',
      'Tape loops': 'stop long-unbalanced headroom loop',
      'Cue laptop': 'stop stereo-cancels too-quiet',
      'Modular rack': 'stop clips loop too-hot',
      'Foley table': 'note headroom',
      'Bouzouki amp': 'clean',
      Narrator: 'clean',
      'Hearing assist': 'stop leg-on-shield long-unbalanced clips loop'
    }));
  it('Rope Room has its own', () =>
    expect(golden(ropeRoom())).toMatchObject({
      'Bouzouki dry track': 'clean',
      'Pump organ overdub': expect.stringMatching(/^stop bass-loss/),
      'Passive bass': expect.stringMatching(/^stop/)
    }));
});
