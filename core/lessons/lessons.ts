import { GROUND_LESSONS } from './ground-lessons';
import { LEVEL_LESSONS } from './level-lessons';
import type { LessonId, LineLesson } from './types';

/** The lessons that are about a line. */

const LINES = new Map([...LEVEL_LESSONS, ...GROUND_LESSONS].map((l) => [l.id as LessonId, l]));
/** Null for the one that is about people and not about a line. */
export const lineLesson = (id: LessonId): LineLesson | null => LINES.get(id) ?? null;
