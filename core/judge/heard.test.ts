import { describe, expect, it } from 'vitest';
import { criticalBand, hissHeardFrom, programmeIn, roomOf, ROOMS, toneHeardFrom } from '../rig/audible';
import { device, lead, oneLine } from '../tests/plans';
import { heardSeverity, hissMargin, humMargin } from './heard';
import { judgePlan } from './judge';

const policy = { mainsHz: 50, bridging: 10, unbalanced: 'computed' } as const;

describe('what is heard', () => {
  it('a tone: from 4 dB under the noise of its critical band, and never under the threshold of hearing', () => {
    // NC 25 has 31 dB at 500 Hz in 354 Hz of bandwidth; the critical band there is 117 Hz wide.
    expect(criticalBand(500)).toBeCloseTo(117, 0);
    expect(toneHeardFrom(500, 'theatre')).toBeCloseTo(31 + 10 * Math.log10(criticalBand(500) / 353.55) - 4, 3);
    // A quiet studio's noise at 50 Hz lies near the threshold, which no room takes away.
    for (const room of ROOMS) {
      expect(toneHeardFrom(50, room)).toBeGreaterThanOrEqual(44);
      expect(toneHeardFrom(1000, room)).toBeGreaterThanOrEqual(2.4);
      expect(toneHeardFrom(20, room)).toBeGreaterThanOrEqual(78.5);
    }
    // A buzz is heard long before a hum is.
    expect(toneHeardFrom(50, 'theatre') - toneHeardFrom(1000, 'theatre')).toBeGreaterThan(25);
  });
  it('hiss: against the A-weighted noise of the place, some 35 dB in a theatre', () => {
    expect(hissHeardFrom('theatre')).toBeCloseTo(35.4, 0);
    expect(hissHeardFrom('studio')).toBeLessThan(hissHeardFrom('theatre'));
    expect(hissHeardFrom('club')).toBeCloseTo(hissHeardFrom('outdoors'), 9);
  });
  it('the place: a theatre where nobody has said, the open where it is outdoors', () => {
    expect([roomOf({}), roomOf({ outdoors: true }), roomOf({ outdoors: true, room: 'club' })]).toEqual([
      'theatre',
      'outdoors',
      'club'
    ]);
    expect(programmeIn('club') - programmeIn('theatre')).toBe(20);
  });
  it('a margin goes with the level decibel by decibel, a step with how exposed a part is', () => {
    const at = (nominal: number, exposure: 'lead' | 'normal' | 'buried' = 'normal') =>
      humMargin(policy, exposure, nominal, -100);
    expect(at(-20) - at(-23)).toBeCloseTo(3, 9);
    expect([at(-20, 'buried') - at(-20), at(-20, 'lead') - at(-20)]).toEqual([10, -10]);
    const hiss = hissMargin(policy, 'normal', -20, -70);
    expect(hiss).toBeCloseTo(hissHeardFrom('theatre') - (78 - 50), 9);
    expect([humMargin(policy, 'normal', -Infinity, -Infinity), humMargin(policy, 'normal', 0, -Infinity)]).toEqual([
      200, 200
    ]);
  });
  it('the stricter of ear and rule of thumb, each with the figure that would do', () => {
    expect(heardSeverity(25, 60)).toEqual({ margin: 25, severity: 'clean', limit: 45, rule: false });
    expect(heardSeverity(-4, 60)).toEqual({ margin: -4, severity: 'care', limit: 64, rule: false });
    expect(heardSeverity(25, 45)).toEqual({ margin: 25, severity: 'note', limit: 50, rule: true });
    expect(heardSeverity(25, 29)).toEqual({ margin: 25, severity: 'stop', limit: 30, rule: true });
    expect(heardSeverity(-12, 29)).toMatchObject({ severity: 'stop', rule: false });
  });
  it('one hum: heard in a studio, not in a club; exposed more than buried', () => {
    const severity = (room: (typeof ROOMS)[number], exposure: 'lead' | 'normal' | 'buried') => {
      const { plan, line } = oneLine({
        source: device('single-coil', { instrument: 'bouzouki' }),
        lead: lead(5),
        input: device('instrument-in')
      });
      plan.policy.room = room;
      plan.lines[line.id] = { name: 'Bouzouki', exposure };
      const [report] = judgePlan(plan);
      const found = report.findings.find((f) => f.code === 'hums' || f.code === 'hum-low')!;
      return found.because.find((b) => b.name === 'heard')!.value as number;
    };
    expect(severity('club', 'normal')).toBeGreaterThan(severity('studio', 'normal'));
    expect(severity('theatre', 'buried') - severity('theatre', 'lead')).toBeCloseTo(20, 2);
  });
});
