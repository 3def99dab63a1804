import { isLesson } from '$core/lessons/lesson-ids';
import { lessons as says } from '$core/words/screen/lessons';
import { error } from '@sveltejs/kit';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params }) => {
  if (!isLesson(params.lesson)) error(404, says.noSuch);
  return { lesson: params.lesson };
};
