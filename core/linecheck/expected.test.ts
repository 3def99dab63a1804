import { describe, expect, it } from 'vitest';
import { type LineReport, judgePlan } from '../judge/judge';
import { forget, resolve } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import type { Settings } from '../gear/types';
import { modelOf } from '../gear/catalogue';
import { expectedOf, gainToWorking, peakAt, playingRange } from './expected';
import { contentOf, explain, isSilent } from './explain';

const of = (plan: Plan) => {
  const line = resolve(plan).line('l0-in')!;
  return { line, report: judgePlan(plan)[0] };
};
const db = (a: number, b: number): number => 20 * Math.log10(a / b);

describe('what a line should read', () => {
  it('a class plays as its spread says, a level set by hand within 3 dB, an own model as its own spread', () => {
    const plan = show(['passive bass, 3 m, active DI, 30 m, mic 1']);
    const { line } = of(plan);
    const { nominal } = modelOf('passive-bass').params;
    const [under, over] = playingRange(plan, line);
    expect(under).toBeCloseTo(db(nominal.min, nominal.typ), 9);
    expect(over).toBeCloseTo(db(nominal.max, nominal.typ), 9);
    const [source] = line.devices;
    plan.devices[source].settings.nominal = nominal.typ * 2;
    forget(plan);
    expect(playingRange(plan, line)).toEqual([-3, 3]);
    // Set to what it has anyway, it is the class's.
    plan.devices[source].settings.nominal = nominal.typ;
    forget(plan);
    expect(playingRange(plan, line)[1]).toBeCloseTo(over, 9);
    // A device made from an own model carries its values as settings; the spread is the model's.
    plan.devices[source].settings.nominal = 0.2;
    plan.devices[source].own = 'mine';
    plan.models = {
      mine: { base: 'passive-bass', name: 'Mine', values: { nominal: { min: 0.1, typ: 0.2, max: 0.4 } } }
    } as never;
    forget(plan);
    const [low, high] = playingRange(plan, line);
    expect(low).toBeCloseTo(-6.02, 2);
    expect(high).toBeCloseTo(6.02, 2);
  });

  it('gain by the report, wider by how the source may play; crest, hum and peak by the same', () => {
    const plan = show(['passive bass, 3 m, active DI, 30 m, mic 1']);
    const { line, report } = of(plan);
    const [under, over] = playingRange(plan, line);
    const hope = expectedOf(plan, line, report);
    // No preamp is set under its least gain, or over its most.
    const [least, most] = [10, 60];
    expect(report.gain! - over).toBeLessThan(least);
    expect(hope.gain).toEqual({ usual: report.gain, from: least, to: report.gain! - under });
    expect(report.gain! - under).toBeLessThan(most);
    const soft = show(['dynamic mic (nominal -70 dBu), 30 m, mic 1']);
    const at = of(soft);
    expect(at.report.gain! + 3).toBeGreaterThan(most);
    expect(expectedOf(soft, at.line, at.report).gain!.to).toBe(Math.max(most, at.report.gain!));
    const far = report.points.at(-1)!.far;
    expect(hope.crest).toBeCloseTo(far.peak - far.nominal, 9);
    expect(hope.crest).toBeGreaterThan(0);
    expect(hope.humBelow).toBe(report.hum!.below);
    // The working level stands at -18 dBFS, livelier peaks at -6; above it by the crest, and by what the gain is off.
    expect(peakAt(hope, hope.gain!.usual)).toBeCloseTo(-18 + Math.min(hope.crest!, 12), 9);
    expect(peakAt(hope, hope.gain!.usual + 5)).toBeCloseTo(-13 + Math.min(hope.crest!, 12), 9);
    expect(peakAt({ ...hope, gain: null }, 30)).toBeNull();
    expect(peakAt({ ...hope, crest: null }, 30)).toBeNull();
    const bare = { ...report, gain: null, points: [], hum: null } as unknown as LineReport;
    expect(expectedOf(plan, line, bare)).toEqual({
      gain: null,
      crest: null,
      lively: report.lively,
      metered: true,
      humBelow: null
    });
  });

  it('peaks have the room that the judge gives them: six decibels, but not where the gain is at its least', () => {
    const at = (settings: Settings, input: Settings = {}) => {
      const plan = show(['dynamic mic, 20 m, mic 1']);
      Object.assign(plan.devices['l0-src'].settings, settings);
      Object.assign(plan.devices['l0-in'].settings, input);
      forget(plan);
      const { line, report } = of(plan);
      const hope = expectedOf(plan, line, report);
      return { peak: peakAt(hope, hope.gain!.usual)!, gain: hope.gain!.usual };
    };
    expect(at({ crest: 11 }).peak).toBeCloseTo(-7, 1);
    expect(at({ crest: 12 }).peak).toBeCloseTo(-6, 1);
    expect(at({ crest: 18 }).peak).toBeCloseTo(-6, 1);
    // At the least gain there is, peaks go on up: whoever reads them so has read what was planned.
    const gainMin = at({ crest: 12 }).gain - 3;
    const loud = at({ crest: 18 }, { gainMin });
    expect(loud.gain).toBeCloseTo(gainMin, 9);
    expect(loud.peak).toBeCloseTo(-3, 1);
  });

  it('a gain at which the peak is lower than planned stands for a softer knob, not for a softer line', () => {
    const crest = 12;
    const read = (gainDb: number | null, peakDb?: number | null) =>
      gainToWorking({ gain: null, crest, lively: 0, metered: true, humBelow: null }, { gainDb, peakDb });
    expect(read(30, -6)).toBe(30);
    expect(read(30, -12)).toBe(36);
    expect(read(30, 0)).toBe(24);
    for (const peak of [null, undefined]) expect(read(30, peak)).toBe(30);
    expect(read(null, -6)).toBeNull();
    expect(
      gainToWorking({ gain: null, crest: null, lively: 0, metered: true, humBelow: null }, { gainDb: 30, peakDb: -6 })
    ).toBe(30);
  });
});

describe('what comes out of a channel', () => {
  const { report } = of(show(['passive bass, 3 m, active DI, 30 m, mic 1']));
  const stop = (code: string, severity = 'stop') =>
    ({ ...report, findings: [{ code, severity }] }) as unknown as LineReport;
  it('nothing at -90 dBu and below, nor where the box is dead; else what the room says', () => {
    expect(isSilent({ ...report, arrives: -90, findings: [] })).toBe(true);
    expect(isSilent({ ...report, arrives: -89.9, findings: [] })).toBe(false);
    expect(isSilent({ ...report, arrives: null, findings: [] })).toBe(true);
    expect(isSilent(stop('phantom-off'))).toBe(true);
    expect(isSilent(stop('phantom-off', 'care'))).toBe(false);
    expect(isSilent(stop('unbalanced-run'))).toBe(false);
    const asIs = { code: 'as-planned' } as const;
    const roomy = { ...report, room: 6, findings: [] };
    expect(contentOf(roomy, asIs)).toBe('right');
    expect(contentOf(roomy, asIs, 6)).toBe('right');
    expect(contentOf(roomy, asIs, 6.1)).toBe('distorted');
    expect(contentOf({ ...roomy, room: null }, asIs, 99)).toBe('right');
    expect(contentOf(roomy, { code: 'other-source', lineId: 'x', pair: false })).toBe('wrong');
    expect(contentOf({ ...roomy, arrives: -120 }, { code: 'other-source', lineId: 'x', pair: false })).toBe('silent');
  });
});

describe('what a reading is worth', () => {
  const plan = show(['passive bass, 3 m, active DI, 30 m, mic 1']);
  const { line, report } = of(plan);
  const share = (reading: Parameters<typeof explain>[2], code = 'as-planned'): number =>
    explain(plan, line, reading)
      .filter((c) => c.what.code === code)
      .reduce((sum, c) => sum + c.share, 0);
  const gain = report.gain!;
  it('the nearer a gain to what is foreseen, the likelier; one that nobody could have read says little', () => {
    const at = [0, 3, 6, 12, 24].map((off) => share({ gainDb: gain + off, hum: null, content: null }));
    for (let k = 1; k < at.length; k++) expect(at[k]).toBeLessThan(at[k - 1]);
    expect(share({ gainDb: gain, hum: null, content: null }, 'phantom-off')).toBeLessThan(0.01);
  });
  it('hum counts by the ten decibels to which it can be foreseen, as a figure or as a word', () => {
    const none = share({ gainDb: gain, hum: null, content: null });
    const below = report.hum!.below;
    expect(share({ gainDb: gain, hum: below, content: null })).not.toBeCloseTo(none, 6);
    expect(share({ gainDb: gain, hum: below, content: null })).toBeGreaterThan(
      share({ gainDb: gain, hum: below - 40, content: null })
    );
    const loud = share({ gainDb: gain, hum: 'clear', content: null });
    const quiet = share({ gainDb: gain, hum: 'none', content: null });
    expect(loud).toBeLessThan(quiet);
    // Two causes of other hum, weighed against each other as the normal law has it.
    const phi = (z: number): number => {
      let sum = 0;
      const n = 4000;
      for (let k = 0; k < n; k++) {
        const x = -10 + ((z + 10) * (k + 0.5)) / n;
        sum += (Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI)) * ((z + 10) / n);
      }
      return sum;
    };
    const weight = (h: number, from: number, to: number): number =>
      0.03 + 0.97 * ((to === Infinity ? 1 : phi((to - h) / 10)) - phi((from - h) / 10));
    const all = explain(plan, line, { gainDb: null, hum: null, content: null });
    const spread = all.filter((c) => c.humBelow !== null).sort((a, b) => a.humBelow! - b.humBelow!);
    const [a, b] = [spread[0], spread[spread.length - 1]];
    const ratio = (hum: number | 'none' | null): number => {
      const found = explain(plan, line, { gainDb: null, hum, content: null });
      const of = (c: typeof a): number => found.find((f) => JSON.stringify(f.what) === JSON.stringify(c.what))!.share;
      return of(a) / of(b);
    };
    for (const [hum, from, to] of [
      [50, 47, 53],
      ['none', 60, Infinity]
    ] as const)
      expect(ratio(hum) / ratio(null) / (weight(a.humBelow!, from, to) / weight(b.humBelow!, from, to))).toBeCloseTo(
        1,
        2
      );
  });
  it('what is heard weighs as much as what is told wrongly three times in a hundred allows', () => {
    const right = share({ gainDb: gain, hum: null, content: 'right' });
    const silent = share({ gainDb: gain, hum: null, content: 'silent' });
    expect(right).toBeGreaterThan(0.5);
    expect(silent).toBeLessThan(right);
    const dead = explain(plan, line, { gainDb: null, hum: null, content: 'silent' });
    expect(dead[0].silent).toBe(true);
    expect(dead[0].gain).toBeNull();
    const odds = (content: 'right' | 'silent' | 'wrong' | null) => {
      const all = explain(plan, line, { gainDb: null, hum: null, content });
      const [a, b] = ['as-planned', 'phantom-off'].map((code) => all.find((c) => c.what.code === code)!.share);
      return a / b;
    };
    // 0.97 against 0.004, either way: silence is hardly taken for sound.
    expect(odds('right') / odds(null)).toBeCloseTo(970 / 4, 6);
    expect(odds(null) / odds('silent')).toBeCloseTo(970 / 4, 6);
    // Two sounds are taken for one another three times in a hundred.
    expect(odds('wrong') / odds('silent')).toBeCloseTo((30 / 4) * (970 / 4), 6);
  });
});
