import { planOf, lineOf, type Mistake } from '../casebook/cases';
import { MISTAKES } from '../casebook/mistakes';
import { judgePlan, type LineReport, problems } from '../judge/judge';
import { type Code, type Finding, rank } from '../judge/types';
import { LESSON_OF } from './lesson-of';
import type { LessonId, LineLesson } from './types';

/** The decision at the end of a lesson, and cases to find what is wrong with: the same judge as everywhere decides. */

export interface Option {
  readonly says: string;
  readonly report: LineReport;
}
/** @returns the options judged, and the place of the right one: the least severe, of alike ones the one with fewer problems */
export function answered(lesson: LineLesson): { readonly options: readonly Option[]; readonly right: number } {
  const options = lesson.question.map((says): Option => {
    return { says, report: judgePlan(planOf({ says })).find((r) => r.id === lineOf({}))! };
  });
  const badness = ({ report }: Option): number => 100 * rank(report.severity) + problems(report).length;
  const right = options.reduce((best, o, k) => (badness(o) < badness(options[best]) ? k : best), 0);
  return { options, right };
}

/** A case to find what is wrong with. */
export interface Exercise {
  readonly case: Mistake;
  readonly report: LineReport;
  /** What may be wrong with it, one of which is. */
  readonly choices: readonly Code[];
  readonly finding: Finding;
  /** The same done right. */
  readonly right: { readonly says: string; readonly report: LineReport };
}

/** What is offered besides what is wrong. */
const CHOICES = 4;

/** Cases of the casebook that a lesson is about. */
export const casesOf = (id: LessonId): readonly Mistake[] => MISTAKES.filter((m) => LESSON_OF[m.finds.code] === id);

/** @throws where the case does not find what it is there for */
export function exerciseOf(mistake: Mistake): Exercise {
  const id = lineOf(mistake);
  const report = judgePlan(planOf(mistake)).find((r) => r.id === id)!;
  const finding = report.findings.find((f) => f.code === mistake.finds.code);
  if (!finding) throw new Error(`${mistake.id} does not find ${mistake.finds.code}`);
  // What is not found here may be offered; the order is the same every time, and no hint.
  const found = new Set(problems(report).map((f) => f.code));
  const others = [...new Set(MISTAKES.map((m) => m.finds.code))].filter((code) => !found.has(code));
  const start = mistake.id.length % others.length;
  const wrong = Array.from({ length: CHOICES - 1 }, (_, k) => others[(start + k * 7) % others.length]);
  const choices = [...new Set([...wrong, finding.code])].sort();
  const right = judgePlan(planOf({ says: mistake.right })).find((r) => r.id === 'in')!;
  return { case: mistake, report, choices, finding, right: { says: mistake.right, report: right } };
}
