import { describe, expect, it } from 'vitest';
import { SolvedRig } from '../judge/solved-rig';
import { device, farads, oneLine, run } from '../tests/plans';
import { toDbu } from '../units/quantity';
import { solveLine } from './solve';
import { gainAt } from './spans';

/**
 * Reference figures from a general circuit simulator, which swept 100 points a decade from 20 Hz and reported the first
 * point at or above the frequency asked for. They are compared at that very point.
 */
const onGrid = (hz: number): number => 20 * 10 ** (Math.ceil(Math.log10(hz / 20) * 100 - 1e-9) / 100);
const within = 0.05;

function expectGains(parts: Parameters<typeof oneLine>[0], at: number[], db: number[]): void {
  const { plan, line } = oneLine(parts);
  const got = gainAt(plan, line, Float64Array.from(at.map(onGrid)));
  db.forEach((want, k) => expect(Math.abs(got[k] - want), `${at[k]} Hz: ${got[k]} for ${want}`).toBeLessThan(within));
}

const BASS = device('passive-bass', { eddy: 'off' });
const COIL = device('single-coil', { eddy: 'off' });
const into = (ohm: number) => device('load-resistor', { zin: ohm });
const FIVE = [20, 1000, 3000, 5000, 10000];

describe('response against independent figures', () => {
  it.each([
    [600e-12, 1e6, [-0.51, 0.16, 0.93, -8.72, -22.08]],
    [600e-12, 140e3, [-0.91, -0.76, -3.02, -10.24, -22.39]],
    [600e-12, 10e3, [-5.36, -11.0, -19.45, -23.87, -30.4]],
    [600e-12, 2e3, [-14.09, -23.67, -32.83, -37.2, -43.22]],
    [2400e-12, 1e6, [-0.51, 2.79, -10.37, -20.48, -33.02]]
  ])('passive bass, %d F into %d Ω', (farad, ohm, db) =>
    expectGains({ source: BASS, lead: farads(farad), input: into(ohm) }, FIVE, db)
  );

  it.each([
    [1e6, [-0.34, -0.08, 3.01, 0.25, -14.61]],
    [10e3, [-4.53, -7.53, -14.55, -18.75, -25.03]]
  ])('single coil, 500 pF into %d Ω', (ohm, db) =>
    expectGains({ source: COIL, lead: farads(500e-12), input: into(ohm) }, FIVE, db)
  );

  it.each([
    [10e6, [-7.1, -5.35, -5.27, -5.26]],
    [1e6, [-22.55, -10.16, -5.35, -5.27]],
    [140e3, [-39.55, -25.58, -8.41, -5.31]],
    [2e3, [-76.45, -62.44, -42.43, -22.5]]
  ])('piezo 600 pF, 500 pF into %d Ω', (ohm, db) =>
    expectGains(
      { source: device('piezo', { C: 600e-12 }), lead: farads(500e-12), input: into(ohm) },
      [20, 100, 1000, 10000],
      db
    )
  );

  it.each([
    ['bass 1 MΩ', BASS, 600e-12, 2.34, 2350],
    ['bass long lead', BASS, 2400e-12, 4.95, 1420],
    ['single coil', COIL, 500e-12, 3.68, 3640]
  ])('resonance: %s', (_, source, farad, peakDb, peakHz) => {
    const { plan, line } = oneLine({ source, lead: farads(farad), input: into(1e6) });
    const { hz, spans } = solveLine(plan, line);
    const gain = spans[0].far.gainDb;
    const k = gain.indexOf(Math.max(...gain));
    expect(gain[k]).toBeCloseTo(peakDb, 1);
    expect(Math.abs(hz[k] / peakHz - 1)).toBeLessThan(0.012);
  });
});

describe('passive DI against independent figures', () => {
  const line3nF = run(1, { settings: { cShield: 0, cCores: 3e-9 } });
  const box = device('passive-di', { Ciw: 0 });
  const mic = device('mic-in', { mismatch: 0 });

  it('from 600 Ω', () =>
    expectGains(
      { source: device('line-unbalanced', { R: 600 }), lead: farads(600e-12), box, run: line3nF, input: mic },
      [20, 1000, 20000],
      [-21.82, -21.8, -21.04]
    ));
  it('from the passive bass', () =>
    expectGains(
      { source: BASS, lead: farads(600e-12), box, run: line3nF, input: mic },
      FIVE,
      [-22.79, -21.92, -22.98, -32.22, -45.05]
    ));
  it('economy core', () =>
    expectGains(
      {
        source: BASS,
        lead: farads(600e-12),
        box: device('passive-di-economy', { Ciw: 0 }),
        run: line3nF,
        input: mic
      },
      [20, 1000],
      [-29.11, -22.77]
    ));
  it('input impedance, dBΩ', () => {
    const { plan, line } = oneLine({ source: BASS, lead: farads(0), box, run: line3nF, input: mic });
    const { hz, spans } = solveLine(plan, line);
    const at = (f: number): number => 20 * Math.log10(spans[0].zin![hz.findIndex((x) => x >= f * 0.9999)]);
    expect(at(20)).toBeCloseTo(91.5, 1);
    expect(Math.abs(at(100) - 104.2)).toBeLessThan(0.2);
    expect(Math.abs(at(1000) - 109.4)).toBeLessThan(0.1);
    expect(Math.abs(at(10000) - 101.8)).toBeLessThan(0.4);
  });
});

describe('hum through one line at 50 Hz, 100 mV between earth points', () => {
  /** Level at the input from an EMF in the supply of the source, by the adjoint of the input. */
  function humDbu(parts: Parameters<typeof oneLine>[0]): number {
    const { plan, line } = oneLine(parts);
    plan.supplies = {
      house: { name: 'House', emf: 0, ohm: 0.1, dimmers: false },
      stage: { name: 'Stage', emf: 0.1, ohm: 0.1, dimmers: false }
    };
    plan.devices.src.supply = 'stage';
    // Of the EMF alone, at its fundamental: stray fields are left out of the figures.
    plan.policy.ambient = 'none';
    return toDbu(new SolvedRig(plan).solved().get(line.id)!.hum!.spectrum[0]);
  }
  const KEYS = device('line-unbalanced', { R: 600, feed: 'mains-1' });

  it('15 m unbalanced', () => {
    const hum = humDbu({
      source: KEYS,
      lead: { kind: 'instrument', metres: 15 },
      input: device('consumer-in', { zin: 10e3 })
    });
    expect(Math.abs(hum - -24.7)).toBeLessThan(0.5);
  });
  it('passive DI, ground joined, then lifted', () => {
    const parts = (lift: string) => ({
      source: KEYS,
      lead: { kind: 'instrument' as const, metres: 3 },
      box: device('passive-di', { lift, Ciw: 200e-12 }),
      run: run(30),
      input: device('mic-in')
    });
    expect(Math.abs(humDbu(parts('joined')) - -64.1)).toBeLessThan(0.5);
    // The figure is met with 30 Ω in each half of the secondary, 60 Ω along it. By hand: ωC·100 mV = 6.3 nA reaches the
    // secondary, 55 to 45; with 1 % between the legs a twentieth of it has to pass the winding and the primary's 2.6 kΩ ÷ 144,
    // beside the input's 2 kΩ.
    const lifted = (Rs: number) => {
      const box = device('passive-di', { lift: 'lifted', Ciw: 200e-12, Rs });
      return humDbu({ ...parts('lifted'), box });
    };
    const ampere = 2 * Math.PI * 50 * 200e-12 * 0.1;
    const byHand = (Rs: number): number => {
      const along = Rs + 2600 / 144;
      return toDbu((ampere * (0.55 - 0.4975) * (along * 2000)) / (along + 2000));
    };
    for (const Rs of [30, 60]) expect(Math.abs(lifted(Rs) - byHand(Rs))).toBeLessThan(0.2);
    expect(Math.abs(lifted(60) - -149.9)).toBeLessThan(0.2);
  });
  it('active DI, ground joined, then lifted', () => {
    // 140 Ω in each leg of its output.
    const parts = (lift: string) => ({
      source: KEYS,
      lead: { kind: 'instrument' as const, metres: 3 },
      box: device('active-di', { lift, zout: 280 }),
      run: run(30),
      input: device('mic-in')
    });
    expect(Math.abs(humDbu(parts('joined')) - -42.7)).toBeLessThan(0.5);
    expect(Math.abs(humDbu(parts('lifted')) - -75.9)).toBeLessThan(0.5);
  });
});
