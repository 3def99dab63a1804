import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edit';
import { blankPlan } from '../plan/blank';
import { isComplete, traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { remediesFor } from '../advise/remedies';
import { readLine } from '../reader/read-line';
import { plan as anyPlan } from '../tests/arbitrary';
import { addThru, device, onTwoSupplies } from '../tests/plans';
import { measure, sentence, short, verdict } from '../words/findings';
import { remedyText } from '../words/remedies';
import { why } from '../words/why';
import { judgeLine, judgePlan, type LineReport, problems } from './judge';
import { bridgingLadder, HEADROOM, onLadder } from './limits';
import { CHECKS, CODES, type Code, rank, type Severity } from './types';

/** A show of spoken lines on two supplies 0.3 V apart, the desk on the second. */
function show(...lines: string[]): Plan {
  const plan = onTwoSupplies(blankPlan());
  lines.forEach((text, k) => {
    const { spec, faults } = readLine(text, { supplies: [{ id: 'stage', name: 'Stage' }] });
    if (!spec) throw new Error(`${text}: ${JSON.stringify(faults)}`);
    putLine(plan, spec, (role) => `l${k}-${role}`);
  });
  return plan;
}
const judged = (text: string, change?: (plan: Plan) => void): LineReport => {
  const plan = show(text);
  change?.(plan);
  return judgePlan(plan)[0];
};
/** The worst finding of a code. */
const of = (report: LineReport, code: Code) =>
  report.findings.filter((f) => f.code === code).sort((a, b) => rank(b.severity) - rank(a.severity))[0] as
    (typeof report.findings)[number] | undefined;

describe('mistakes that people make', () => {
  it.each<[string, Code, Severity, number | null]>([
    ['dulcimer piezo, 6 m, passive DI, 40 m, mic', 'bass-loss', 'stop', -9.9],
    ['upright bass piezo, 3 m, active DI, 40 m, mic', 'bass-loss', 'stop', -10.8],
    ['upright bass piezo, 3 m, line', 'bass-loss', 'stop', null],
    ['guitar single coil, 3 m, line', 'treble-loss', 'stop', null],
    ['guitar humbucker, 20 m, instrument input', 'treble-loss', 'stop', null],
    ['bass guitar passive bass, 3 m, passive economy, 20 m, mic', 'bass-loss', 'note', null],
    ['bouzouki single coil, 9 m, active DI, 40 m, mic', 'long-unbalanced', 'note', 9],
    ['keyboard wall-wart, 5 m, 40 m, line', 'long-unbalanced', 'care', 45],
    ['keyboard wall-wart, 3 m 2 couplers, passive DI, 20 m, mic', 'coupled', 'care', 2],
    ['laptop, 3 m, mic', 'stereo-cancels', 'stop', null],
    ['laptop, 3 m, instrument input', 'right-shorted', 'care', 10],
    ['keyboard wall-wart, 3 m, active DI on battery, 20 m, mic', 'clips', 'stop', null],
    ['keyboard wall-wart, 3 m, passive economy, 20 m, mic', 'core-saturates', 'stop', null],
    ['acoustic preamp, 3 m, passive DI, 20 m, line', 'too-quiet', 'stop', null],
    ['dynamic mic (nominal -60 dBu), 20 m, mic', 'much-gain', 'note', null],
    ['modular rack wall-wart, 3 m, active DI pad 10, 20 m, mic', 'too-hot', 'care', null],
    ['balanced line on Stage, 20 m, rca input', 'leg-on-shield', 'note', 6],
    ['rca player wall-wart, 2 m, 10 m, mic', 'equal-impedances', 'care', 1.4],
    ['rca player earthed on Stage, 12 m, rca input', 'loop', 'stop', null],
    ['piezo, 2 m, active DI 10m, 20 m, mic, phantom off', 'phantom-off', 'stop', null],
    ['piezo, 2 m, active DI 10m (draw 10 mA, capacity 50 mAh) on battery, 20 m, mic', 'battery-short', 'care', 5],
    ['piezo, 2 m, active DI 10m, 20 m, line', 'phantom-none', 'stop', null],
    ['keyboard wall-wart, 2 m, 10 m, mic, phantom on', 'phantom-into-source', 'stop', null],
    // Its XLR is made for a microphone input, its jack is not.
    ['wireless receiver, 10 m, mic, phantom on', 'phantom-into-source', 'care', null],
    ['modeller, 10 m, mic, phantom on', 'phantom-into-source', 'care', null],
    ['guitar humbucker, 3 m, active DI lifted, 20 m, mic', 'floats-lifted', 'note', null]
  ])('%s: %s', (text, code, severity, value) => {
    const found = of(judged(text), code);
    expect(found?.severity, JSON.stringify(problems(judged(text)).map((f) => f.code))).toBe(severity);
    if (value !== null) expect(Math.abs(found!.value - value)).toBeLessThan(0.15);
  });

  it.each([
    'upright bass piezo, 3 m, active DI 10m, 40 m, mic',
    'guitar single coil, 3 m, active DI, 40 m, mic',
    'guitar single coil, 3 m, instrument input',
    'active bass, 3 m, passive DI, 20 m, mic',
    'theremin wall-wart, 3 m, passive DI, 40 m, mic',
    'dynamic mic (nominal -45 dBu), 45 m, mic',
    'laptop, 2 m, media DI, 20 m, mic',
    'piezo, 2 m, active DI 10m on battery, 20 m, mic'
  ])('%s is clean', (text) => expect(problems(judged(text)).map(sentence)).toEqual([]));

  it('a plug that does not go in is said, and the rest still judged', () => {
    const report = judged(
      'keyboard wall-wart, 3 m, instrument input',
      (p) => void (p.cables['l0-lead'].plugs[1] = 'xlr')
    );
    expect(of(report, 'plug-does-not-fit')).toMatchObject({ severity: 'stop', at: 0, value: 1 });
    expect(report.arrives).toBeCloseTo(-2, 1);
  });

  it('a line without an end is unfinished, a value without an answer is named', () => {
    const plan = show('keyboard, 3 m, line');
    delete plan.cables['l0-lead'];
    expect(judgePlan(plan).map((r) => verdict(r))).toEqual(['unfinished', 'unfinished']);
    const extreme = show('keyboard, 3 m, line');
    extreme.devices['l0-src'].settings.R = 1e-9;
    expect(of(judgePlan(extreme)[0], 'unsolvable')?.because[0].value).toContain('l0-src/out');
  });
});

describe('numbers by hand', () => {
  it('levels along a resistive line', () => {
    // 600 Ω on two 10 kΩ legs, one of them shorted by the mono plug: 10 kΩ.
    const report = judged('keyboard wall-wart, 3 m, line');
    expect(report.arrives).toBeCloseTo(-2 + 20 * Math.log10(10050 / 10650), 1);
    // Peaks of 14 dB stand 2 dB nearer to full scale than they may: so much less gain.
    expect(report.gain).toBeCloseTo(4 - report.arrives! - 2, 6);
    expect(report.points[0].far.peak - report.points[0].far.nominal).toBeCloseTo(14, 6);
    expect(of(report, 'bridges')!.value).toBeCloseTo(10050 / 600, 1);
  });
  it('a source never peaks above its own rails', () => {
    const report = judged('active bass (nominal +2 dBu), 3 m, instrument input');
    expect(report.points[0].near.peak).toBeCloseTo(report.points[0].near.clip!, 1);
  });
  it('phantom leaves an active DI what 6.81 kΩ twice and its current allow', () => {
    const clip = (draw: string) =>
      judged(`piezo, 1 m, active DI (draw ${draw}, regulator 48 V), 5 m, mic`).points[1].near.clip!;
    const rms = (volts: number): number => (volts - 2.8) / 2 / Math.SQRT2;
    expect(clip('10 mA')).toBeCloseTo(20 * Math.log10(rms(48 - 34.05) / Math.sqrt(0.6)), 2);
    expect(clip('2 mA')).toBeGreaterThan(clip('10 mA') + 9);
  });
  it('a transformer takes twice the level an octave higher', () => {
    const clip = (what: string) => judged(`${what}, 3 m, passive DI, 20 m, mic`).points[0].far.clip!;
    expect(clip('guitar humbucker') - clip('bass guitar humbucker')).toBeCloseTo(20 * Math.log10(82 / 41), 6);
  });
  it('a second load on the thru is part of what the pickup sees', () => {
    const plan = show('bass guitar passive bass, 3 m, active DI, 20 m, mic');
    const alone = of(judgePlan(plan)[0], 'keeps-response')!;
    addThru(plan, device('load-resistor', { zin: 20e3 }), 'l0-mid');
    const both = judgePlan(plan).find((r) => r.id === 'l0-in')!;
    const zin = (f: typeof alone) => f.because.find((b) => b.name === 'zinOneK')!.value as number;
    expect(zin(alone)).toBeGreaterThan(300e3);
    expect(zin(of(both, 'treble-loss')!)).toBeLessThan(20e3);
  });
  it('policy moves the limit and says so', () => {
    const strict = judged(
      'guitar single coil, 5 m, active DI, 20 m, mic',
      (p) => void (p.policy.unbalanced = 'strict')
    );
    expect(of(strict, 'long-unbalanced')).toMatchObject({ severity: 'care', limit: 3, school: 'unbalanced' });
    expect(onLadder(bridgingLadder({ ...blankPlan().policy, bridging: 20 }), 12)).toEqual({
      severity: 'note',
      limit: 20
    });
    expect([12, 5, 1, -1].map((room) => onLadder(HEADROOM, room).severity)).toEqual(['clean', 'note', 'care', 'stop']);
  });
});

/** Points an octave, enough to see whether anything is a number. */
const COARSE = 6;

describe('over random shows', () => {
  it('every line has a report, all numbers are numbers, every finding has its words', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        for (const line of traceLines(plan)) {
          const report = judgeLine(plan, line, { perOctave: COARSE });
          expect(of(report, 'unsolvable')).toBeUndefined();
          expect(report.marks.length).toBe(line.cables.length);
          for (const f of report.findings) {
            expect(f.check).toBe(CODES[f.code]);
            expect(Number.isNaN(f.value)).toBe(false);
            for (const text of [sentence(f), short(f), measure(f), why(f).reason, why(f).formula, why(f).result])
              expect(text).not.toMatch(/NaN|undefined|\[object|-\d/);
          }
          if (report.response) expect(report.response.db.every((x) => Number.isFinite(x) && x < 200)).toBe(true);
          const worst = Math.max(...report.findings.map((f) => rank(f.severity)));
          expect(rank(report.severity)).toBe(worst);
          expect(report.marks.every((m) => m.length === CHECKS.length)).toBe(true);
        }
      }),
      { numRuns: 60 }
    ));

  it('what a remedy promises is what applying it gives', () =>
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const [line] = traceLines(plan).filter((l) => isComplete(plan, l));
        const before = judgeLine(plan, line);
        for (const remedy of remediesFor(plan, line)) {
          const applied = applyEdit(plan, { ops: [...remedy.ops] });
          if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
          const report = judgeLine(
            applied.plan,
            traceLines(applied.plan).find((l) => l.id === line.id)!
          );
          expect(report.severity).toBe(remedy.severityAfter);
          expect(problems(report).length).toBe(remedy.leftAfter);
          expect(remedy.before).toEqual(problems(before)[0]);
          const better = rank(report.severity) < rank(before.severity);
          expect(better || !remedy.after || rank(remedy.after.severity) < rank(remedy.before.severity)).toBe(true);
          expect(remedyText(remedy.what)).not.toMatch(/undefined|\[object/);
          expect(JSON.stringify(remedy.ops)).not.toContain('"supplies"');
        }
      }),
      { numRuns: 12 }
    ));
});
