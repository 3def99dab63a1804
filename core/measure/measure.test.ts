import { describe, expect, it } from 'vitest';
import { MODELS } from '../gear/catalogue';
import { CORE_LEVELS, coreTone, saturationOf, thirdOf, unfilledTo } from './core-tone';
import { apart } from './compare';
import { BRIDGES, interfaceFrom, middleAt } from './interface';
import { outputFull } from './known';
import { curveOf } from './devices';
import { kindOf, MEASURED, type MeasuredKind, soughtOf } from './kinds';
import { fit } from './fit';
import { CLIPPED, hearSweep, measured, stimulus } from './measure';
import { isFaint, MEASURING, patchesFor, RESISTORS, seriesFor } from './plug';
import { type Patch } from './plug';
import { StandIn } from './stand-in';
import { averaged, type Heard, ratioOf, SWEEP, sweepSound, takeApart } from './sweep';
import { fromSeries, fromTwoLoads } from './two-loads';

const heardOf = (standIn: StandIn, patch: Patch): Heard => {
  const heard = hearSweep(standIn.play(stimulus(MEASURING), patch), MEASURING, isFaint(patch));
  if (typeof heard === 'string') throw new Error(heard);
  return heard;
};
const run = (seed: number, kind: MeasuredKind, model: string) => {
  const standIn = new StandIn(seed, kind, model);
  const resistors = { ...RESISTORS, series: seriesFor(kind) };
  const heard = patchesFor(kind, resistors).map((patch) => heardOf(standIn, patch));
  return { hidden: standIn.hidden, is: measured(kind, model, heard, resistors, standIn.hidden.metres) };
};
const share = (a: number, b: number): number => Math.abs(a / b - 1);

describe('measured on a stand-in with noise at −80 dB', () => {
  it.each([
    ['coil', 'humbucker'],
    ['piezo', 'piezo'],
    ['output', 'line-unbalanced'],
    ['input', 'instrument-in'],
    ['cable', 'instrument'],
    ['di', 'passive-di']
  ] as const)('%s: values that nobody was told are found, and the curve', (kind, model) => {
    const { hidden, is } = run(11, kind, model);
    const truth = curveOf(kind, model, hidden.values, is.hz, hidden.metres);
    const off = is.fitted.map((c, k) => 20 * Math.log10(Math.hypot(...c) / Math.hypot(...truth[k])));
    // A response within 0.1 dB; an impedance within 5 %, which is 0.42 dB.
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(kind === 'di' ? 0.1 : 0.42);
    for (const { param, value, spread } of is.values) {
      expect([param, share(value, hidden.values[param]) < 0.05]).toEqual([param, true]);
      // How sure it is of that is told, and is no boast: hardly ever off by six times as much.
      expect([param, share(value, hidden.values[param]) < 6 * spread + 0.01]).toEqual([param, true]);
    }
    if (kind === 'di') expect(is.inverted).toBe(hidden.sign < 0);
  });
  it('polarity, harmonics that stand out of the noise and none that do not, rejection', () => {
    const signs = [1, 2, 3, 4, 5, 6].map((seed) => {
      const standIn = new StandIn(seed, 'di', 'isolator');
      expect(heardOf(standIn, { is: 'through' }).sign).toBe(
        standIn.hidden.sign * heardOf(standIn, { is: 'loop' }).sign
      );
      return standIn.hidden.sign;
    });
    expect(new Set(signs).size).toBe(2);
    // x + 4 t x³ has a third harmonic of t x² of its fundamental; swept no higher than that its third is still there.
    const low = { ...SWEEP, to: 7500 };
    const bent = sweepSound(low, MEASURING).map((v) => v + 4 * 0.02 * v ** 3);
    const { harmonics } = takeApart(bent, low, MEASURING);
    expect(harmonics[0]).toBeNull();
    expect(harmonics[1]).toBeCloseTo(20 * Math.log10((0.02 * MEASURING ** 2) / (1 + 3 * 0.02 * MEASURING ** 2)), 0);
    const standIn = new StandIn(4, 'output', 'line-balanced');
    const { db } = apart(heardOf(standIn, { is: 'common' }), heardOf(standIn, { is: 'loop' }));
    // Near the noise single bands are off by decibels, the middle of them is not.
    const middle = db.toSorted((a, b) => a - b)[db.length >> 1];
    expect(Math.abs(middle + standIn.hidden.cmrr)).toBeLessThan(0.5);
  });
  it('a core is full where its third harmonic says so; one that makes none is not said to be', () => {
    const full = 3.46;
    const c = 2.2;
    const through = (volts: number): number => volts - volts ** 3 / (3 * c * c);
    const thirds = CORE_LEVELS.map((level) =>
      thirdOf(
        coreTone(level, 48_000).map((v) => through(v * full) / full),
        48_000
      )
    );
    // Full at 30 Hz with so many volts, at 20 Hz with two thirds of them.
    expect(share(saturationOf(thirds, full)!, (c * 2) / 3)).toBeLessThan(0.05);
    const clean = CORE_LEVELS.map((level) => thirdOf(coreTone(level, 48_000), 48_000));
    expect(saturationOf(clean, full)).toBeNull();
  });
  it('a core is found on the stand-in by one known voltage, or it is said up to where none is heard', () => {
    const found = [1, 2, 3, 4, 5, 6, 7, 8].map((seed) => {
      const standIn = new StandIn(seed, 'di', 'isolator');
      const thirds = CORE_LEVELS.map((level) =>
        thirdOf(standIn.play(coreTone(level, standIn.rate), { is: 'core' }), standIn.rate)
      );
      const full = outputFull(standIn.multimeter(MEASURING), MEASURING);
      return { standIn, filled: { thirds, full }, really: standIn.hidden.saturation! };
    });
    const told = found.map(({ filled, really }) => ({ really, core: saturationOf(filled.thirds, filled.full) }));
    expect(told.filter((f) => f.core).length).toBeGreaterThan(3);
    // A tenth, as is said, at the most three of them.
    for (const { core, really } of told) if (core) expect(share(core, really)).toBeLessThan(0.3);
    // Of what makes no sign of it, it is not said that it is full below.
    for (const { filled, really } of found.filter((_, k) => told[k].core === null))
      expect(really).toBeGreaterThan(unfilledTo(filled.thirds.length, filled.full));
    const [{ standIn, filled }] = found;
    const heard = patchesFor('di', RESISTORS).map((patch) => heardOf(standIn, patch));
    const values = (some: typeof filled | null) => measured('di', 'isolator', heard, RESISTORS, 1, some).values;
    expect(values(null).map((v) => v.param)).not.toContain('saturation');
    expect(values(filled).find((v) => v.param === 'saturation')?.value).toBe(told[0].core);
    const silent = measured('di', 'isolator', heard, RESISTORS, 1, { thirds: [0, 0, 0], full: 2 });
    expect([silent.values.length, silent.unfilled]).toEqual([values(null).length, unfilledTo(3, 2)]);
  });
  it('an interface by itself: impedances, noise, full scale, rejection, crosstalk', () => {
    for (const seed of [1, 2]) {
      const standIn = new StandIn(seed, 'interface', '');
      const resistors = { ...RESISTORS, series: 100e3 };
      const heard = patchesFor('interface', resistors).map((patch) => heardOf(standIn, patch));
      const { cmrr, crosstalk, full } = standIn.hidden;
      const is = interfaceFrom(heard, resistors, outputFull(standIn.multimeter(MEASURING), MEASURING));
      expect([is.out > 38 && is.out < 255, is.into / is.out > BRIDGES]).toEqual([true, true]);
      expect(Math.abs(is.noiseDb + 80)).toBeLessThan(0.5);
      expect(share(is.outFull!, full)).toBeLessThan(1e-9);
      // Converters of the stand-in are as high as each other, but for colour.
      expect(share(is.inFull!, full)).toBeLessThan(0.06);
      expect(Math.abs(middleAt(is.hz, is.rejection, 1000) - cmrr)).toBeLessThan(2);
      expect(Math.abs(middleAt(is.hz, is.crosstalk, 1000) - crosstalk)).toBeLessThan(1.5);
      expect(middleAt(is.hz, is.crosstalk, 1000) - middleAt(is.hz, is.crosstalk, 10_000)).toBeCloseTo(20, -1);
      expect(interfaceFrom(heard, resistors, null)).toMatchObject({ outFull: null, inFull: null });
    }
  });
  it('averaged sweeps: noise falls by the root of how many, the response stays', () => {
    const standIn = new StandIn(5, 'output', 'line-unbalanced');
    const sweeps = Array.from({ length: 16 }, () => standIn.play(stimulus(MEASURING), { is: 'loop' }));
    const [one, many] = [sweeps.slice(0, 1), sweeps].map((some) => hearSweep(averaged(some), MEASURING) as Heard);
    expect(Math.abs(20 * Math.log10(one.noise / many.noise) - 12)).toBeLessThan(1);
    expect(share(ratioOf(one, 1000), ratioOf(many, 1000))).toBeLessThan(0.002);
  });
  it('what clips, or does not come back, is told and not measured', () => {
    const loud = stimulus(MEASURING).map((v) => Math.max(-1, Math.min(1, 3 * v)));
    expect(hearSweep(loud, MEASURING)).toBe('clipped');
    expect(
      hearSweep(
        stimulus(MEASURING).map((v) => (v / MEASURING) * CLIPPED * 0.999),
        MEASURING
      )
    ).not.toBe('clipped');
    expect(hearSweep(new Float32Array(stimulus(MEASURING).length), MEASURING)).toBe('nothing');
    expect(() => takeApart(new Float32Array(100), SWEEP, 1)).toThrow(RangeError);
  });
});

describe('by a multimeter and two resistors', () => {
  it('source and input impedance, there and back; levels that contradict the loads are refused', () => {
    for (const z of [50, 600, 12_000])
      for (const [a, b] of [
        [10_000, 1000],
        [1000, 10_000],
        [100_000, 4700]
      ] as const)
        expect(fromTwoLoads([a / (a + z), b / (b + z)], [a, b])).toBeCloseTo(z, 4);
    expect(() => fromTwoLoads([0.5, 0.9], [10_000, 1000])).toThrow(RangeError);
    for (const z of [2000, 10_000, 1e6])
      expect(fromSeries([z / (z + 150), z / (z + 150 + 10_000)], 10_000, 150) / z).toBeCloseTo(1, 6);
    expect(() => fromSeries([1, 1.2], 10_000, 150)).toThrow(RangeError);
  });
});

describe('what may be measured', () => {
  it('every kind has models, and every value that is looked for is one of the model’s', () => {
    const kinds = new Set(MODELS.map((m) => kindOf(m.id)));
    for (const kind of MEASURED.filter((k) => k !== 'cable' && k !== 'interface')) expect(kinds).toContain(kind);
    // Nothing at loudspeaker level, no ribbon, nothing that wants phantom is driven by a sweep.
    for (const id of ['power-amp', 'valve-amp', 'ribbon', 'condenser-mic', 'dynamic-mic', 'cabinet'])
      expect([id, kindOf(id)]).toEqual([id, null]);
    for (const { id, params } of MODELS) {
      const kind = kindOf(id);
      for (const { param } of kind ? soughtOf(kind, id) : []) expect(Object.keys(params)).toContain(param);
    }
  });
  it('a fit finds what made a curve, and says what the curve does not tell', () => {
    const hz = [20, 200, 2000, 20_000];
    const model = ([r, c, idle]: readonly number[]) =>
      hz.map((f) => {
        const x = 2 * Math.PI * f * r * c;
        return [r / (1 + x * x) + 0 * idle, (-r * x) / (1 + x * x)] as const;
      });
    const found = fit(model([4700, 22e-9, 1]), model, [1000, 1e-9, 1]);
    expect(found.values[0] / 4700).toBeCloseTo(1, 5);
    expect(found.values[1] / 22e-9).toBeCloseTo(1, 5);
    expect(found.spread[2]).toBe(Infinity);
    expect(found.misfit).toBeLessThan(1e-6);
  });
});
