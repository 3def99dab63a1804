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
      'Electric bouzouki': 'note long-unbalanced hums',
      'Upright bass': 'clean',
      'Pump organ': 'clean',
      Theremin: 'care long-unbalanced',
      'Tape loops': 'stop long-unbalanced headroom loop',
      'Cue laptop': 'stop stereo-cancels too-quiet hissy',
      'Modular rack': 'stop clips too-hot',
      'Foley table': 'note headroom',
      'Bouzouki amp': 'clean',
      Narrator: 'clean',
      'Hearing assist': 'stop leg-on-shield long-unbalanced clips loop'
    }));
  it('its numbers stand: level arriving, gain and room in dB', () => {
    const plan = saltRoad();
    const numbers = Object.fromEntries(
      judgePlan(plan).map((r) => [
        plan.lines[r.id].name,
        [r.arrives, r.gain, r.room].map((x) => (x === null ? null : Math.round(x)))
      ])
    );
    expect(numbers).toEqual({
      'Hammered dulcimer': [-51, 47, 37],
      'Electric bouzouki': [-19, 21, 11],
      'Upright bass': [-25, 21, 11],
      'Pump organ': [-24, 20, 10],
      Theremin: [-3, 5, 11],
      'Tape loops': [-8, 12, 4],
      'Cue laptop': [-88, 92, 86],
      'Modular rack': [9, -5, -13],
      'Foley table': [4, -2, 4],
      'Bouzouki amp': [-43, 39, 29],
      Narrator: [-49, 45, 35],
      'Hearing assist': [-2, 4, -4]
    });
  });
  it('Rope Room has its own', () =>
    expect(golden(ropeRoom())).toMatchObject({
      'Bouzouki dry track': 'note hums',
      'Pump organ overdub': expect.stringMatching(/^stop .*bass-loss/),
      'Passive bass': expect.stringMatching(/^stop/)
    }));
});
