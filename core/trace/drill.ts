import type { CauseCode } from './hypotheses';
import { type Answer, type Ask, Trace } from './infer';
import { faultyRig, type FaultyRig } from './rigs';
import { traced, SURE } from './traced';
import { Stagehand } from './stagehand';

/** Rigs to practise on: a course of twelve, from easy to mean, of which each teaches one thing; then they are drawn from more and more causes. */

/** What each drill of the course is about; the last has two faults at once. */
export const LESSONS = [
  { code: 'loop', seed: 1 },
  { code: 'pickup', seed: 2 },
  { code: 'shield', seed: 3 },
  { code: 'low-level', seed: 5 },
  { code: 'electric', seed: 2 },
  { code: 'supply', seed: 4 },
  { code: 'dimmers', seed: 16 },
  { code: 'contact', seed: 2 },
  { code: 'touch', seed: 1 },
  { code: 'pin-1', seed: 1 },
  { code: 'leg', seed: 2 },
  { code: 'several', seed: 1 }
] as const satisfies readonly { code: CauseCode; seed: number }[];
export type Lesson = (typeof LESSONS)[number]['code'];

/** Causes of each level beyond the lessons. */
const LEVELS: readonly (readonly CauseCode[] | undefined)[] = [
  ['loop', 'shield', 'low-level', 'pickup'],
  ['loop', 'shield', 'low-level', 'pickup', 'electric', 'supply', 'contact', 'wrong-input'],
  undefined
];
export const MOST_LEVEL = LEVELS.length;

/** @param level 1 for few causes, up to `MOST_LEVEL` for all */
export const drillRig = (seed: number, level: number): FaultyRig => faultyRig(seed, LEVELS[level - 1]);
export const lessonRig = (lesson: Lesson): FaultyRig =>
  faultyRig(LESSONS.find((l) => l.code === lesson)!.seed, [lesson]);

/** A test that was done, and what came of it; null where it could not be told. */
export interface Asked {
  readonly minutes: number;
  readonly answer: Answer | null;
}

export interface Score {
  readonly right: boolean;
  readonly minutes: number;
  /** What going by the most telling test each time takes on this rig. */
  readonly best: { readonly asks: readonly Ask[]; readonly minutes: number };
  /** How likely the evidence had made the cause that was told, 0 to 1. */
  readonly share: number;
  /** 0 to 100: less with every minute beyond the best, less for a guess that the evidence did not bear out, nothing for a wrong one. */
  readonly points: number;
  /** The test that leaves least of the noise, which is what would have cured it; null where none takes much away. */
  readonly cure: Ask | null;
}

/** Points that each minute beyond the best costs. */
const A_MINUTE = 5;
const LEAST = 20;
/** What a mere guess is worth of it. */
const GUESSED = 0.3;

export function scoreOf(rig: FaultyRig, asked: readonly Asked[], causeId: string): Score {
  const hand = new Stagehand(rig);
  const best = traced(rig, hand);
  const minutes = asked.reduce((sum, a) => sum + a.minutes, 0);
  const right = causeId === rig.hidden.id;
  const beliefs = new Trace(rig.plan, rig.line).beliefs(asked.flatMap((a) => a.answer ?? []));
  const share = beliefs.find((b) => b.hypothesis.id === causeId)?.share ?? 0;
  const inTime = Math.max(LEAST, 100 - A_MINUTE * Math.max(0, minutes - best.minutes));
  return {
    right,
    minutes,
    best: { asks: best.asks, minutes: best.minutes },
    share,
    cure: hand.cure(),
    points: right ? Math.round(inTime * (GUESSED + (1 - GUESSED) * Math.min(share / SURE, 1))) : 0
  };
}
