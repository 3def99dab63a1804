import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineSpec, plan as anyPlan } from '../tests/arbitrary';
import { addThru, device, lead, oneLine, run } from '../tests/plans';
import { diffPlans, editBy, forceOnto } from './diff';
import { applyEdit } from './edit';
import { reverseOps, squashOps } from './steps';
import { isComplete, lineKey, lineScope, traceLines } from './lines';
import { loadPlan } from './load';
import { EditSchema, type Op, type Plan, PlanSchema } from './schema';
import { specOf } from './spec';
import { dropLine, putLine } from './put';

const UUID = '00000000-0000-4000-8000-000000000000';
const apply = (plan: Plan, ops: readonly Op[]): Plan => {
  const applied = applyEdit(plan, { ops: [...ops] });
  if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
  return applied.plan;
};

/** Ids that no part of the plan has yet. */
function fresh(draft: Plan, stem: string): (role: string) => string {
  let k = 0;
  while (Object.keys({ ...draft.devices, ...draft.cables }).some((id) => id.startsWith(`${stem}${k}-`))) k++;
  return (role) => `${stem}${k}-${role}`;
}

/** One random change of a plan by the means the screen has. */
type Change = (draft: Plan) => void;
const change: fc.Arbitrary<Change> = fc.oneof(
  lineSpec.map(
    (spec): Change =>
      (draft) =>
        void putLine(draft, spec, fresh(draft, 'new'))
  ),
  fc.nat().map((n): Change => (draft) => {
    const lines = traceLines(draft);
    if (lines.length > 0) dropLine(draft, lines[n % lines.length]);
  }),
  fc.tuple(fc.nat(), lineSpec).map(([n, spec]): Change => (draft) => {
    const lines = traceLines(draft).filter((l) => isComplete(draft, l));
    if (lines.length > 0) putLine(draft, spec, fresh(draft, 're'), lines[n % lines.length]);
  }),
  fc.tuple(fc.nat(), fc.integer({ min: 1, max: 400 })).map(([n, metres]): Change => (draft) => {
    const ids = Object.keys(draft.cables);
    if (ids.length > 0) draft.cables[ids[n % ids.length]].metres = metres;
  }),
  fc.constantFrom(5, 10, 20).map(
    (bridging): Change =>
      (draft) =>
        void (draft.policy.bridging = bridging as 5 | 10 | 20)
  )
);

describe('edits', () => {
  it('any sequence, taken back in reverse, gives the start again; squashed, it does the same', () =>
    fc.assert(
      fc.property(anyPlan, fc.array(change, { maxLength: 6 }), (start, changes) => {
        let now = start;
        const all: Op[] = [];
        for (const each of changes) {
          const edit = editBy(now, { code: 'set', subject: 'x' }, UUID, each);
          if (!edit) continue;
          expect(EditSchema.safeParse(edit).success).toBe(true);
          now = apply(now, edit.ops);
          all.push(...edit.ops);
        }
        expect(loadPlan(now)).toMatchObject({ ok: true });
        expect(apply(now, reverseOps(all))).toEqual(start);
        const squashed = squashOps(all);
        expect(squashed.length).toBeLessThanOrEqual(all.length);
        expect(apply(start, diffPlans(start, now))).toEqual(now);
        if (squashed.length > 0) expect(apply(start, squashed)).toEqual(now);
        else expect(now).toEqual(start);
      }),
      { numRuns: 150 }
    ));

  it('neither plan nor edit is touched by applying', () =>
    fc.assert(
      fc.property(anyPlan, change, (start, each) => {
        const frozen = JSON.stringify(start);
        const edit = editBy(start, { code: 'set', subject: 'x' }, UUID, each);
        const ops = JSON.stringify(edit?.ops);
        if (edit) apply(start, edit.ops);
        expect(JSON.stringify(start)).toBe(frozen);
        expect(JSON.stringify(edit?.ops)).toBe(ops);
      }),
      { numRuns: 50 }
    ));

  const hostileOp = fc.record({
    op: fc.constantFrom('add', 'remove', 'set'),
    table: fc.constantFrom('devices', 'cables', 'lines', 'hosts', 'supplies', 'policy'),
    id: fc.constantFrom('constructor', 'show', 'l0-in', 'l0-src', 'l0-lead', 'x'),
    path: fc.array(fc.constantFrom('settings', 'model', 'metres', 'from', 'pad', 'toString', 'plugs'), {
      minLength: 1,
      maxLength: 3
    }),
    value: fc.jsonValue(),
    from: fc.jsonValue(),
    to: fc.jsonValue()
  });
  it('a hostile edit fails cleanly or leaves a plan that the schema knows', () =>
    fc.assert(
      fc.property(anyPlan, fc.array(hostileOp, { minLength: 1, maxLength: 4 }), (start, raw) => {
        const ops = raw.map(({ op, table, id, path, value, from, to }) =>
          op === 'set' ? { op, table, id, path, from, to } : { op, table, id, value }
        );
        const parsed = EditSchema.safeParse({ id: UUID, label: { code: 'set', subject: '' }, ops });
        if (!parsed.success) return;
        const before = JSON.stringify(start);
        const applied = applyEdit(start, parsed.data);
        expect(JSON.stringify(start)).toBe(before);
        if (applied.ok) expect(PlanSchema.safeParse(applied.plan).success).toBe(true);
        else expect(applied.fault.code).toMatch(/exists|gone|changed|bad-row|too-many|breaks-plan/);
      }),
      { numRuns: 600 }
    ));

  it('a late edit of another field is taken; of the same field it is refused, and can be forced', () => {
    const { plan } = oneLine({ source: device('line-unbalanced'), lead: lead(3), input: device('line-in') });
    const edit = (metres: number): Op => ({
      op: 'set',
      table: 'cables',
      id: 'lead',
      path: ['metres'],
      from: 3,
      to: metres
    });
    const theirs = apply(plan, [edit(5)]);
    expect(
      apply(theirs, [{ op: 'set', table: 'lines', id: 'in', path: ['name'], from: 'Test', to: 'Keys' }]).cables.lead
        .metres
    ).toBe(5);
    expect(applyEdit(theirs, { ops: [edit(9)] })).toMatchObject({
      ok: false,
      fault: { code: 'changed', expected: 3, found: 5 }
    });
    const mine = { id: UUID, label: { code: 'set', subject: '' }, ops: [edit(9)] };
    expect(apply(theirs, forceOnto(theirs, mine)).cables.lead.metres).toBe(9);
  });
});

describe('documents', () => {
  const base = () =>
    oneLine({
      source: device('line-unbalanced'),
      lead: lead(3),
      box: device('active-di'),
      run: run(30),
      input: device('mic-in')
    }).plan;
  const broken = (spoil: (plan: Plan) => void) => {
    const plan = base();
    spoil(plan);
    const loaded = loadPlan(JSON.parse(JSON.stringify(plan)));
    return loaded.ok ? 'loaded' : loaded.faults[0];
  };
  it('says which field and why', () => {
    expect(broken((p) => void (p.cables.lead.metres = -1))).toMatchObject({
      kind: 'shape',
      where: 'cables.lead.metres'
    });
    expect(broken((p) => void (p.devices.src.model = 'nothing'))).toMatchObject({
      code: 'unknown-model',
      where: 'devices.src.model'
    });
    expect(broken((p) => void (p.devices.src.settings.R = 1e12))).toMatchObject({
      code: 'bad-setting',
      where: 'devices.src.settings.R'
    });
    expect(broken((p) => void (p.cables.lead.to.device = 'gone'))).toMatchObject({
      code: 'missing-device',
      where: 'cables.lead.to'
    });
    expect(broken((p) => void (p.cables.lead.to = p.cables.run.to))).toMatchObject({ code: 'port-taken' });
    expect(broken((p) => void (p.cables.lead.from.port = 'in'))).toMatchObject({ code: 'missing-port' });
    expect(broken((p) => void (p.cables.run.from.port = 'in'))).toMatchObject({ code: 'wrong-way' });
    expect(broken((p) => void (p.cables.run.plugs[0] = 'mini'))).toMatchObject({
      code: 'bad-plug',
      where: 'cables.run.plugs.0'
    });
    expect(broken((p) => void (p.devices.mid.host = 'nowhere'))).toMatchObject({ code: 'missing-host' });
    expect(broken((p) => void ((p as unknown as Record<string, unknown>).extra = 1))).toMatchObject({ kind: 'shape' });
  });
  it('finds a signal that comes back to where it started', () => {
    const plan = base();
    plan.devices.second = { model: 'active-di', settings: {} };
    plan.cables.out = {
      kind: 'instrument',
      metres: 1,
      from: { device: 'mid', port: 'thru' },
      to: { device: 'second', port: 'in' },
      plugs: ['ts', 'ts']
    };
    expect(loadPlan(plan).ok).toBe(true);
    plan.cables.lead.from = { device: 'second', port: 'thru' };
    expect(loadPlan(plan)).toMatchObject({ ok: false, faults: [{ code: 'cycle' }] });
  });
  it('anything at all is a plan or a list of reasons', () =>
    fc.assert(
      fc.property(fc.oneof(fc.anything(), fc.jsonValue()), (junk) => {
        const loaded = loadPlan(junk);
        expect(loaded.ok || loaded.faults.length > 0).toBe(true);
      }),
      { numRuns: 300 }
    ));
});

describe('lines', () => {
  it('are traced from the far end, a thru makes two of them that share the source', () => {
    const { plan } = oneLine({
      source: device('passive-bass'),
      lead: lead(3),
      box: device('active-di'),
      run: run(30),
      input: device('mic-in')
    });
    addThru(plan);
    const lines = traceLines(plan);
    expect(lines.map((l) => l.devices.join(' ')).sort()).toEqual(['src mid amp', 'src mid in']);
    expect(new Set(lines.map((l) => l.id))).toEqual(new Set(['in', 'amp']));
    expect(lineScope(plan, lines[0]).cables.sort()).toEqual(['lead', 'run', 'thru']);
  });
  it('a spoken line put into a plan is the spoken line read off it', () =>
    fc.assert(
      fc.property(lineSpec, (spec) => {
        const { plan, line } = oneLine(spec);
        const back = specOf(plan, line)!;
        expect({ ...back, lead: { ...back.lead, plugs: 0 }, run: back.run && { ...back.run, plugs: 0 } }).toMatchObject(
          {
            name: 'Test',
            source: { model: spec.source.model, settings: spec.source.settings },
            box: spec.box,
            lead: { metres: spec.lead!.metres, kind: spec.lead!.kind },
            input: spec.input
          }
        );
        expect(back.lead!.plugs).toEqual([null, null]);
      }),
      { numRuns: 100 }
    ));
  it('a key changes with what its line depends on, and with nothing else', () => {
    const plan = oneLine({ source: device('line-unbalanced'), lead: lead(3), input: device('line-in') }).plan;
    putLine(
      plan,
      { name: 'Other', source: device('piezo'), lead: lead(2), box: null, run: null, input: device('instrument-in') },
      (r) => `o-${r}`
    );
    const key = (p: Plan, id: string) =>
      lineKey(
        p,
        traceLines(p).find((l) => l.id === id)!
      );
    const edited = apply(plan, [{ op: 'set', table: 'cables', id: 'o-lead', path: ['metres'], from: 2, to: 4 }]);
    expect(key(edited, 'in')).toBe(key(plan, 'in'));
    expect(key(edited, 'o-in')).not.toBe(key(plan, 'o-in'));
    const louder = apply(plan, [{ op: 'set', table: 'supplies', id: 'house', path: ['emf'], from: 0.005, to: 1 }]);
    expect(key(louder, 'in')).not.toBe(key(plan, 'in'));
  });
});
