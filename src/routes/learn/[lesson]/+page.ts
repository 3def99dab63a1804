export { loadLesson as load } from '$lib/learn/load-lesson';
