import { describe, expect, it } from 'vitest';
import { judgeLine, judgePlan, problems } from '../judge/judge';
import { PLAIN } from '../kit/schema';
import { blankPlan } from '../plan/blank';
import { applyEdit } from '../plan/edit';
import { traceLines } from '../plan/lines';
import type { Plan } from '../plan/schema';
import { specOf } from '../plan/spec';
import { putLine } from '../plan/put';
import { readLine } from '../reader/read-line';
import { tellLine } from '../reader/write-line';
import { addThru, device, onTwoSupplies } from '../tests/plans';
import { remedyText } from '../words/remedies';
import { remediesFor } from './remedies';
import { Stock } from './stock';

function plan(text: string): Plan {
  const made = onTwoSupplies(blankPlan());
  putLine(made, readLine(text, { supplies: [{ id: 'stage', name: 'Stage' }] }).spec!, (role) => role);
  return made;
}
const plain = (text: string): string => text.replaceAll('\u202F', ' ');

describe('the first remedy', () => {
  it.each([
    ['upright bass piezo, 3 m, active DI, 40 m, mic', 'Active DI, 10 MΩ instead of the active DI, 1 MΩ'],
    ['dulcimer piezo, 6 m, passive DI, 40 m, mic', 'Active DI, 10 MΩ instead of the passive DI'],
    ['guitar humbucker, 3 m, active DI lifted, 20 m, mic', 'Pad −10 dB at the DI'],
    ['piezo, 2 m, active DI 10m, 20 m, mic, phantom off', 'Switch phantom on at the input'],
    ['bouzouki single coil, 9 m, active DI, 40 m, mic', 'Move the DI to within 6 m of the player'],
    ['laptop, 3 m, mic', 'Put in a passive media DI, stereo to mono'],
    ['guitar single coil, 3 m, line', 'Into an instrument input'],
    ['guitar single coil, 3 m 2 couplers, active DI, 20 m, mic', 'One lead in one piece, no couplers'],
    ['theremin wall-wart, 2 m, 10 m, mic, phantom on', 'Put in a passive DI'],
    ['theremin wall-wart, 5 m, 40 m, line', 'Put in a passive DI, and into a microphone input'],
    ['rca player earthed on Stage, 12 m, rca input', 'Put in a passive DI, and lift the ground at the DI'],
    ['balanced line on Stage, 20 m, rca input', 'Into a line input']
  ])('%s → %s', (text, best) => {
    const before = plan(text);
    const [line] = traceLines(before);
    const remedies = remediesFor(before, line);
    expect(remedies.map((r) => plain(remedyText(r.what)))[0]).toBe(best);
  });

  it.each(['piezo, 2 m, active DI 10m, 20 m, mic', 'guitar single coil, 3 m, active DI, 40 m, mic'])(
    '%s needs none',
    (text) => {
      const fine = plan(text);
      expect(remediesFor(fine, traceLines(fine)[0])).toEqual([]);
    }
  );
});

describe('what a remedy may touch', () => {
  const texts = [
    'rca player earthed on Stage, 12 m, rca input',
    'modular rack earthed on Stage, 3 m, active DI on battery, 40 m, mic',
    'keyboard earthed on Stage, 20 m, line'
  ];
  it.each(texts)('%s: protective earth stays, and what the house has', (text) => {
    const before = plan(text);
    const [line] = traceLines(before);
    for (const { ops } of remediesFor(before, line)) {
      const applied = applyEdit(before, { ops: [...ops] });
      if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
      const { devices, supplies, hosts } = applied.plan;
      expect({ supplies, hosts }).toEqual({ supplies: before.supplies, hosts: before.hosts });
      for (const { settings } of Object.values(devices)) expect(settings.earth).toBeUndefined();
      // Run from its battery it needs no earth; a two-pin plug in its place would be another matter.
      expect(['mains-1', 'battery']).toContain(devices.src.settings.feed);
    }
  });
  it('what it does to other lines is told, and true', () => {
    const before = plan('keyboard wall-wart, 3 m, active DI on battery, 20 m, mic');
    addThru(before, device('line-in'));
    const line = traceLines(before).find((l) => l.id === 'in')!;
    const was = judgePlan(before).find((r) => r.id === 'amp')!;
    const told = remediesFor(before, line).filter((r) => r.others.length > 0);
    expect(told.length).toBeGreaterThan(0);
    for (const { ops, others } of told) {
      const applied = applyEdit(before, { ops: [...ops] });
      if (!applied.ok) throw new Error();
      const is = judgePlan(applied.plan).find((r) => r.id === 'amp')!;
      expect(others[0]).toMatchObject({ lineId: 'amp', before: was.severity, after: is.severity });
      expect(others[0].humDb).toBeCloseTo(is.hum!.below - was.hum!.below, 6);
    }
  });
  it('what the kit has comes first, and what it lacks is named', () => {
    const before = plan('dulcimer piezo, 6 m, passive DI, 40 m, mic');
    const [line] = traceLines(before);
    const kit = (model: string) => new Stock({ one: { kind: 'device', model, ...PLAIN } });
    const from = (model: string) => remediesFor(before, line, kit(model));
    expect(from('active-di-10m')[0].missing.map((p) => p.what)).not.toContain('active-di-10m');
    expect(
      from('isolator')
        .find((r) => r.what[0].code === 'box')!
        .missing.map((p) => p.what)
    ).toContain('active-di-10m');
  });
  it('no two remedies lead to the same plan, and the best stands first', () => {
    const before = plan(texts[1]);
    const [line] = traceLines(before);
    const remedies = remediesFor(before, line);
    const after = remedies.map(({ ops }) => {
      const applied = applyEdit(before, { ops: [...ops] });
      return applied.ok ? JSON.stringify(applied.plan) : '';
    });
    expect(new Set(after).size).toBe(remedies.length);
    const scores = remedies.map((r) => r.score);
    expect([...scores].sort((a, b) => b - a)).toEqual(scores);
    expect(remedies.length).toBeGreaterThan(2);
  });
  it('a longer lead moved to the run is not lost on the way', () => {
    const before = plan('bouzouki single coil, 9 m, active DI, 40 m, mic');
    const [line] = traceLines(before);
    const [move] = remediesFor(before, line);
    const applied = applyEdit(before, { ops: [...move.ops] });
    if (!applied.ok) throw new Error();
    const spec = specOf(applied.plan, traceLines(applied.plan)[0])!;
    expect(plain(tellLine(spec))).toContain('single coil, 6 m, active DI, 43 m, mic');
  });
  it('a line more than words can say still gets those that fit it', () => {
    const before = plan('keyboard wall-wart, 3 m, active DI on battery, 20 m, mic');
    addThru(before, device('load-resistor'));
    const line = traceLines(before).find((l) => l.id === 'in')!;
    expect(problems(judgeLine(before, line)).map((f) => f.code)).toContain('clips');
    expect(remediesFor(before, line).length).toBeGreaterThan(0);
  });
});
