import { ui as says } from '$core/words/screen/ui';
/** What became of a request that changes something. */
export type Sent<T> =
  | { readonly ok: true; readonly answer: T }
  | { readonly ok: false; readonly status: number; readonly message: string; readonly faults?: readonly string[] };

/** Sends a change as JSON. Never throws: what went wrong is told in words, with where the log has it. */
export async function send<T = unknown>(method: string, path: string, body?: unknown): Promise<Sent<T>> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body)
    });
    const answer = (await response.json().catch(() => ({}))) as T & {
      message?: string;
      id?: string;
      faults?: string[];
    };
    if (response.ok) return { ok: true, answer };
    const { message = says.thatDidNotWork, id, faults } = answer;
    return {
      ok: false,
      status: response.status,
      message: response.status === 500 ? says.log(message, id ?? '–') : message,
      faults
    };
  } catch {
    return { ok: false, status: 0, message: says.theServerDoesNotAnswerNothing };
  }
}
