import { describe, expect, it } from 'vitest';
import { System } from '../solver/system';
import { compileRig } from '../rig/compile';
import { gainAt } from '../rig/spans';
import type { Settings } from './types';
import { device, lead, oneLine, run } from '../tests/plans';
import { riaa } from './riaa';

/** Gain of a box between a stiff source and a light load, dB, at some frequencies. */
function through(
  model: string,
  settings: Settings,
  hz: number[],
  from = 'line-unbalanced',
  load = 'load-resistor'
): number[] {
  const { plan, line } = oneLine({
    source: device(from, { R: 0.1 }),
    lead: from === 'line-unbalanced' ? lead(0.1) : run(0.1),
    box: device(model, settings),
    run: run(0.1),
    input: device(load, { zin: 1e6, mismatch: 0 })
  });
  if (load === 'load-resistor') delete plan.devices.in.settings.mismatch;
  return [...gainAt(plan, line, Float64Array.from(hz))];
}
const level = (model: string, settings: Settings, hz = 1000, from?: string, load = 'line-in'): number =>
  through(model, settings, [hz], from, load)[0];

describe('low cut', () => {
  it.each(['40', '80', '120'])('%s Hz is 3 dB down there and 12 dB an octave below', (cut) => {
    const f = Number(cut);
    const [corner, low, lower, high] = through(
      'active-di',
      { cut },
      [f, f / 8, f / 16, f * 100],
      'line-unbalanced',
      'line-in'
    );
    expect(corner - high).toBeCloseTo(-3.01, 1);
    expect(low - lower).toBeGreaterThan(11.5);
    expect(low - lower).toBeLessThan(12.1);
  });
});

describe('tone controls of a preamp DI', () => {
  it('lift or lower one end and leave the other', () => {
    const flat = through('preamp-di', {}, [20, 20000], 'line-unbalanced', 'line-in');
    const bass = through('preamp-di', { low: 10 }, [20, 20000], 'line-unbalanced', 'line-in');
    const treble = through('preamp-di', { high: -10 }, [20, 20000], 'line-unbalanced', 'line-in');
    expect(bass[0] - flat[0]).toBeGreaterThan(9.4);
    expect(Math.abs(bass[1] - flat[1])).toBeLessThan(0.2);
    expect(treble[1] - flat[1]).toBeLessThan(-8.5);
    expect(Math.abs(treble[0] - flat[0])).toBeLessThan(0.2);
  });
});

describe('a loudspeaker tap', () => {
  it.each(['30', '40'])('takes %s dB, and its voicing what a cabinet would not pass', (tap) => {
    const flat = through('speaker-di', { tap, voicing: 'flat' }, [100, 10000], 'line-unbalanced', 'line-in');
    const cabinet = through('speaker-di', { tap, voicing: 'cabinet' }, [100, 10000], 'line-unbalanced', 'line-in');
    expect(flat[0]).toBeCloseTo(-Number(tap), 0);
    expect(flat[1] - flat[0]).toBeCloseTo(0, 1);
    expect(cabinet[1] - flat[1]).toBeLessThan(-12);
    expect(Math.abs(cabinet[0] - flat[0])).toBeLessThan(0.1);
  });
});

describe('levels through boxes that change them', () => {
  it('converters step by 11.8 dB, each way', () => {
    expect(level('converter-up', {})).toBeCloseTo(11.78, 0);
    expect(level('converter-down', {}, 1000, 'line-balanced', 'consumer-in')).toBeCloseTo(-11.78, 0);
    expect(level('converter-up', { trim: 3 }) - level('converter-up', {})).toBeCloseTo(3, 6);
  });
  it('a reversed box steps up by its turns, an isolator hardly at all', () => {
    const up = level('reversed-di', {}, 1000, 'line-balanced', 'instrument-in');
    expect(up).toBeGreaterThan(18);
    expect(up).toBeLessThan(22);
    expect(Math.abs(level('isolator', {}, 1000, 'line-balanced'))).toBeLessThan(0.5);
  });
  it.each(['10', '20', '40'])('an in-line pad takes %s dB', (pad) => {
    const { plan, line } = oneLine({
      source: device('line-balanced', { R: 0.1 }),
      lead: run(0.1),
      box: device('inline-pad', { pad }),
      run: run(0.1),
      input: device('line-in', { zin: 1e6 })
    });
    expect(gainAt(plan, line, Float64Array.from([1000]))[0]).toBeCloseTo(-Number(pad), 1);
  });
  it('re-amping turns down, and stands in for a pickup’s impedance', () => {
    const full = level('reamp-box', { level: 100, emulate: 'none' }, 1000, 'line-balanced', 'instrument-in');
    const tenth = level('reamp-box', { level: 10, emulate: 'none' }, 1000, 'line-balanced', 'instrument-in');
    expect(full - tenth).toBeCloseTo(20, 0);
    const into = (emulate: string): number => {
      const { plan, line } = oneLine({
        source: device('line-balanced'),
        lead: run(1),
        box: device('reamp-box', { emulate }),
        run: lead(1),
        input: device('load-resistor', { zin: 10e3 })
      });
      return gainAt(plan, line, Float64Array.from([1000]))[0];
    };
    expect(into('none') - into('humbucker')).toBeGreaterThan(4);
  });
  it('merging halves each side, mixing takes the mean', () => {
    const stereo = (box: string) => {
      const { plan, line } = oneLine({
        source: device('headphone', { R: 0.1 }),
        lead: { kind: 'mini', metres: 1 },
        box: device(box),
        run: box === 'merge-box' ? lead(1) : run(1),
        input: device(box === 'merge-box' ? 'load-resistor' : 'line-in', { zin: 1e6 })
      });
      return gainAt(plan, line, Float64Array.from([1000]))[0];
    };
    // Both sides carry the same here: two halves are one.
    expect(stereo('merge-box')).toBeCloseTo(0, 1);
    expect(stereo('small-mixer')).toBeCloseTo(0, 1);
  });
  it('polarity turns the sign and nothing else', () => {
    for (const box of ['passive-di', 'active-di']) {
      const volts = (polarity: string): number => {
        const { plan } = oneLine({
          source: device('line-unbalanced'),
          lead: lead(1),
          box: device(box, { polarity }),
          run: run(1),
          input: device('mic-in')
        });
        const rig = compileRig(plan, { devices: ['src', 'mid', 'in'], cables: ['lead', 'run'] });
        const { hot, cold } = rig.ports.get('in.in')!;
        return new System(rig.net).at(1000).solveSources().voltage(hot, cold)[0];
      };
      expect(volts('inverted') / volts('normal')).toBeCloseTo(-1, 2);
    }
  });
});

describe('thru', () => {
  it('straight, a second load is part of the first; buffered, it is not', () => {
    const loaded = (thru: string): number => {
      const { plan, line } = oneLine({
        source: device('piezo'),
        lead: lead(1),
        box: device('active-di-10m', { thru }),
        run: run(1),
        input: device('line-in')
      });
      plan.devices.amp = { model: 'load-resistor', settings: { zin: 20e3 } };
      plan.cables.thru = {
        kind: 'instrument',
        metres: 1,
        from: { device: 'mid', port: 'thru' },
        to: { device: 'amp', port: 'in' },
        plugs: ['ts', 'ts']
      };
      return gainAt(plan, line, Float64Array.from([100]))[0];
    };
    expect(loaded('buffered') - loaded('direct')).toBeGreaterThan(15);
  });
});

describe('the record curve', () => {
  // IEC 60098, replay, without the subsonic one.
  it.each([
    [20, 19.27],
    [50, 16.95],
    [100, 13.09],
    [500, 2.65],
    [1000, 0],
    [2122, -2.87],
    [5000, -8.21],
    [10000, -13.73],
    [20000, -19.62]
  ])('%d Hz: %d dB', (hz, db) => expect(Math.abs(riaa(hz) - db)).toBeLessThan(0.06));
});
