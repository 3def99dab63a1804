import { LESSON_IDS, type LessonId } from './types';

export const isLesson = (id: string): id is LessonId => (LESSON_IDS as readonly string[]).includes(id);
