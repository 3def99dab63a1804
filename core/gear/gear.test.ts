import { describe, expect, it } from 'vitest';
import { MINUS } from '../units/quantity';
import { Network, type Node } from '../solver/network';
import { magnitude, System } from '../solver/system';
import { formatQuantity } from '../units/format';
import { modelShort, settingName } from '../words/names';
import { CABLES, plugFor } from './cables';
import { checkSetting, choicesOf, findModel, MODELS, modelOf, DeviceSettings } from './catalogue';
import { INSTRUMENTS } from './instruments';
import { hasSecond, mates, PLUGS, socketHasSecond } from './sockets';
import type { Model, PortNodes, Settings } from './types';

/** A model alone in a network, every port's cold and shield as the rig would have them. */
function bench(id: string, settings: Settings = {}) {
  const model = modelOf(id);
  const read = new DeviceSettings(model, settings);
  const net = new Network();
  const bonds: string[] = [];
  const ports = new Map<string, PortNodes>(
    model.ports.map((p) => {
      const shield = p.ownShield ? net.node(`${p.id}.shield`) : 0;
      const hot = net.node(`${p.id}.hot`);
      const cold = p.carries === 'unbalanced' ? shield : net.node(`${p.id}.cold`);
      return [p.id, { hot, cold, shield }];
    })
  );
  model.stamp({
    net,
    chassis: 0,
    part: (name) => name,
    inner: (name) => net.node(`inner.${name}`),
    port: (name) => ports.get(name)!,
    value: (name) => read.value(name),
    choice: (name) => read.choice(name),
    bond: (name, a, b, ohm) => {
      bonds.push(name);
      net.resistor(name, a, b, ohm);
    },
    hiss: (name, a, b, ohm, density) => net.current(name, a, b, 0, density / ohm),
    hissCurrent: (name, a, b, density) => net.current(name, a, b, 0, density),
    field: () => undefined,
    stray: (a, farad) => net.capacitor(`stray${a}`, a, 0, farad),
    sense: () => undefined
  });
  // Whatever hangs in the air is held by next to nothing.
  for (const { hot, cold, shield } of ports.values())
    for (const node of new Set<Node>([hot, cold, shield])) if (node !== 0) net.resistor(`hold${node}`, node, 0, 1e11);
  return { net, ports, bonds, read };
}
const impedance = (b: ReturnType<typeof bench>, port: string, hz: number): number => {
  const { hot, cold, shield } = b.ports.get(port)!;
  const balanced = b.read.model.ports.find((p) => p.id === port)!.carries === 'balanced';
  const other = balanced ? cold : shield;
  return magnitude(new System(b.net).at(hz).solveInjection(hot, other).voltage(hot, other));
};
/** Gain from a stiff source at the input to the output's differential voltage, dB. */
function gain(id: string, settings: Settings, hz: number, loadOhm = 1e9, right = 1): number {
  const b = bench(id, settings);
  const input = b.ports.get('in')!;
  const out = b.ports.get('out')!;
  b.net.voltage('drive', input.hot, 0, 1);
  // Right of a stereo pair plays along; the cold leg of a balanced one stands still.
  const stereo = b.read.model.ports[0].carries === 'stereo';
  if (b.net.root(input.cold) !== b.net.root(input.shield) && b.net.root(input.cold) !== b.net.root(input.hot))
    b.net.voltage('drive-right', input.cold, 0, stereo ? right : 0);
  b.net.resistor('load', out.hot, out.cold, loadOhm);
  return 20 * Math.log10(magnitude(new System(b.net).at(hz).solveSources().voltage(out.hot, out.cold)));
}

describe('the catalogue', () => {
  it.each(MODELS.map((m) => [m.id, m] as const))(
    '%s: values in order, names, ports, a network that solves',
    (id, model) => {
      for (const [name, p] of Object.entries(model.params)) {
        expect(p.min, name).toBeLessThanOrEqual(p.typ);
        expect(p.typ, name).toBeLessThanOrEqual(p.max);
        expect(p.low, name).toBeLessThanOrEqual(p.min);
        expect(p.high, name).toBeGreaterThanOrEqual(p.max);
        expect(settingName(name), name).not.toBe(name);
        expect(formatQuantity(p.quantity, p.typ)).not.toContain('NaN');
        for (const v of [p.low, p.typ, p.high]) expect(checkSetting(model, name, v)).toBeNull();
        for (const v of [p.low - Math.abs(p.low) - 1, p.high * 2 + 1, NaN, Infinity, 'x'])
          expect(checkSetting(model, name, v)).toMatchObject({ code: 'out-of-bounds' });
      }
      for (const [name, o] of Object.entries(model.options)) {
        expect(o.choices).toContain(o.default);
        expect(checkSetting(model, name, 'neither')).toMatchObject({ code: 'not-a-choice' });
        for (const choice of o.choices) {
          const b = bench(id, { [name]: choice });
          expect(() => new System(b.net).at(1000).solveSources()).not.toThrow();
        }
      }
      expect(checkSetting(model, 'nonsense', 1)).toMatchObject({ code: 'unknown-setting' });
      expect(modelShort(id).length).toBeLessThan(20);
      expect(new Set(model.ports.map((p) => p.id)).size).toBe(model.ports.length);
      expect(model.family === 'source').toBe(model.signal !== undefined);
    }
  );

  it('knows no model it does not have', () => {
    expect(findModel('constructor')).toBeUndefined();
    expect(() => modelOf('nothing')).toThrow();
  });

  it('lets a source say what it plays and how it is fed', () => {
    expect(choicesOf(modelOf('piezo'), 'instrument')).toContain('cello');
    expect(choicesOf(modelOf('mic-in'), 'instrument')).toEqual([]);
    expect(choicesOf(modelOf('line-unbalanced'), 'feed')).toEqual(['mains-1', 'mains-2', 'battery']);
    expect(new DeviceSettings(modelOf('active-di'), { power: 'battery' }).feed).toBe('battery');
    expect(new DeviceSettings(modelOf('active-di'), {}).feed).toBe('phantom');
  });

  it('has instruments with notes in order', () => {
    for (const { low, high, reach } of Object.values(INSTRUMENTS)) {
      expect(low).toBeLessThan(high);
      expect(high).toBeLessThanOrEqual(reach);
    }
  });
});

describe('what the networks measure is what the tables say', () => {
  it.each([
    ['line-unbalanced', 600],
    ['line-hot', 1000],
    ['consumer-player', 700],
    ['active-bass', 3000],
    ['headphone', 10],
    ['line-balanced', 150],
    ['dynamic-mic', 200]
  ])('source impedance of %s', (id, ohm) => expect(impedance(bench(id), 'out', 1000) / ohm).toBeCloseTo(1, 3));

  it.each([
    ['mic-in', 2000],
    ['line-in', 20e3],
    ['consumer-in', 20e3],
    ['load-resistor', 10e3]
  ])('input impedance of %s', (id, ohm) => expect(impedance(bench(id), 'in', 1000) / ohm).toBeCloseTo(1, 3));

  it('an instrument input is a megohm beside its capacitance', () => {
    const expected = 1 / Math.hypot(1e-6, 2 * Math.PI * 5000 * 100e-12);
    expect(impedance(bench('instrument-in'), 'in', 5000) / expected).toBeCloseTo(1, 3);
    expect(impedance(bench('instrument-in'), 'in', 20) / 1e6).toBeCloseTo(1, 2);
  });

  it('active DIs show their own impedance, padded or not', () => {
    for (const pad of ['off', '10', '20', '40']) {
      expect(impedance(bench('active-di', { pad }), 'in', 30) / 1e6).toBeCloseTo(1, 1);
      expect(impedance(bench('active-di-10m', { pad }), 'in', 30) / 10e6).toBeCloseTo(1, 1);
    }
    expect(impedance(bench('active-di'), 'out', 1000)).toBeCloseTo(200, 0);
  });

  it.each(['10', '15', '20', '40'])('a pad of %s dB takes that much, passive and active', (pad) => {
    const active = gain('active-di', { pad }, 100) - gain('active-di', {}, 100);
    expect(active).toBeCloseTo(-Number(pad), 1);
    // The transformer's own input loads a passive pad a little.
    const passive = gain('passive-di', { pad }, 1000, 2000) - gain('passive-di', {}, 1000, 2000);
    expect(Math.abs(passive + Number(pad))).toBeLessThan(1.2);
  });

  it('a passive DI divides by its turns, an active one by its gain setting', () => {
    expect(gain('passive-di', {}, 1000)).toBeCloseTo(-20 * Math.log10(12), 1);
    expect(gain('active-di', {}, 1000)).toBeCloseTo(0, 2);
    expect(gain('active-di', { gain: -10 }, 1000)).toBeCloseTo(-10, 2);
    expect(gain('media-di', {}, 1000)).toBeCloseTo(-20 * Math.log10(8), 0);
  });

  it('the reflected load of a passive DI is the square of its turns', () => {
    const b = bench('passive-di');
    const out = b.ports.get('out')!;
    b.net.resistor('load', out.hot, out.cold, 2000);
    // Beside it stand the primary's 300 H and 100 pF.
    const w = 2 * Math.PI * 300;
    const siemens = Math.hypot(1 / (144 * (2000 + 30)), 1 / (w * 300) - w * 100e-12);
    expect(Math.abs(impedance(b, 'in', 300) * siemens - 1)).toBeLessThan(0.015);
  });

  it('a volume pot turned halfway halves the level and raises the source impedance', () => {
    const open = bench('single-coil');
    const half = bench('single-coil', { turn: 50 });
    const volts = (b: typeof open) =>
      magnitude(new System(b.net).at(200).solveSources().voltage(b.ports.get('out')!.hot));
    expect(volts(half) / volts(open)).toBeCloseTo(0.5, 1);
    expect(impedance(half, 'out', 200)).toBeGreaterThan(impedance(open, 'out', 200) * 5);
  });

  it('a lift leaves no low-ohm joint; a joined box has one', () => {
    for (const id of ['passive-di', 'passive-di-economy', 'active-di', 'active-di-10m', 'media-di']) {
      expect(bench(id, { lift: 'joined' }).bonds).toEqual(['ground']);
      expect(bench(id, { lift: 'lifted' }).bonds).toEqual([]);
    }
  });
});

describe('plugs and sockets', () => {
  it('mate by family and by nothing else', () => {
    const fits = Object.fromEntries(
      PLUGS.map((plug) => [
        plug,
        (['ts', 'trs', 'mini', 'xlr', 'rca', 'speaker', 'combo', 'terminal'] as const).filter((s) => mates(plug, s))
      ])
    );
    expect(fits).toEqual({
      ts: ['ts', 'trs', 'combo', 'terminal'],
      trs: ['ts', 'trs', 'combo', 'terminal'],
      mini: ['mini', 'terminal'],
      xlr: ['xlr', 'combo', 'terminal'],
      rca: ['rca', 'terminal'],
      speaker: ['speaker', 'terminal']
    });
    expect(PLUGS.filter(hasSecond)).toEqual(['trs', 'mini', 'xlr', 'speaker']);
    expect(socketHasSecond('ts')).toBe(false);
  });
  it('a cable comes with the plug the socket wants, or its own customary one', () => {
    expect(plugFor('instrument', 'ts')).toBe('ts');
    expect(plugFor('instrument', 'trs')).toBe('ts');
    expect(plugFor('mic', 'trs')).toBe('trs');
    expect(plugFor('multicore', 'xlr')).toBe('xlr');
    expect(plugFor('mini', 'xlr')).toBe('xlr');
    expect(plugFor('rca', 'rca')).toBe('rca');
    expect(plugFor('instrument', 'terminal')).toBe('ts');
    for (const kind of Object.values(CABLES)) for (const plug of kind.plugs) expect(PLUGS).toContain(plug);
  });
  it('minus signs in settings are true ones', () =>
    expect(formatQuantity('gain', modelOf('line-in').params.gainMin.typ)).toContain(MINUS));
});

/** So that a forgotten field in a new model is seen: every port of a box or joint can be reached from every other. */
it('ports of one device are connected', () => {
  const through = (m: Model) => m.family === 'box' || m.family === 'joint';
  // Left and right alike would cancel where one plug carries both as hot and cold.
  for (const model of MODELS.filter(through)) expect(gain(model.id, {}, 1000, 1e9, 0.5), model.id).toBeGreaterThan(-90);
});
