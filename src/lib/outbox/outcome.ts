import { hearClock } from '$lib/live/clock';
import { outbox as says } from '$core/words/screen/outbox';

/** What became of a message. */
export type Outcome =
  /** Taken in: these need not be sent again. */
  | { readonly kind: 'taken'; readonly ids: readonly string[] }
  /** One of them can never be taken, the others may; `id` is null where the answer does not tell which. */
  | { readonly kind: 'refused'; readonly id: string | null; readonly why: string }
  /** The server fell over one of them, and may again. */
  | { readonly kind: 'failed'; readonly why: string }
  /** No answer, or one that says to try again. */
  | { readonly kind: 'later' }
  | { readonly kind: 'signed-out' }
  /** What it belongs to is not there any more. */
  | { readonly kind: 'gone' };

/** A request that hangs longer than this counts as unanswered, milliseconds. */
const PATIENCE = 20_000;

/** A request of the outbox. Never throws: null where there was no answer. */
export async function request(
  method: string,
  path: string,
  body: BodyInit | undefined,
  type = 'application/json',
  more: Readonly<Record<string, string>> = {}
): Promise<Response | null> {
  try {
    const sent = Date.now();
    const answer = await fetch(path, {
      method,
      headers: { 'content-type': type, ...more },
      body,
      signal: AbortSignal.timeout(PATIENCE)
    });
    hearClock(answer, sent);
    return answer;
  } catch {
    return null;
  }
}

/**
 * What an answer means for what was sent.
 * @param ids of what was sent; an answer without a fault takes all of them in
 */
export async function outcomeOf(answer: Response | null, ids: readonly string[]): Promise<Outcome> {
  if (!answer || answer.status > 500 || answer.status === 408 || answer.status === 429) return { kind: 'later' };
  if (answer.ok) return { kind: 'taken', ids };
  if (answer.status === 401) return { kind: 'signed-out' };
  if (answer.status === 404) return { kind: 'gone' };
  const { message, id } = (await answer.json().catch(() => ({}))) as { message?: string; id?: string };
  const why = (message ?? says.theServerRefusedIt) + (id ? ` (${id})` : '');
  if (answer.status === 500) return { kind: 'failed', why };
  return { kind: 'refused', id: ids.length === 1 ? ids[0] : null, why };
}
