/** What became of a message. */
export type Outcome =
  /** Taken in: these need not be sent again. */
  | { readonly kind: 'taken'; readonly ids: readonly string[] }
  /** One of them can never be taken; the others may. */
  | { readonly kind: 'refused'; readonly id: string; readonly why: string }
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
  type = 'application/json'
): Promise<Response | null> {
  try {
    return await fetch(path, {
      method,
      headers: { 'content-type': type },
      body,
      signal: AbortSignal.timeout(PATIENCE)
    });
  } catch {
    return null;
  }
}

/**
 * What an answer means for what was sent.
 * @param taken ids that an answer without a fault takes in
 * @param first what a refusal is about
 */
export async function outcomeOf(answer: Response | null, taken: readonly string[], first: string): Promise<Outcome> {
  if (!answer || answer.status >= 500 || answer.status === 408 || answer.status === 429) return { kind: 'later' };
  if (answer.ok) return { kind: 'taken', ids: taken };
  if (answer.status === 401) return { kind: 'signed-out' };
  if (answer.status === 404) return { kind: 'gone' };
  const { message } = (await answer.json().catch(() => ({}))) as { message?: string };
  return { kind: 'refused', id: first, why: message ?? 'The server refused it.' };
}
