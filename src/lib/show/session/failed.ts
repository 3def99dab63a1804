import { cutText, wellFormed } from '$core/text/well-formed';
import { send } from '$lib/ui/send';
import { uuid } from '$lib/uuid';

/** Something that could not be computed: never taken for clean, for nothing, or for none. */
export class Failed {
  constructor(
    /** Under which the server's log has it. */
    readonly id: string
  ) {}
}
/** Null while it is being computed. */
export type Computed<T> = T | null | Failed;

/** Puts a failure of the computing into the server's log; what was being computed is told by name. */
export function failedBy(what: string, error: unknown): Failed {
  const failed = new Failed(uuid().slice(0, 8));
  const text = error instanceof Error ? (error.stack ?? error.message) : String(error);
  // Without a network it is on screen all the same.
  void send('POST', '/api/trouble', { id: failed.id, what, error: cutText(wellFormed(text), 4000) });
  return failed;
}
/** What a promise of the computing was rejected with. */
export const asFailed = (reason: unknown, what: string): Failed =>
  reason instanceof Failed ? reason : failedBy(what, reason);
