import { describe, expect, it } from 'vitest';
import { type Link, LINK_OHM, LINKS } from '../gear/links';
import { judgeWhole } from '../judge/judge';
import { type Pieces, SolvedRig } from '../judge/solved-rig';
import { loadPlan } from '../plan/load';
import { forget } from '../plan/resolved';
import type { Plan } from '../plan/schema';
import { onTwoSupplies, show } from '../tests/plans';
import { cureText, LINK_NAMES } from '../words/trace';
import { curesFor } from './cures';
import { earthMap } from './map';

/** A laptop on a two-pin charger into a desk that is earthed at the annex, and a cable from it to something that is earthed on stage. */
function rig(by: Link | null, box = 'media DI'): Plan {
  const plan = onTwoSupplies(show([`Laptop: laptop wall-wart, 2 m, ${box}, 20 m, mic 1`]));
  plan.devices['l0-src'].supply = 'stage';
  if (by) plan.touches = { link: { a: 'device:l0-src', b: 'supply:stage', by } };
  forget(plan);
  return plan;
}
const look = (plan: Plan) => {
  const pieces: Pieces = new Map();
  const whole = new SolvedRig(plan, pieces);
  const reports = judgeWhole(whole);
  const map = earthMap(whole, new Map(reports.map((r) => [r.id, r])));
  return {
    reports,
    map,
    below: reports[0].hum!.below,
    ring: map.rings.find((r) => r.touches.includes('link')),
    pieces
  };
};

describe('a cable that is not for sound', () => {
  it('closes a ring through the sound’s shield, that a lifted DI opens, and its own isolation as well', () => {
    const [none, hdmi, lifted] = [rig(null), rig('hdmi'), rig('hdmi', 'media DI lifted')].map(look);
    expect(none.ring).toBeUndefined();
    expect(hdmi.ring?.worst?.line).toBe('l0-in');
    expect(hdmi.below).toBeLessThan(none.below - 20);
    expect(lifted.below).toBeGreaterThan(hdmi.below + 20);
    const cures = curesFor(rig('hdmi'), hdmi.ring!, hdmi.reports, hdmi.pieces);
    const own = cures.find((c) => c.what.some((w) => w.code === 'unlink'))!;
    expect(cureText(own.what)).toBe('Take HDMI over fibre, so that no shield joins the two');
    expect(own.after).toBeCloseTo(none.below, 6);
  });
  it('carries what the voltage drives through all that is in the ring: its own ohms are in series with the rest', () => {
    const perAmpere = (by: Link): number => 1 / look(rig(by)).ring!.ampere;
    const slope = (a: Link, b: Link): number => (perAmpere(a) - perAmpere(b)) / (LINK_OHM[a] - LINK_OHM[b]);
    expect(slope('network', 'usb')).toBeCloseTo(slope('usb', 'rails'), 0);
    // The voltage between the two supplies, volts.
    expect(1 / slope('network', 'rails')).toBeGreaterThan(0.2);
    expect(1 / slope('network', 'rails')).toBeLessThan(0.4);
  });
  it('is kept in the plan, named, and of the ohms that were measured on such', () => {
    for (const by of LINKS) {
      expect(loadPlan(rig(by)).ok).toBe(true);
      expect(LINK_NAMES[by]).toMatch(/\w/);
    }
    expect(
      loadPlan({ ...rig('usb'), touches: { link: { a: 'device:l0-src', b: 'supply:stage', by: 'rope' } } }).ok
    ).toBe(false);
    const within: Readonly<Record<Link, readonly [number, number]>> = {
      usb: [0.1, 0.5],
      hdmi: [0.05, 0.2],
      network: [1, 2.1],
      dmx: [0.4, 0.9],
      antenna: [0.05, 0.15],
      rails: [0.001, 0.01]
    };
    for (const by of LINKS)
      expect([by, LINK_OHM[by] >= within[by][0] && LINK_OHM[by] <= within[by][1]]).toEqual([by, true]);
  });
});
