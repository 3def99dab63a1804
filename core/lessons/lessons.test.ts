import { describe, expect, it } from 'vitest';
import { CODES, rank, type Code } from '../judge/types';
import { problems } from '../judge/judge';
import { planOf } from '../casebook/cases';
import { resolve } from '../plan/resolved';
import { LESSON_OF } from './lesson-of';
import { lineLesson } from './lessons';
import { answered, casesOf, exerciseOf } from './question';
import { canShow, knobsOn, madeLine, placesOf, sweepOf, taught } from './solve';
import { LESSON_IDS } from './types';

const lessons = LESSON_IDS.flatMap((id) => lineLesson(id) ?? []);

describe('lessons', () => {
  it('sixteen, fifteen of them on a line; every finding leads to one', () => {
    expect(LESSON_IDS).toHaveLength(16);
    expect(lessons.map((l) => l.id)).toEqual(LESSON_IDS.filter((id) => id !== 'fair-listening'));
    for (const code of Object.keys(CODES) as Code[]) expect(LESSON_IDS).toContain(LESSON_OF[code]);
  });
  it.each(lessons.map((l) => [l.id, l] as const))(
    '%s: the formula is what the network says, wherever its knobs stand',
    (_, lesson) => {
      for (const way of lesson.ways.keys()) {
        const { plan, lineId } = madeLine(lesson, way);
        const on = knobsOn(lesson, plan, lineId);
        // Every knob of a lesson is found on its own line, and none begins beyond its ends.
        expect(on.map(({ knob }) => knob.id)).toEqual(lesson.knobs.map((k) => k.id));
        for (const { knob, value } of on)
          if (typeof value === 'number')
            expect([knob.id, value >= knob.low && value <= knob.high]).toEqual([knob.id, true]);
          else expect(knob.choices).toContain(value);
        let held = 0;
        for (const { knob } of on) {
          const readings: number[] = [];
          for (const place of placesOf(knob).filter((_, k) => knob.choices || k % 8 === 0)) {
            const is = taught(lesson, plan, lineId, { [knob.id]: knob.choices ? knob.choices[place] : place })!;
            readings.push(is.reads);
            if (!is.byHand || !Number.isFinite(is.reads)) continue;
            held++;
            const share = lesson.measure === 'Ω' || lesson.measure === 'Hz';
            const off = share ? is.byHand.result / is.reads - 1 : is.byHand.result - is.reads;
            expect([knob.id, place, is.reads, is.byHand.result, Math.abs(off) <= lesson.within]).toEqual([
              ...[knob.id, place, is.reads, is.byHand.result],
              true
            ]);
          }
        }
        if (lesson.byHand) expect(held).toBeGreaterThan(4);
      }
    }
  );
  it('what is turned first moves what is read, on the made line and on one of a show', () => {
    for (const lesson of lessons) {
      const { plan, lineId } = madeLine(lesson, 0);
      const sweep = sweepOf(lesson, plan, lineId, {});
      if (lesson.draws === 'response' || lesson.draws === 'ways') {
        expect(sweep).toBeNull();
        continue;
      }
      const y = sweep!.y.filter(Number.isFinite);
      expect([lesson.id, Math.max(...y) - Math.min(...y) > 1]).toEqual([lesson.id, true]);
      expect([lesson.id, canShow(lesson, plan, lineId)]).toEqual([lesson.id, lesson.ways.length === 1]);
    }
    // A line that has nothing to turn is not shown.
    const { plan, lineId } = madeLine(lineLesson('piezo')!, 0);
    expect(canShow(lineLesson('transformer')!, plan, lineId)).toBe(false);
    expect(canShow(lineLesson('piezo')!, plan, 'nowhere')).toBe(false);
    expect(resolve(plan).line(lineId)).toBeDefined();
  });
  it('on a line where it does not hold a lesson is not shown, or says no formula', () => {
    const of = (id: (typeof LESSON_IDS)[number], says: string) => {
      const plan = planOf({ says });
      return { shown: canShow(lineLesson(id)!, plan, 'in'), byHand: taught(lineLesson(id)!, plan, 'in', {})!.byHand };
    };
    // Behind a DI what is lost is mostly its turns, and a piezo is no resistance.
    expect(of('bridging', 'keyboard wall-wart, 3 m, rca input').shown).toBe(true);
    expect(of('bridging', 'keyboard wall-wart, 3 m, passive DI, 20 m, mic').shown).toBe(false);
    expect(of('bridging', 'piezo, 3 m, instrument input').shown).toBe(false);
    expect(of('piezo', 'keyboard wall-wart, 3 m, active DI, 20 m, mic').byHand).toBeNull();
    expect(of('piezo', 'piezo, 3 m, active DI, 20 m, mic').byHand).not.toBeNull();
    expect(of('scales', 'piezo, 3 m, instrument input').byHand).toBeNull();
    // Into an unbalanced input all of its impedance is the load, not half of it.
    const run = taught(lineLesson('long-runs')!, planOf({ says: 'keyboard wall-wart, 200 m, rca input' }), 'in', {
      source: 10e3
    })!;
    expect(Math.abs(run.byHand!.result - run.reads)).toBeLessThan(0.5);
  });
  it.each(lessons.map((l) => [l.id, l] as const))('%s: one answer is right, and the judge tells which', (_, lesson) => {
    const { options, right } = answered(lesson);
    const of = (k: number): readonly [number, number] => [
      rank(options[k].report.severity),
      problems(options[k].report).length
    ];
    for (const k of options.keys())
      if (k !== right) {
        expect(of(k)[0]).toBeGreaterThanOrEqual(of(right)[0]);
        expect([options[k].says, of(k)]).not.toEqual([options[k].says, of(right)]);
      }
    expect(['clean', 'note']).toContain(options[right].report.severity);
  });
  it('every mistake of the casebook is an exercise of one lesson: what is wrong is among the choices, the others are not', () => {
    const all = LESSON_IDS.flatMap((id) => casesOf(id));
    expect(all.length).toBeGreaterThan(25);
    expect(new Set(all.map((m) => m.id)).size).toBe(all.length);
    for (const mistake of all) {
      const { choices, finding, report, right } = exerciseOf(mistake);
      expect(choices).toContain(finding.code);
      expect(choices.length).toBeGreaterThanOrEqual(3);
      const found = new Set(problems(report).map((f) => f.code));
      expect(choices.filter((c) => found.has(c))).toEqual([finding.code]);
      expect(right.report.findings.some((f) => f.code === finding.code && f.severity === finding.severity)).toBe(false);
    }
  });
});
