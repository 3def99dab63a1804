import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgePlan } from '../judge/judge';
import { applyEdit } from '../plan/edit';
import { editBy } from '../plan/diff';
import { resolve } from '../plan/resolved';
import { reverseOps } from '../plan/steps';
import type { Plan } from '../plan/schema';
import { show } from '../tests/plans';
import { setupText } from '../words/last-time';
import { toldEditsText } from '../words/log-changes';
import { lastTime } from './last-time';
import { recallOps } from './recall';
import { nameKey } from '../text/names';
import { setupOf } from './setup';
import { type MadeEdit, planBefore, tellEdits } from './told-edits';

const BOWED = show(['Cello: cello piezo, 3 m, passive DI, 20 m, mic 1'], ['Keys: keyboard, 3 m, line 2']);
const lineOf = (plan: Plan, name: string) => resolve(plan).lines.find((l) => l.info?.name === name)!;

/** Makes edits one after the other. */
class Evening {
  plan: Plan;
  readonly edits: MadeEdit[] = [];
  constructor(readonly start: Plan) {
    this.plan = start;
  }
  do(change: (draft: Plan) => void, more: Partial<MadeEdit> = {}): this {
    const n = this.edits.length;
    const id = `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
    const edit = editBy(this.plan, { code: 'set', subject: 'x' }, id, change)!;
    return this.put({
      id,
      revision: n + 1,
      at: n * 1000,
      maker: 'a',
      kind: 'do',
      label: edit.label,
      ops: edit.ops,
      ...more
    });
  }
  undo(): this {
    const last = this.edits.at(-1)!;
    const n = this.edits.length;
    return this.put({
      ...last,
      id: `undo-${n}`,
      revision: n + 1,
      at: n * 1000,
      kind: 'undo',
      ops: reverseOps(last.ops)
    });
  }
  private put(edit: MadeEdit): this {
    const applied = applyEdit(this.plan, { ops: [...edit.ops] });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    this.plan = applied.plan;
    this.edits.push(edit);
    return this;
  }
  get told(): string[] {
    return tellEdits(this.start, this.edits).map(toldEditsText);
  }
}
const box = (plan: Plan): string => lineOf(plan, 'Cello').devices[1];

describe('edits in words', () => {
  it('another DI is told with what it did, as the judge has it', () => {
    const evening = new Evening(BOWED).do((d) => {
      d.devices[box(BOWED)] = { model: 'active-di-10m', settings: {} };
    });
    const [told] = tellEdits(BOWED, evening.edits);
    expect(told.lines[0].changes).toEqual([{ code: 'device', from: 'passive-di', to: 'active-di-10m' }]);
    const [effect] = told.lines[0].effects;
    expect(effect.figure).toBe('bass');
    const lost = (plan: Plan) =>
      judgePlan(plan)
        .find((r) => r.id === lineOf(plan, 'Cello').id)!
        .findings.find((f) => f.code === 'bass-loss' || f.code === 'keeps-response')!;
    expect(lost(BOWED).code).toBe('bass-loss');
    expect(lost(evening.plan).code).toBe('keeps-response');
    expect(effect).toEqual({ figure: 'bass', from: lost(BOWED).value, to: 0 });
    expect(evening.told[0]).toMatch(/^Cello – active DI.* instead of passive DI.*Bass \+\d+\u202FdB/);
  });

  it('a slider that is drawn is one change; what is taken back at once is none; another hand is another', () => {
    const [run] = lineOf(BOWED, 'Cello').cables.slice(-1);
    const longer = (m: number) => (d: Plan) => void (d.cables[run].metres = m);
    expect(new Evening(BOWED).do(longer(21)).do(longer(30)).do(longer(40)).told).toEqual([
      expect.stringMatching(/^Cello – 40.m multicore pair, was 20.m/)
    ]);
    expect(new Evening(BOWED).do(longer(21)).undo().told).toEqual([]);
    expect(new Evening(BOWED).do(longer(21)).do(longer(30), { maker: 'b' }).told).toHaveLength(2);
    // Two minutes apart is together, a moment more is not.
    expect(new Evening(BOWED).do(longer(21)).do(longer(30), { at: 120_000 }).told).toHaveLength(1);
    expect(new Evening(BOWED).do(longer(21)).do(longer(30), { at: 120_001 }).told).toHaveLength(2);
  });

  it('lines that came and went, names, switches, the show’s own things', () => {
    const keys = lineOf(BOWED, 'Keys');
    expect(new Evening(BOWED).do((d) => void (d.lines[keys.id].name = 'Organ')).told).toEqual([
      'Organ – name Organ (was Keys)'
    ]);
    expect(new Evening(BOWED).do((d) => void (d.devices[box(BOWED)].settings.lift = 'lifted')).told[0]).toMatch(
      /^Cello – passive DI: ground lift lifted \(was connected\)/
    );
    expect(new Evening(BOWED).do((d) => void (d.policy.room = 'club')).told[0]).toContain('venue a club (was none)');
    const gone = new Evening(BOWED).do((d) => {
      for (const id of keys.devices) delete d.devices[id];
      for (const id of keys.cables) delete d.cables[id];
      delete d.lines[keys.id];
    });
    expect(gone.told).toEqual(['Keys deleted']);
    expect(
      tellEdits(gone.plan, [{ ...gone.edits[0], ops: reverseOps(gone.edits[0].ops) }]).map(toldEditsText)[0]
    ).toMatch(/^Keys added: .*/);
  });

  it('the plan before is the one it began with', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 8 }), (metres) => {
        const evening = new Evening(BOWED);
        const [run] = lineOf(BOWED, 'Cello').cables;
        for (const m of metres)
          if (evening.plan.cables[run].metres !== m) evening.do((d) => void (d.cables[run].metres = m));
        expect(planBefore(evening.plan, evening.edits)).toEqual(BOWED);
      })
    ));
});

describe('as it was', () => {
  it('recalls DI, leads and switches as one edit; names and channels stay; twice is nothing', () => {
    const evening = new Evening(BOWED)
      .do((d) => void (d.devices[box(BOWED)] = { model: 'active-di-10m', settings: { lift: 'lifted' } }))
      .do((d) => {
        d.lines[lineOf(BOWED, 'Cello').id].name = 'Cello, second half';
        d.cables[lineOf(BOWED, 'Cello').cables[1]].metres = 45;
      });
    const id = lineOf(BOWED, 'Cello').id;
    const applied = applyEdit(evening.plan, { ops: recallOps(evening.plan, BOWED, [id])! });
    expect(applied.ok && applied.plan.devices).toEqual(BOWED.devices);
    expect(applied.ok && applied.plan.cables).toEqual(BOWED.cables);
    expect(applied.ok && applied.plan.lines[id].name).toBe('Cello, second half');
    expect(recallOps(BOWED, BOWED, [id])).toEqual([]);
    expect(recallOps(BOWED, BOWED, ['gone'])).toBeNull();
  });

  it('sets a line like the one that worked: its DI and switches, this venue’s lengths; and says what is otherwise', () => {
    const then = show(['Cello: cello piezo, 4 m, active DI 10m lifted, 60 m, mic 5']);
    const line = lineOf(then, 'Cello');
    const report = judgePlan(then)[0];
    const reading = { id: '', lineId: line.id, at: '', gainDb: 31, practice: false };
    const setup = setupOf(then, line, report, { ...reading, peakDb: -12, note: '250 Hz −3 dB' });
    expect(setupText(setup)).toMatch(/ground lifted; .*gain 31\u202FdB; peaks −12\u202FdBFS; “250 Hz −3 dB”$/);
    let n = 0;
    const now = lineOf(BOWED, 'Cello');
    const held = lastTime(BOWED, now, setup, 20, (role) => `${role}${n++}`);
    expect(held.differs.map((d) => d.code)).toEqual(['boxes', 'run']);
    expect(held.gain).toEqual({ then: report.gain, now: 20 });
    const applied = applyEdit(BOWED, { ops: [...held.ops!] });
    if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
    const set = lineOf(applied.plan, 'Cello');
    expect(set.devices.map((d) => applied.plan.devices[d].model)).toEqual(
      line.devices.map((d) => then.devices[d].model)
    );
    expect(applied.plan.devices[set.devices[1]].settings.lift).toBe('lifted');
    expect(set.cables.map((c) => applied.plan.cables[c].metres)).toEqual(now.cables.map((c) => BOWED.cables[c].metres));
    const again = lastTime(applied.plan, set, setup, 20, (role) => `${role}${n++}`);
    expect(again.ops).toEqual([]);
    expect(again.differs.map((d) => d.code)).toEqual(['run']);
  });

  it('names are compared as people type them', () => {
    expect(nameKey('  Théremin–2 ')).toBe(nameKey('theremin 2'));
    expect(nameKey('Keys L')).not.toBe(nameKey('Keys R'));
  });
});
