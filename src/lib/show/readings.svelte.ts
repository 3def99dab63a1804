import type { Reading } from '$core/check/reading';
import { loadReadings, saveReadings } from './store';
import type { Read } from './read';
import { READINGS } from './batch';

/** Least and longest wait before a message is tried again, milliseconds. */
const FIRST_WAIT = 500;
const LONGEST_WAIT = 8000;

/** Readings of a show: kept here at once, sent when the network is there, and heard of from others as they come. */
export class Readings {
  /** Newest first, one's own unsent ones before all others. */
  list = $state.raw<readonly Read[]>([]);
  /** How many are not on the server yet. */
  waiting = $state(0);
  #queue: Reading[] = [];
  #sending = false;
  #wait = FIRST_WAIT;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #live: EventSource | undefined;
  #closed = false;

  constructor(
    readonly showId: string,
    readings: readonly Read[]
  ) {
    this.list = readings;
  }

  /** Takes up what an earlier visit could not send, and listens to others. */
  async open(): Promise<void> {
    const kept = await loadReadings(this.showId);
    const known = new Set(this.list.map((r) => r.id));
    for (const r of kept) if (!known.has(r.id)) this.#take(r);
    window.addEventListener('online', this.#now);
    this.#live = new EventSource(`/api/shows/${this.showId}/live`);
    this.#live.addEventListener('readings', () => void this.#fetch());
    // A connection that comes back may have missed something.
    this.#live.addEventListener('open', () => void this.#fetch());
    void this.#send();
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
    window.removeEventListener('online', this.#now);
    this.#live?.close();
  }

  add(reading: Reading): void {
    this.#take(reading);
    void this.#keep().then(() => this.#send());
  }

  /** The newest reading of a line, of a real desk or of the stand-in. */
  of(lineId: string, practice: boolean): Read | undefined {
    return this.list.find((r) => r.lineId === lineId && r.practice === practice);
  }

  #take(reading: Reading): void {
    this.#queue.push(reading);
    this.waiting = this.#queue.length;
    this.list = [{ ...reading, by: null }, ...this.list];
  }

  readonly #now = (): void => {
    this.#wait = FIRST_WAIT;
    void this.#send();
  };

  /** In the browser's own store; without one a reading lives as long as the page. */
  #keep = (): Promise<void> => saveReadings(this.showId, this.#queue).catch(() => undefined);

  async #send(): Promise<void> {
    if (this.#sending || this.#closed || this.#queue.length === 0) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    const some = this.#queue.slice(0, READINGS);
    const answer = await fetch(`/api/shows/${this.showId}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ readings: some })
    }).catch(() => null);
    this.#sending = false;
    if (this.#closed) return;
    if (!answer?.ok) {
      this.#timer = setTimeout(() => void this.#send(), this.#wait);
      this.#wait = Math.min(this.#wait * 2, LONGEST_WAIT);
      return;
    }
    this.#wait = FIRST_WAIT;
    this.#queue = this.#queue.slice(some.length);
    this.waiting = this.#queue.length;
    await this.#keep();
    void this.#send();
  }

  async #fetch(): Promise<void> {
    const answer = await fetch(`/api/shows/${this.showId}/readings`).catch(() => null);
    if (!answer?.ok || this.#closed) return;
    const { readings } = (await answer.json()) as { readings: Read[] };
    const there = new Set(readings.map((r) => r.id));
    const own = this.#queue.filter((r) => !there.has(r.id)).reverse();
    this.list = [...own.map((r) => ({ ...r, by: null })), ...readings];
  }
}
