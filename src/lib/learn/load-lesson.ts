import { isLesson } from '$core/lessons/lesson-ids';
import type { LessonId } from '$core/lessons/types';
import { lessons as says } from '$core/words/screen/lessons';
import { error } from '@sveltejs/kit';

/** The lesson that an address names. @throws 404 where there is none of that name */
export function loadLesson({ params }: { params: { lesson: string } }): { readonly lesson: LessonId } {
  if (!isLesson(params.lesson)) error(404, says.noSuch);
  return { lesson: params.lesson };
}
