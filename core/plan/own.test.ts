import { describe, expect, it } from 'vitest';
import { device, lead, oneLine } from '../tests/plans';
import { solveLine } from '../rig/solve';
import { responseFaultText } from '../words/faults';
import { applyEdit } from './edit';
import { reverseOps } from './steps';
import { diffPlans } from './diff';
import { copyOf } from './json';
import { loadPlan } from './load';
import { readOwn, responseFromRows, useOwn, writeOwn } from './own';
import type { OwnModel } from './schema';

const OWN: OwnModel = {
  name: 'Bench coil',
  base: 'single-coil',
  values: { R: { min: 5000, typ: 6000, max: 7000 } },
  response: [
    [20, -3],
    [1000, 0],
    [20000, -6]
  ]
};

describe('an own model', () => {
  it('comes back from its file as it went in', () => expect(readOwn(writeOwn(OWN))).toEqual({ ok: true, own: OWN }));

  it.each([
    ['no JSON', 'hello', 'file'],
    ['something else', '{"kind":"guanxi-show"}', 'kind'],
    ['an unknown base', writeOwn({ ...OWN, base: 'nothing' }), 'model.base'],
    ['a value it does not have', writeOwn({ ...OWN, values: { zin: { min: 1, typ: 1, max: 1 } } }), 'model.values.zin'],
    ['a value out of bounds', writeOwn({ ...OWN, values: { R: { min: 0, typ: 1, max: 2 } } }), 'model.values.R'],
    ['values out of order', writeOwn({ ...OWN, values: { R: { min: 7000, typ: 6000, max: 8000 } } }), 'model.values.R'],
    [
      'falling frequencies',
      writeOwn({
        ...OWN,
        response: [
          [100, 0],
          [50, 0]
        ]
      }),
      'model.response'
    ]
  ])('says where it is wrong: %s', (_, text, where) => {
    const got = readOwn(text);
    expect(got.ok ? [] : got.faults.map((f) => f.where)).toContain(where);
  });

  it('gives a device its values and its measured response', () => {
    const { plan, line } = oneLine({ source: device('single-coil'), lead: lead(3), input: device('instrument-in') });
    const plain = solveLine(plan, line);
    plan.models = { bench: { ...OWN, values: {} } };
    useOwn(plan, 'src', 'bench');
    const measured = solveLine(plan, line);
    const at = (s: typeof plain, hz: number) => s.spans[0].far.gainDb[s.hz.findIndex((f) => f >= hz)];
    expect(at(measured, 20) - at(plain, 20)).toBeCloseTo(-3, 6);
    expect(Math.abs(at(measured, 19999) - at(plain, 19999) + 6)).toBeLessThan(0.01);
    plan.models.bench.values = OWN.values;
    useOwn(plan, 'src', 'bench');
    expect(plan.devices.src).toMatchObject({ own: 'bench', settings: { R: 6000 } });
    expect(loadPlan(JSON.parse(JSON.stringify(plan))).ok).toBe(true);
  });

  it('is one step of undo, and cannot be taken away from under a device', () => {
    const { plan } = oneLine({ source: device('single-coil'), lead: lead(3), input: device('instrument-in') });
    const next = copyOf(plan);
    next.models = { bench: OWN };
    useOwn(next, 'src', 'bench');
    const ops = diffPlans(plan, next);
    const done = applyEdit(plan, { ops });
    if (!done.ok) throw new Error(JSON.stringify(done.fault));
    expect(done.plan).toEqual(next);
    expect(applyEdit(done.plan, { ops: reverseOps(ops) })).toEqual({ ok: true, plan });
    const torn = applyEdit(next, { ops: [{ op: 'remove', table: 'models', id: 'bench', value: OWN as never }] });
    expect(torn).toMatchObject({ ok: false, fault: { code: 'breaks-plan' } });
    next.devices.src.model = 'humbucker';
    expect(loadPlan(JSON.parse(JSON.stringify(next)))).toMatchObject({ ok: false });
  });
});

describe('a measured response from a table', () => {
  it('takes headings, decimal commas and true minus signs', () =>
    expect(
      responseFromRows([
        ['Hz', 'dB'],
        ['20', '−3,5'],
        ['', ''],
        ['1000', '0']
      ])
    ).toEqual({
      ok: true,
      response: [
        [20, -3.5],
        [1000, 0]
      ]
    }));
  it.each([
    [
      [
        ['20', '0'],
        ['x', '1']
      ],
      'no-numbers'
    ],
    [
      [
        ['20', '0'],
        ['20', '1']
      ],
      'not-rising'
    ],
    [
      [
        ['0', '0'],
        ['20', '1']
      ],
      'out-of-bounds'
    ],
    [[['20', '0']], 'too-few'],
    [Array.from({ length: 500 }, (_, k) => [`${20 + k}`, '0']), 'too-many']
  ])('%# is refused with its row', (rows, code) => {
    const got = responseFromRows(rows as string[][]);
    expect(got).toMatchObject({ ok: false, fault: { code } });
    if (!got.ok) expect(responseFaultText(got.fault)).not.toMatch(/undefined|NaN/);
  });
});
