import { SOUNDS } from '$core/trace/hypotheses';
import { heardChance, soundChance } from '$core/trace/first-answers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evidenceOf, heardIn } from './heard-sound';

describe('what a recording tells the trace', () => {
  it('comes back out of an address as it went in, to a hundredth; what is next to nothing stays out', () => {
    const heard = [
      { sound: 'hum', share: 0.618 },
      { sound: 'hiss', share: 0.352 },
      { sound: 'radio', share: 0.029 }
    ] as const;
    expect(evidenceOf({ heard })).toBe('sound=hum.62,hiss.35');
    expect(evidenceOf({ heard: [{ sound: 'hum', share: 0.03 }] })).toBe('sound=hum.3');
    expect(heardIn('hum.62,hiss.35')).toEqual({ is: 'hum', heard: { hum: 0.62, hiss: 0.35 } });
    expect(heardIn('hiss.30,hum.70')!.is).toBe('hum');
    expect(heardIn('hum')).toEqual({ is: 'hum', heard: { hum: 1 } });
    for (const none of [null, '', 'noise', 'hum.0', 'hum.101', 'hum.x']) expect(heardIn(none)).toBeNull();
  });
  it('weighs by its shares: a word alone as it always did, and a mixture between the two', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...SOUNDS),
        fc.constantFrom(...SOUNDS),
        fc.constantFrom(...SOUNDS, null),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (a, b, truth, share) => {
          expect(heardChance(truth, { is: a })).toBe(soundChance(truth, a));
          if (a === b) return;
          const both = heardChance(truth, { is: a, heard: { [a]: share, [b]: 1 - share } });
          const [one, other] = [soundChance(truth, a), soundChance(truth, b)];
          expect(both).toBeGreaterThanOrEqual(Math.min(one, other) - 1e-12);
          expect(both).toBeLessThanOrEqual(Math.max(one, other) + 1e-12);
        }
      )
    ));
});
