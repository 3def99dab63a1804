/**
 * The time by the server's clock: phones are minutes off, and what several people did is told in the order in which it was done.
 * Each answer of the server says what time it is there; the one that came back fastest is believed.
 */
let ahead = 0;
let trip = Number.POSITIVE_INFINITY;

/** What an answer tells of the server's clock. Whole seconds, so half of one is added. @param sent when it was asked, by the clock here */
export function hearClock(answer: Response, sent: number): void {
  const there = Date.parse(answer.headers.get('date') ?? '');
  const now = Date.now();
  if (Number.isNaN(there)) return;
  // A clock that was put right here makes the old figure wrong: a difference that no way explains is taken at once.
  const off = there + 500 - (sent + now) / 2;
  if (now - sent > trip && Math.abs(off - ahead) < 1500 + (now - sent)) return;
  trip = now - sent;
  // Less than the second that it is told to is no difference.
  ahead = Math.abs(off) < 1000 ? 0 : off;
}

/** Now, by the server's clock, as far as it is known; milliseconds since 1970. */
export const serverNow = (): number => Date.now() + ahead;
