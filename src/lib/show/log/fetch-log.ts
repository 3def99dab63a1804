import { request } from '$lib/outbox/outcome';
import type { LogPage } from '$lib/protocol/log';
import type { LogEntry } from '$core/log/entry';

/**
 * A page of the log.
 * @param ask as in `LogAskSchema`; what is empty is not asked for
 * @param after the entry that it goes on from, to older ones
 * @returns null where the server could not be asked
 */
export async function fetchLog(ask: Readonly<Record<string, string>>, after?: LogEntry): Promise<LogPage | null> {
  const words = new URLSearchParams({ ...ask, ...(after ? { before: `${after.at} ${after.id}` } : {}) });
  const answer = await request('GET', `/api/log?${words.toString()}`, undefined);
  return answer?.ok ? ((await answer.json()) as LogPage) : null;
}
