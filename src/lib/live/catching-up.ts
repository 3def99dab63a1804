import type { LiveEvent, LiveKind } from '$lib/protocol/live';
import type { Feed } from './feed';

/**
 * Fetches what is new, one at a time: an answer that comes late must not stand in front of a newer one, and what happens
 * meanwhile is fetched after it.
 */
export class CatchingUp {
  #busy = false;
  #again = false;
  #closed = false;
  readonly #ends: (() => void)[] = [];
  constructor(readonly fetch: () => Promise<void>) {}

  readonly now = async (): Promise<void> => {
    this.#again = true;
    if (this.#busy) return;
    this.#busy = true;
    while (this.#again && !this.#closed) {
      this.#again = false;
      // Without an answer one stays with what there is: the feed comes back, and asks anew.
      await this.fetch().catch(() => undefined);
    }
    this.#busy = false;
  };
  /** Fetches whenever the feed tells of it, and when the feed comes back: something may have been missed. */
  follow<K extends LiveKind>(feed: Feed, kind: K, isIt: (event: Extract<LiveEvent, { kind: K }>) => boolean): void {
    this.#ends.push(
      feed.on(kind, (event) => void (isIt(event) && this.now())),
      feed.onOpen(() => void this.now())
    );
  }
  close(): void {
    this.#closed = true;
    this.#ends.forEach((end) => end());
  }
}
