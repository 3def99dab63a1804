import { describe, expect, it } from 'vitest';
import { analyse } from '../sound/analyse';
import { noiseOf } from '../sound/noise';
import { LESSON_TEXTS } from '../words/drill';
import { type Asked, drillRig, LESSONS, lessonRig, MOST_LEVEL, scoreOf } from './drill';
import { Trace } from './infer';
import { traced } from './traced';
import { Stagehand } from './stagehand';

describe('drills', () => {
  it('the course has twelve, of which each teaches one thing, and the last has two faults', () => {
    expect(LESSONS).toHaveLength(12);
    expect(new Set(LESSONS.map((l) => l.code)).size).toBe(12);
    expect(LESSONS.at(-1)!.code).toBe('several');
    for (const { code } of LESSONS) {
      const rig = lessonRig(code);
      expect([code, rig.hidden.code]).toEqual([code, code]);
      expect(LESSON_TEXTS[code].teaches.length).toBeGreaterThan(60);
      // It can be told: the cause is one of those that may be named.
      expect(new Trace(rig.plan, rig.line).hypotheses.map((h) => h.id)).toContain(rig.hidden.id);
    }
  });
  it('evidence points the right way in each, and what is heard is what it is called', () => {
    const same = (s: string): string => (s === 'buzz' ? 'hum' : s);
    for (const { code } of LESSONS) {
      const rig = lessonRig(code);
      const hand = new Stagehand(rig);
      const found = traced(rig, hand);
      expect([code, found.cause.id]).toEqual([code, rig.hidden.id]);
      expect(found.share).toBeGreaterThan(0.85);
      const { heard, sound } = hand.sound();
      const played = analyse(noiseOf(heard, sound, 50, 48_000, 3), 48_000).heard[0].sound;
      expect([code, same(played)]).toEqual([code, same(sound)]);
      // A trace that suspects it plays it as it is heard at the rig, if at another strength; what nobody can name is not played.
      const trace = new Trace(rig.plan, rig.line);
      const told = trace.noiseOf(rig.hidden.id);
      expect([code, told?.sound]).toEqual([code, sound]);
      const suspected = analyse(noiseOf(told!.heard, told!.sound, 50, 48_000, 3), 48_000).heard[0].sound;
      expect([code, same(suspected)]).toEqual([code, same(sound)]);
      expect(trace.noiseOf('none')).toBeNull();
    }
  });
  it('a cure takes most of it away, and is another in the place of what is at fault where there is one', () => {
    const cures = LESSONS.map(({ code }) => [code, scoreOf(lessonRig(code), [], 'none').cure] as const);
    for (const [code, cure] of cures) {
      const hand = new Stagehand(lessonRig(code));
      if (cure === null) continue;
      expect([code, hand.after(cure)!.power < hand.sound().heard.power / 10]).toEqual([code, true]);
    }
    const of = Object.fromEntries(cures);
    expect(of).toMatchObject({ shield: 'swap-lead', contact: 'swap-lead', leg: 'swap-run', touch: 'clear-metal' });
    expect(cures.filter(([, cure]) => cure === null).length).toBeLessThan(3);
  });
  it('get harder: more causes at every level', () => {
    const codes = (level: number): Set<string> =>
      new Set(Array.from({ length: 25 }, (_, k) => drillRig(k + 1, level).hidden.code));
    const [one, two, three] = Array.from({ length: MOST_LEVEL }, (_, k) => codes(k + 1));
    for (const code of one) expect(['loop', 'shield', 'low-level', 'pickup']).toContain(code);
    expect(two.size).toBeGreaterThan(one.size);
    expect(three.size).toBeGreaterThanOrEqual(two.size);
  });
  it('score full marks for going by the evidence, less for time, little for a guess, nothing for a wrong cause', () => {
    const rig = lessonRig('pickup');
    const hand = new Stagehand(rig);
    const best = traced(rig, hand);
    const trace = new Trace(rig.plan, rig.line);
    const minutesOf = (ask: string): number =>
      trace.probes.find((p) => p.id === ask)?.minutes ?? (ask === 'sound' ? 0.3 : 0.5);
    const asked: Asked[] = best.asks.map((ask) => ({ minutes: minutesOf(ask), answer: hand.answer(ask) }));
    const full = scoreOf(rig, asked, rig.hidden.id);
    expect([full.right, full.points]).toEqual([true, 100]);
    const slow = scoreOf(rig, [...asked, { minutes: 6, answer: null }], rig.hidden.id);
    expect(slow.points).toBe(70);
    const guess = scoreOf(rig, [], rig.hidden.id);
    expect(guess.right).toBe(true);
    expect(guess.points).toBeLessThan(80);
    const wrong = trace.hypotheses.find((h) => h.id !== rig.hidden.id)!;
    expect(scoreOf(rig, asked, wrong.id)).toMatchObject({ right: false, points: 0 });
  });
  it('never score more for more time, nor for less evidence', () => {
    const rig = lessonRig('loop');
    const hand = new Stagehand(rig);
    const { asks } = traced(rig, hand);
    const answers = asks.map((ask) => hand.answer(ask));
    const points = (minutes: number, told: number): number =>
      scoreOf(
        rig,
        [{ minutes, answer: null }, ...answers.slice(0, told).map((answer) => ({ minutes: 0, answer }))],
        rig.hidden.id
      ).points;
    const slower = [0, 2, 5, 9, 30, 500].map((m) => points(m, answers.length));
    expect([...slower].sort((a, b) => b - a)).toEqual(slower);
    expect(slower[0]).toBe(100);
    // However long it took, finding it is worth something.
    expect(slower[slower.length - 1]).toBeGreaterThan(0);
    expect(points(0, 0)).toBeLessThan(points(0, answers.length));
  });
  it('each rig of a level is another, can be named, and is found by most who go by the evidence', () => {
    const COUNT = 20;
    for (let level = 1; level <= MOST_LEVEL; level++) {
      const rigs = Array.from({ length: COUNT }, (_, k) => drillRig(k + 1, level));
      expect(new Set(rigs.map((r) => JSON.stringify(r.plan))).size).toBe(COUNT);
      const right = rigs.filter((rig) => {
        const trace = new Trace(rig.plan, rig.line);
        expect(trace.hypotheses.map((h) => h.id)).toContain(rig.hidden.id);
        return traced(rig, new Stagehand(rig), trace).cause.id === rig.hidden.id;
      }).length;
      expect(right / COUNT).toBeGreaterThanOrEqual(0.75);
    }
  });
});
