import { isLesson } from '$core/lessons/lesson-ids';
import type { LessonId } from '$core/lessons/types';

/** Which lessons are done: a person's own, in this browser and nowhere else. */
const KEPT = 'guanxi-lessons';

export class Progress {
  done = $state.raw<ReadonlySet<LessonId>>(new Set());

  /** Reads what was kept, where there is a browser that keeps. */
  read(): void {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '[]');
      if (Array.isArray(kept)) this.done = new Set(kept.filter((id) => typeof id === 'string').filter(isLesson));
    } catch {
      // Nothing kept, or nothing that can be read.
    }
  }
  add(id: LessonId): void {
    this.#keep(new Set([...this.done, id]));
  }
  forget(): void {
    this.#keep(new Set());
  }
  #keep(done: ReadonlySet<LessonId>): void {
    this.done = done;
    try {
      localStorage.setItem(KEPT, JSON.stringify([...done]));
    } catch {
      // A browser that keeps nothing teaches all the same.
    }
  }
}
