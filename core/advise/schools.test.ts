import { describe, expect, it } from 'vitest';
import { judgePlan } from '../judge/judge';
import { rank } from '../judge/types';
import { SolvedRig } from '../judge/solved-rig';
import { blankPlan } from '../plan/blank';
import { applyEdit } from '../plan/edit';
import type { Plan } from '../plan/schema';
import { putLine } from '../plan/put';
import { readLine } from '../reader/read-line';
import { onTwoSupplies } from '../tests/plans';
import { decibelsText, QUESTION_NAMES, schoolName, schoolReason } from '../words/routes';
import { routesFor } from './routes';
import { type Route } from './route';
import { chosenOf, type Option, pickOf, type Question, QUESTIONS, type School, schoolPick, schoolsOf } from './schools';

const LINES = [
  'Bass: upright bass piezo, 3 m, active DI 10m, 40 m, mic',
  'Bouzouki: bouzouki single coil, 4 m, active DI, 40 m, mic',
  'Player: rca player earthed on Stage, 3 m, media DI, 20 m, mic',
  'Laptop: laptop, 3 m, media DI, 9 m, mic',
  'Keys: keyboard earthed on Stage, 3 m, passive DI pad 10, 40 m, mic'
];
function show(): Plan {
  const plan = onTwoSupplies(blankPlan());
  LINES.forEach((text, k) => {
    const spec = readLine(text, { supplies: [{ id: 'stage', name: 'Stage' }] }).spec!;
    putLine(plan, spec, (role) => `l${k}-${role}`);
  });
  return plan;
}
const plan = show();
const whole = new SolvedRig(plan);
const routes = new Map<string, readonly Route[]>(
  whole.lines.map((line) => [line.id, routesFor(plan, line, { around: whole.around(line), perOctave: 3 })])
);
const schools = schoolsOf(plan, whole.lines, routes);
const of = (question: Question, option: Option): School =>
  schools.find((s) => s.question === question && s.option === option)!;
const on = (school: School, name: string) => school.differs.find((d) => plan.lines[d.lineId].name === name);

it('every option of every question is answered once, named and reasoned', () => {
  const all = (Object.keys(QUESTIONS) as Question[]).flatMap((q) => QUESTIONS[q].map((o) => [q, o] as const));
  expect(schools.map((s) => [s.question, s.option])).toEqual(all);
  for (const [question, option] of all) {
    expect(QUESTION_NAMES[question]).toBeTruthy();
    expect(schoolName(question, option)).toBeTruthy();
    expect(schoolReason(question, option)).toMatch(/\.$/);
  }
});
it('the first option is the one a show has until it chooses', () => {
  for (const question of Object.keys(QUESTIONS) as Question[])
    expect(chosenOf(blankPlan().policy, question)).toBe(QUESTIONS[question][0]);
});

describe('by the box', () => {
  it('one good active for everything starves a piezo of its bass', () => {
    const bass = on(of('box', 'active'), 'Bass')!;
    expect(bass.route!.way.id).toBe('active');
    expect(bass.because!.code).toBe('bass-loss');
    expect(bass.decibels.deviation).toBeGreaterThan(6);
    expect(decibelsText(bass.decibels)).toMatch(/dB less flat/);
    expect(rank(bass.severity)).toBeGreaterThan(rank(bass.against));
  });
  it('and is right for a coil', () => expect(on(of('box', 'active'), 'Bouzouki')?.severity ?? 'clean').toBe('clean'));
  it('active for passive, passive for active picks by what the source is', () => {
    const pick = (name: string) => {
      const line = whole.lines.find((l) => l.info?.name === name)!;
      return pickOf(plan, line, routes.get(line.id)!, 'box', 'opposite')!;
    };
    expect(pick('Bouzouki').way.boxes).toEqual(['active-di']);
    expect(pick('Keys').way.boxes).toEqual(['passive-di']);
  });
  it('a school has no say where it has none', () => {
    const bass = whole.lines.find((l) => l.info?.name === 'Bass')!;
    expect(pickOf(plan, bass, routes.get(bass.id)!, 'box', 'passive-media')).toBeNull();
    expect(schoolPick(plan, bass, routes.get(bass.id)!)).toBeNull();
    const set: Plan = { ...plan, policy: { ...plan.policy, bass: 'mic' } };
    expect(schoolPick(set, bass, routes.get(bass.id)!)!.way.id).toBe('microphone');
  });
  it('what is told of a way is what the plan gives on it', () => {
    for (const { route } of of('box', 'active').differs) {
      const applied = applyEdit(plan, { ops: [...route!.ops] });
      if (!applied.ok) throw new Error(JSON.stringify(applied.fault));
      const is = judgePlan(applied.plan).find((r) => r.id === route!.report.id)!;
      expect(is.severity).toBe(route!.report.severity);
    }
  });
});

describe('by judging', () => {
  it('strict on unbalanced leads finds what the computed limit lets pass', () => {
    const strict = on(of('unbalanced', 'strict'), 'Bouzouki')!;
    expect(strict.because!.code).toBe('long-unbalanced');
    expect(of('unbalanced', 'computed').differs).toEqual([]);
  });
  it('joined until it hums costs the player its quiet', () => {
    const lifted: Plan = structuredClone(plan);
    lifted.devices['l2-mid'].settings.lift = 'lifted';
    const joined = schoolsOf(lifted, whole.lines, routes).find((s) => s.option === 'joined')!;
    const player = joined.differs.find((d) => d.lineId === 'l2-in')!;
    expect(player.decibels.hum).toBeLessThan(-20);
    expect(decibelsText(player.decibels)).toMatch(/more hum$/);
  });
  it('a lift lifts only what is fed from earthed mains', () => {
    const differs = of('lift', 'lifted').differs.map((d) => plan.lines[d.lineId].name);
    expect(differs).not.toContain('Bass');
    expect(differs).not.toContain('Laptop');
  });
});
