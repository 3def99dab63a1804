import { judgeWhole } from '$core/judge/judge';
import { SolvedRig } from '$core/judge/solved-rig';
import { blankPlan } from '$core/plan/blank';
import { putLine } from '$core/plan/put';
import type { Plan } from '$core/plan/schema';
import { readLine } from '$core/reader/read-line';
import { earthMap } from '$core/trace/map';
import { saltRoad } from '$lib/server/demo-shows';
import { describe, expect, it } from 'vitest';
import { earthView } from './ground-view';

function mapOf(plan: Plan) {
  const whole = new SolvedRig(plan);
  return earthMap(whole, new Map(judgeWhole(whole).map((r) => [r.id, r])));
}
/** Sixty-four lines on four supplies, every eighth of them with a box that leaves a ring. */
function large(): Plan {
  const plan = blankPlan();
  for (let k = 0; k < 4; k++) plan.supplies[`s${k}`] = { name: `Supply ${k}`, emf: 0.1 * k, ohm: 0.2, dimmers: false };
  for (let k = 0; k < 64; k++) {
    const { spec } = readLine(
      `L${k}: keyboard ${k % 8 ? 'wall-wart' : 'earthed'}, 3 m, passive DI, 30 m, mic ${k + 1}`
    );
    putLine(plan, spec!, (role) => `l${k}-${role}`);
    plan.devices[`l${k}-src`].supply = `s${k % 4}`;
  }
  return plan;
}

describe('where the parts of the map stand', () => {
  it('chassis beside each other, each over its own supply, whatever the width', () => {
    for (const plan of [saltRoad(), large()])
      for (const width of [360, 880, 1600]) {
        const map = mapOf(plan);
        const view = earthView(plan, map, width, new Set());
        expect(view.width).toBeGreaterThanOrEqual(width);
        // Nobody is lost, and nobody stands on somebody else.
        expect(view.points.flatMap((p) => p.points.map((q) => q.id)).sort()).toEqual(
          map.points.map((p) => p.id).sort()
        );
        const row = [...view.points].sort((a, b) => a.x - b.x);
        row.slice(1).forEach((p, k) => expect(p.x - p.wide / 2).toBeGreaterThan(row[k].x + row[k].wide / 2));
        for (const p of view.points) {
          const { supply } = p.points[0];
          const bar = view.supplies.find((s) => s.id === supply);
          if (supply !== null) expect(Math.abs(p.x - bar!.x)).toBeLessThanOrEqual(bar!.wide / 2);
        }
        for (const t of view.threads) expect(t.path).not.toContain('NaN');
      }
  });
  it('quiet ones stand together, those of an audible ring by themselves', () => {
    const plan = large();
    // Loud enough for some rings to be heard.
    for (const supply of Object.values(plan.supplies)) supply.emf *= 100;
    const map = mapOf(plan);
    const view = earthView(plan, map, 900, new Set());
    expect(view.points.length).toBeLessThan(20);
    const loud = new Set(map.rings.filter((r) => r.severity !== 'clean').flatMap((r) => r.points));
    expect(loud.size).toBeGreaterThan(2);
    for (const p of view.points.filter((p) => p.points.length > 1))
      for (const q of p.points) expect(loud.has(q.id)).toBe(false);
    const crowd = view.points.find((p) => p.points.length > 1)!;
    const opened = earthView(plan, map, 900, new Set(crowd.points.map((p) => p.id)));
    expect(opened.points.length).toBeGreaterThan(view.points.length);
  });
  it('quiet ones stand together by where they are on stage', () => {
    const plan = large();
    const lines = Object.values(plan.lines);
    lines.forEach((line, k) => (line.place = ['Pit', 'Gallery', ''][Math.floor(k / 4) % 3] || undefined));
    const view = earthView(plan, mapOf(plan), 900, new Set());
    const crowds = view.points.filter((p) => p.points.length > 1);
    expect(new Set(crowds.map((c) => c.place))).toEqual(new Set(['Pit', 'Gallery', '']));
    const placeOf = (id: string): string => plan.lines[`${id.slice(7).split('-')[0]}-in`]?.place ?? '';
    for (const { points, place } of crowds) for (const p of points) if (place) expect(placeOf(p.id)).toBe(place);
  });
  it('where there is no room, the chosen ring stands whole and all others together', () => {
    const plan = large();
    for (const [k, id] of Object.keys(plan.devices)
      .filter((d) => d.endsWith('-src'))
      .entries())
      if (k % 2) plan.devices[id].settings.feed = 'mains-1';
    const map = mapOf(plan);
    const [ring] = map.rings;
    expect(earthView(plan, map, 600, new Set()).width).toBeGreaterThan(600);
    const view = earthView(plan, map, 600, new Set(), new Set(ring.points));
    expect(view.width).toBe(600);
    for (const id of ring.points) expect(view.points.find((p) => p.id === id)!.points).toHaveLength(1);
    expect(view.points.flatMap((p) => p.points)).toHaveLength(map.points.length);
    expect(view.points.some((p) => p.points.length > 1 && !p.quiet)).toBe(true);
  });
});
