import { LESSON_OF } from '$core/lessons/lesson-of';
import { type LineReport, problems } from '$core/judge/judge';
import type { Code } from '$core/judge/types';

/** Where a finding of a line is explained, on that line. */
export const lessonAt = (showId: string, lineId: string, code: Code): string =>
  `/show/${showId}/learn/${LESSON_OF[code]}?line=${lineId}`;

/** The lesson of the worst that is found on a line; of one that is clean, of what it begins with. */
export const lessonFor = (showId: string, lineId: string, report: LineReport | undefined): string =>
  lessonAt(showId, lineId, (report && problems(report)[0]?.code) ?? 'bridges');
