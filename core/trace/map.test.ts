import { describe, expect, it } from 'vitest';
import { ropeRoom, saltRoad } from '../../src/lib/server/demo-shows';
import { judgePlan, judgeWhole } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { applyEdit } from '../plan/edit';
import type { Plan } from '../plan/schema';
import { onTwoSupplies, show } from '../tests/plans';
import { curesFor } from './cures';
import { earthMap } from './map';

function mapped(plan: Plan) {
  const pieces: Pieces = new Map();
  const whole = new SolvedRig(plan, pieces);
  const reports = judgeWhole(whole);
  return { plan, pieces, reports, map: earthMap(whole, new Map(reports.map((r) => [r.id, r]))) };
}

describe('the map of earths', () => {
  it('has every line as a thread between two chassis, and the desk once', () => {
    for (const plan of [saltRoad(), ropeRoom()]) {
      const { map, reports } = mapped(plan);
      const ids = new Set(map.points.map((p) => p.id));
      expect(map.points.filter((p) => p.id === 'host:desk')).toHaveLength(1);
      expect(new Set(map.threads.map((t) => t.line))).toEqual(new Set(reports.map((r) => r.id)));
      for (const t of map.threads)
        expect([ids.has(t.from), ids.has(t.to), t.cables.length > 0]).toEqual([true, true, true]);
    }
  });
  it('finds the ring of the tape loops first, through both supplies, with the current that the full list has', () => {
    const { plan, map } = mapped(saltRoad());
    const [ring] = map.rings;
    expect(plan.lines[ring.worst!.line].name).toBe('Tape loops');
    expect([...ring.supplies].sort()).toEqual(['platform', 'stage-right']);
    expect(ring.points).toContain('host:desk');
    const loops = new SolvedRig(plan).loops();
    for (const r of map.rings) {
      const same = loops.find((l) => l.cable === r.cable)!;
      expect(r.ampere).toBeCloseTo(same.ampere, 9);
      expect([...r.cables].sort()).toEqual([...same.cables].sort());
    }
    // Every ring of the full list is on the map, each once.
    expect(new Set(loops.map((l) => [...l.cables].sort().join(' ')))).toEqual(new Set(map.rings.map((r) => r.key)));
  });
  it('a lifted box leaves a gap and takes the ring away', () => {
    const text = 'Keys: keyboard earthed, 3 m, passive DI, 30 m, mic 1';
    const staged = (words: string): Plan => {
      const plan = onTwoSupplies(show([words]));
      plan.devices['l0-src'].supply = 'stage';
      return plan;
    };
    const joined = mapped(staged(text));
    const lifted = mapped(staged(text.replace('passive DI', 'passive DI lifted')));
    expect([joined.map.threads[0].open, lifted.map.threads[0].open]).toEqual([false, true]);
    expect(joined.map.rings.length).toBeGreaterThan(lifted.map.rings.length);
  });
});

describe('cures', () => {
  it('are ranked over all inputs, give what they say when applied, and never touch a protective earth', () => {
    const { plan, map, reports, pieces } = mapped(saltRoad());
    const cures = curesFor(plan, map.rings[0], reports, pieces);
    expect(cures.length).toBeGreaterThanOrEqual(3);
    for (const cure of cures) {
      const edited = applyEdit(plan, { ops: [...cure.ops] });
      if (!edited.ok) throw new Error(edited.fault.code);
      const after = new Map(judgePlan(edited.plan).map((r) => [r.id, r]));
      expect(after.get(map.rings[0].worst!.line)!.hum!.below).toBeCloseTo(cure.after, 6);
      expect(cure.after).toBeGreaterThan(cure.before);
      expect(cure.before).toBeCloseTo(reports.find((r) => r.id === map.rings[0].worst!.line)!.hum!.below, 9);
      expect(JSON.stringify(cure.ops)).not.toMatch(/unearthed|earth-removed|mains-2/);
    }
    expect(cures[0].after - cures[0].before).toBeGreaterThan(40);
  });
});
