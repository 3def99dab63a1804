import { nameKey } from '$core/text/names';
import { request } from '$lib/outbox/outcome';
import type { Remembered } from '$lib/protocol/log';
import { log as says } from '$core/words/screen/log';
import type { Completion } from '$core/reader/complete';

/** Players and instruments of earlier shows, by name: the line as it was said when it last worked. */

const MOST = 3;
/** Fewer letters than these are the beginning of anything. */
const LEAST = 2;

/** @returns none where the server is not there: nothing is offered then */
export async function fetchRemembered(showId: string): Promise<readonly Remembered[]> {
  const answer = await request('GET', `/api/shows/${showId}/worked?names`, undefined);
  return answer?.ok ? ((await answer.json()) as { remembered: Remembered[] }).remembered : [];
}

/** Lines whose name begins as what is typed, as ways to go on; none once more than a name is typed. @param here names of lines that the show has */
export function offered(text: string, all: readonly Remembered[], here: readonly string[]): Completion[] {
  const key = nameKey(text);
  if (key.length < LEAST || /[,:;\d]/.test(text)) return [];
  const there = new Set(here.map(nameKey));
  return all
    .filter(({ name }) => nameKey(name).startsWith(key) && !there.has(nameKey(name)))
    .slice(0, MOST)
    .map(({ said, place }) => ({ text: said, role: says.asAt(place), from: 0, to: text.length }));
}
