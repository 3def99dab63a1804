import type { Reading } from '$core/check/reading';

/** A reading with who read it; null for one's own that is still on its way. */
export interface Read extends Reading {
  readonly by: string | null;
}

/** A picture of a line. */
export interface PhotoOf {
  readonly id: string;
  readonly lineId: string;
  readonly at: string;
}
/** One that is still on its way, with the picture itself. */
export interface PhotoHere extends PhotoOf {
  /** JPEG as a data URL. */
  readonly data: string;
}
