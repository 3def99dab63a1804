import { describe, expect, it } from 'vitest';
import { findModel, MODELS } from '../gear/catalogue';
import { RENAMED_MODELS } from '../gear/renamed';
import { judgePlan } from '../judge/judge';
import old from '../tests/files/show-version-1.json';
import { copyOf } from './json';
import { loadPlan } from './load';
import { readOwn, writeOwn } from './own';
import { PlanSchema } from './schema';
import { upgradePlan, withTodaysIds } from './upgrade';

describe('what version 1 wrote', () => {
  it('a plan opens, with every model of its own kind, and is judged', () => {
    const loaded = loadPlan(copyOf(old.plan));
    if (!loaded.ok) throw new Error(JSON.stringify(loaded.faults));
    const { plan } = loaded;
    expect(plan.version).toBe(2);
    expect(Object.keys(plan.devices)).toEqual(Object.keys(old.plan.devices));
    for (const [id, device] of Object.entries(old.plan.devices)) {
      const { model } = plan.devices[id];
      expect(model).toBe(RENAMED_MODELS[device.model] ?? device.model);
      // Nothing but the name of the model has changed.
      expect({ ...plan.devices[id], model: device.model }).toEqual(device);
    }
    expect(plan.models!.own.base).toBe('line-unbalanced');
    expect(Object.values(plan.kit!).some((item) => item.kind === 'device' && item.model === 'active-di')).toBe(true);
    expect(judgePlan(plan)).toHaveLength(Object.keys(old.plan.lines).length);
    // Once upgraded it stays as it is.
    expect(upgradePlan(plan)).toBe(plan);
    expect(withTodaysIds(plan)).toEqual(plan);
  });
  it('names are left alone, though they may be spelled like a model', () => {
    const named = copyOf(old.plan) as { lines: Record<string, { name: string }> };
    Object.values(named.lines)[0].name = 'keyboard';
    const loaded = loadPlan(named);
    expect(loaded.ok && Object.values(loaded.plan.lines)[0].name).toBe('keyboard');
  });
  it('an unknown version is refused by name, as is what is no plan', () => {
    for (const wrong of [{ ...old.plan, version: 3 }, { ...old.plan, version: '1' }, { version: 1 }, null, 'x', []]) {
      const loaded = loadPlan(wrong);
      expect(loaded.ok).toBe(false);
    }
    const loaded = loadPlan({ ...copyOf(old.plan), version: 3 });
    expect(!loaded.ok && loaded.faults[0]).toMatchObject({ kind: 'shape', where: 'version' });
  });
  it('steps of edits, wherever they hold a model', () => {
    const device = { model: 'passive-box', settings: {} };
    const set = { op: 'set', table: 'devices', id: 'a', path: ['model'], from: 'keyboard', to: 'active-box' };
    const name = { op: 'set', table: 'lines', id: 'a', path: ['name'], from: 'keyboard', to: 'resistor' };
    expect(withTodaysIds([{ op: 'add', table: 'devices', id: 'a', value: device }, set, name])).toEqual([
      { op: 'add', table: 'devices', id: 'a', value: { model: 'passive-di', settings: {} } },
      { ...set, from: 'line-unbalanced', to: 'active-di' },
      name
    ]);
  });
  it('own models and kits as files', () => {
    const text = writeOwn({ name: 'Mine', base: 'passive-di', values: {} });
    expect(readOwn(text)).toMatchObject({ ok: true });
    const file = JSON.parse(text) as { version: number; model: { base: string } };
    [file.version, file.model.base] = [1, 'passive-box'];
    expect(readOwn(JSON.stringify(file))).toEqual({ ok: true, own: { name: 'Mine', base: 'passive-di', values: {} } });
    expect(readOwn(JSON.stringify({ ...file, version: 2 })).ok).toBe(false);
  });
  it('renames what there was to what there is, and no model that is there', () => {
    for (const [was, is] of Object.entries(RENAMED_MODELS))
      expect([findModel(was), findModel(is)?.id]).toEqual([undefined, is]);
    expect(new Set(MODELS.map((m) => m.id)).size).toBe(MODELS.length);
    expect(PlanSchema.shape.version.def.values[0]).toBe(2);
  });
});
