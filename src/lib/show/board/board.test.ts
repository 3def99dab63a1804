import { judgePlan } from '$core/judge/judge';
import { applyEdit } from '$core/plan/edit';
import { branchesOf } from '$core/plan/branch';
import { traceLines } from '$core/plan/lines';
import type { Edit } from '$core/plan/schema';
import { saltRoad } from '$lib/server/demo-shows';
import { describe, expect, it } from 'vitest';
import { namesOf } from '$core/reader/names';
import { readLine } from '$core/reader/read-line';
import { arrange, bracketOf, columnsOf, grouped, tally } from './board';
import { copyText, pastedRows, readRow } from './clipboard';
import { addLines, dropOwn, ownId, putOwn, setModel, setOwn } from '$lib/show/session/edits';

const plan = saltRoad();
const lines = traceLines(plan);
const reports = new Map(judgePlan(plan).map((r) => [r.id, r]));
const names = (list: typeof lines) => list.map((l) => l.info?.name);

describe('the board', () => {
  it('stands in channel order, and by verdict with the worst first', () => {
    expect(lines.map((l) => l.info?.channel)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    const worst = arrange(lines, reports, 'verdict', null, null);
    expect(['Modular rack', 'Cue laptop']).toContain(names(worst)[0]);
    const severities = worst.map((l) => reports.get(l.id)!.severity);
    const order = ['stop', 'care', 'note', 'clean'];
    expect([...severities].sort((a, b) => order.indexOf(a) - order.indexOf(b))).toEqual(severities);
    // Within one verdict the channel order stays.
    expect(names(worst).slice(-4)).toEqual(names(lines.filter((l) => reports.get(l.id)!.severity === 'clean')));
    expect(names(lines)[0]).toBe('Hammered dulcimer');
  });
  it('filters, but never hides the line that is open', () => {
    expect(names(arrange(lines, reports, 'channel', 'care', null))).toEqual(['Theremin']);
    const open = lines.find((l) => l.info?.name === 'Narrator')!.id;
    expect(names(arrange(lines, reports, 'channel', 'care', open))).toEqual(['Theremin', 'Narrator']);
    expect(arrange(lines, reports, 'channel', 'wrong', null).length).toBe(8);
    expect(arrange(lines, new Map(), 'verdict', 'stop', null)).toEqual([]);
  });
  it('counts what there is', () => {
    expect(tally(lines, reports)).toEqual([
      { severity: 'clean', count: 4 },
      { severity: 'note', count: 2 },
      { severity: 'care', count: 1 },
      { severity: 'stop', count: 5 }
    ]);
    expect(tally(lines, new Map())).toEqual([]);
  });
});

describe('what hangs together', () => {
  const show = ['Amp: from Upright bass, 2 m, guitar amp', 'Cue right: headphone jack, 3 m, mic 30'].reduce(
    (at, text) => {
      const done = applyEdit(at, addLines(at, [readLine(text, namesOf(at)).spec!])!);
      if (!done.ok) throw new Error(JSON.stringify(done.fault));
      return done.plan;
    },
    plan
  );
  for (const info of Object.values(show.lines)) if (/^Cue/.test(info.name)) info.pair = 'Cue';
  const all = traceLines(show);
  const rows = grouped(all, branchesOf(show, all));

  it('stands together: a branch below its line, the sides of a pair in one bracket', () => {
    const order = names(rows);
    expect(order.length).toBe(14);
    expect(order[order.indexOf('Upright bass') + 1]).toBe('Amp');
    const cue = order.indexOf('Cue laptop');
    expect(order[cue + 1]).toBe('Cue right');
    expect(rows.map((_, k) => bracketOf(rows, k)).flatMap((b, k) => (b ? [[b, k]] : []))).toEqual([
      ['upper', cue],
      ['lower', cue + 1]
    ]);
  });
  it('a branch has only its own parts in its columns', () => {
    const amp = rows.find((l) => l.info?.name === 'Amp')!;
    const { at } = branchesOf(show, all).get(amp.id)!;
    const parts = columnsOf(show, amp, at);
    expect(show.devices[parts.source!].model).toBe('active-di-10m');
    expect([parts.middle, parts.patches, parts.run]).toEqual([[], [], null]);
    expect(show.cables[parts.lead!].metres).toBe(2);
  });
});

describe('the clipboard', () => {
  it('carries every line of the demo in words that read back', () => {
    const text = lines.map((l) => copyText(plan, l)).join('\n');
    const specs = pastedRows(text).map((row) => readRow(plan, row));
    expect(specs.map((spec) => spec?.name)).toEqual(names(lines));
    expect(specs.map((spec) => spec?.channel)).toEqual(lines.map((l) => l.info?.channel));
  });
  it('takes what it understands row by row', () => {
    const rows = pastedRows('\n piezo, 3 m, mic \r\nwhatever this is, 4 parsecs\npiezo, 4 m, line');
    expect(rows.map((row) => readRow(plan, row) !== null)).toEqual([true, false, true]);
    expect(pastedRows('')).toEqual([]);
    expect(pastedRows('piezo, 3 m, mic\n'.repeat(500)).length).toBe(64);
  });
});

describe('edits of own models', () => {
  const device = Object.keys(plan.devices).find((id) => plan.devices[id].model === 'piezo')!;
  const apply = (on: typeof plan, edit: Edit | null): typeof plan => {
    const done = applyEdit(on, edit!);
    if (!done.ok) throw new Error(JSON.stringify(done.fault));
    return done.plan;
  };
  const own = { name: 'Bridge element', base: 'piezo', values: { C: { min: 8e-10, typ: 9e-10, max: 1e-9 } } };

  it('made, used, changed and taken away, each one step', () => {
    const made = apply(plan, putOwn(plan, 'bridge', own));
    const used = apply(made, setOwn(made, device, 'x', 'bridge'));
    expect(used.devices[device]).toMatchObject({ own: 'bridge', settings: { C: 9e-10 } });
    const wider = { ...own, values: { C: { min: 8e-10, typ: 1e-9, max: 2e-9 } } };
    const changed = apply(used, putOwn(used, 'bridge', wider));
    expect(changed.devices[device].settings.C).toBe(1e-9);
    const gone = apply(changed, dropOwn(changed, 'bridge'));
    expect(gone.models).toBeUndefined();
    expect(gone.devices[device].own).toBeUndefined();
    expect(gone.devices[device].settings.C).toBe(1e-9);
    expect(ownId(made)).not.toBe(ownId(made));
  });
  it('another class of device is no longer of the own model', () => {
    const made = apply(plan, putOwn(plan, 'bridge', own));
    const used = apply(made, setOwn(made, device, 'x', 'bridge'));
    expect(apply(used, setModel(used, device, 'x', 'humbucker')).devices[device].own).toBeUndefined();
  });
});
