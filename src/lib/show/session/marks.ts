import type { Edit } from '$core/plan/schema';

/** What somebody else has done to a line a moment ago. */
export interface Mark {
  /** Null where that is not told. */
  readonly by: string | null;
  readonly label: Edit['label'];
  /** When it was heard of here, milliseconds. */
  readonly at: number;
}

/** A mark is news for so long, milliseconds. */
export const NEWS = 60_000;

/** Marks with newer ones; those that are news no longer are left out. */
export function withMarks(
  marks: ReadonlyMap<string, Mark>,
  done: readonly { by: string | null; edit: Edit; lines: readonly string[] }[],
  now = Date.now()
): ReadonlyMap<string, Mark> {
  const next = new Map([...marks].filter(([, mark]) => now - mark.at < NEWS));
  for (const { by, edit, lines } of done) for (const line of lines) next.set(line, { by, label: edit.label, at: now });
  return next;
}
