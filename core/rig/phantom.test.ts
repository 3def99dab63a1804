import { describe, expect, it } from 'vitest';
import type { Settings } from '../gear/types';
import type { Wiring } from '../plan/schema';
import { device, lead, oneLine, run } from '../tests/plans';
import { emfSpectrum, HARMONICS, strayVolts } from './stray';
import { phantomOf } from './phantom';

const LEG = 6810;
/** Direct current through a source's output, amperes. */
function harm(model: string, wiring: Wiring = 'plain', input = 'mic-in', settings: Settings = {}): number {
  const { plan, line } = oneLine({
    source: device(model, settings),
    lead: run(1, { wiring: ['plain', wiring] }),
    input: device(input, { phantom: 'on' })
  });
  return phantomOf(plan, line)!.harm;
}

describe('where phantom goes', () => {
  it.each<[string, Wiring, number]>([
    ['dynamic-mic', 'plain', 0],
    // Pin 3 grounded: the coil hangs between 48 V behind 6.81 kΩ and ground.
    ['dynamic-mic', 'cold-grounded', 48 / (LEG + 200)],
    ['ribbon', 'cold-grounded', 48 / (LEG + 300)],
    ['ribbon', 'plain', 0],
    ['ribbon', 'swapped', 0],
    ['line-balanced', 'plain', 48 / (LEG + 150)],
    ['interface-out', 'plain', 48 / (LEG + 200)]
  ])('%s, %s', (model, wiring, ampere) => expect(Math.abs(harm(model, wiring) - ampere)).toBeLessThan(2e-4));

  it('a transformer output sees none, a piezo none; a combo input gives it on its XLR as any other', () => {
    expect(harm('line-balanced', 'plain', 'mic-in', { topology: 'transformer' })).toBeLessThan(1e-6);
    expect(harm('line-balanced', 'cold-grounded', 'mic-in', { topology: 'transformer' })).toBeGreaterThan(5e-3);
    expect(harm('piezo')).toBe(0);
    expect(harm('line-balanced', 'plain', 'combo-in')).toBeGreaterThan(5e-3);
  });

  it('is none where the switch is off', () => {
    const { plan, line } = oneLine({ source: device('dynamic-mic'), lead: run(1), input: device('mic-in') });
    expect(phantomOf(plan, line)).toBeNull();
  });

  it('reaches a box through an adapter, and not over a cut shield', () => {
    const fed = (wiring?: [Wiring, Wiring]) => {
      const { plan, line } = oneLine({
        source: device('piezo'),
        lead: lead(1),
        box: device('active-di'),
        run: run(10, wiring ? { wiring } : {}),
        input: device('mic-in', { phantom: 'on' })
      });
      return phantomOf(plan, line)!;
    };
    expect(fed().volts).toBeGreaterThan(30);
    expect(fed(['plain', 'shield-open'])).toMatchObject({ noReturn: true, volts: 0 });
    expect(fed(['plain', 'swapped']).volts).toBeCloseTo(fed().volts, 3);
  });
});

describe('what the mains are made of', () => {
  it('clean: odd harmonics, 12 dB an octave; with dimmers 6 dB, and even ones 10 dB under', () => {
    expect(20 * Math.log10(emfSpectrum(3, false) / emfSpectrum(1, false))).toBeCloseTo(-19.08, 2);
    expect(emfSpectrum(2, false)).toBe(0);
    expect(20 * Math.log10(emfSpectrum(9, true) / emfSpectrum(3, true))).toBeCloseTo(-9.54, 2);
    expect(20 * Math.log10(emfSpectrum(2, true) * 2)).toBeCloseTo(-10, 6);
    for (let h = 1; h <= HARMONICS; h++) expect(emfSpectrum(h, true)).toBeGreaterThan(emfSpectrum(h, false) * 0.99);
  });
  it('half the mains behind a two-pin supply, all of it beside a player, a field by frequency and area', () => {
    const policy = { mainsHz: 50, bridging: 10, unbalanced: 'computed' } as const;
    expect(strayVolts(policy, 'leak', 0, 1)).toBe(115);
    expect(strayVolts({ ...policy, mainsHz: 60 }, 'leak', 0, 1)).toBe(60);
    expect(strayVolts(policy, 'electric', 0, 1)).toBe(230);
    expect(strayVolts(policy, 'winding', 2, 1)).toBeCloseTo(2 * Math.PI * 50 * 0.3e-6 * 2, 12);
    expect(strayVolts(policy, 'cable', 2, 3) / strayVolts(policy, 'cable', 2, 1)).toBeCloseTo(1 / 3, 9);
    expect(strayVolts({ ...policy, ambient: 'none' }, 'electric', 0, 1)).toBe(0);
  });
});
