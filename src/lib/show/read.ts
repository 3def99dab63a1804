import type { Reading } from '$core/check/reading';

/** A reading with who read it; null for one's own that is still on its way. */
export interface Read extends Reading {
  readonly by: string | null;
}
