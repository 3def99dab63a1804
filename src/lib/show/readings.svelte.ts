import { uuid } from '$lib/uuid';
import type { Reading } from '$core/check/reading';
import { loadPhotos, loadReadings, savePhotos, saveReadings } from './store';
import type { PhotoHere, PhotoOf, Read } from './read';
import { READINGS } from './batch';

/** Least and longest wait before a message is tried again, milliseconds. */
const FIRST_WAIT = 500;
const LONGEST_WAIT = 8000;

/** Readings of a show: kept here at once, sent when the network is there, and heard of from others as they come. */
export class Readings {
  /** Newest first, one's own unsent ones before all others. */
  list = $state.raw<readonly Read[]>([]);
  /** Pictures, newest first; those still on their way have the picture with them. */
  photos = $state.raw<readonly (PhotoOf | PhotoHere)[]>([]);
  /** How many readings and pictures are not on the server yet. */
  waiting = $state(0);
  /** They wait because nobody is signed in here any more. */
  signedOut = $state(false);
  #queue: Reading[] = [];
  #pictures: PhotoHere[] = [];
  #sending = false;
  #fetching = false;
  /** Something has changed while a fetch was under way. */
  #again = false;
  #wait = FIRST_WAIT;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #live: EventSource | undefined;
  #closed = false;

  constructor(
    readonly showId: string,
    readings: readonly Read[],
    photos: readonly PhotoOf[]
  ) {
    this.list = readings;
    this.photos = photos;
  }

  /** Takes up what an earlier visit could not send, and listens to others. */
  async open(): Promise<void> {
    const kept = await loadReadings(this.showId);
    const known = new Set(this.list.map((r) => r.id));
    for (const r of kept) if (!known.has(r.id)) this.#take(r);
    const seen = new Set(this.photos.map((p) => p.id));
    for (const p of await loadPhotos(this.showId)) if (!seen.has(p.id)) this.#hold(p);
    this.waiting = this.#queue.length + this.#pictures.length;
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

  /** Done once it is in the browser's own store: from then on neither a reload nor a flat battery loses it. */
  async add(reading: Reading): Promise<void> {
    this.#take(reading);
    await this.#keep();
    void this.#send();
  }

  /** Adds a picture of a line. @param data JPEG as a data URL */
  async addPhoto(lineId: string, data: string): Promise<void> {
    this.#hold({ id: uuid(), lineId, at: new Date().toISOString(), data });
    await this.#keep();
    void this.#send();
  }

  /** The newest reading of a line, of a real desk or of the stand-in. */
  of(lineId: string, practice: boolean): Read | undefined {
    return this.list.find((r) => r.lineId === lineId && r.practice === practice);
  }

  #take(reading: Reading): void {
    this.#queue.push(reading);
    this.list = [{ ...reading, by: null }, ...this.list];
  }

  #hold(photo: PhotoHere): void {
    this.#pictures.push(photo);
    this.photos = [photo, ...this.photos];
  }

  readonly #now = (): void => {
    this.#wait = FIRST_WAIT;
    void this.#send();
  };

  /** Into the browser's own store, and only then told as kept; without one a reading lives as long as the page. */
  async #keep(): Promise<void> {
    await Promise.all([saveReadings(this.showId, this.#queue), savePhotos(this.showId, this.#pictures)]).catch(
      () => undefined
    );
    this.waiting = this.#queue.length + this.#pictures.length;
  }

  async #send(): Promise<void> {
    if (this.#sending || this.#closed || this.#queue.length + this.#pictures.length === 0) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    const some = this.#queue.slice(0, READINGS);
    // Numbers go before pictures: they are small, and somebody may wait for them.
    const [picture] = some.length > 0 ? [] : this.#pictures;
    const sent = await (picture ? this.#sendPicture(picture) : this.#sendReadings(some));
    this.#sending = false;
    if (this.#closed) return;
    if (!sent) {
      this.#timer = setTimeout(() => void this.#send(), this.#wait);
      this.#wait = Math.min(this.#wait * 2, LONGEST_WAIT);
      return;
    }
    this.#wait = FIRST_WAIT;
    this.#queue = this.#queue.slice(some.length);
    if (picture) this.#pictures = this.#pictures.filter((p) => p !== picture);
    await this.#keep();
    void this.#fetch();
    void this.#send();
  }

  async #sendReadings(readings: readonly Reading[]): Promise<boolean> {
    const answer = await fetch(`/api/shows/${this.showId}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ readings })
    }).catch(() => null);
    return this.#taken(answer);
  }

  #taken(answer: Response | null): boolean {
    this.signedOut = answer?.status === 401;
    return answer?.ok ?? false;
  }

  async #sendPicture({ id, lineId, data }: PhotoHere): Promise<boolean> {
    const bytes = Uint8Array.from(atob(data.slice(data.indexOf(',') + 1)), (c) => c.charCodeAt(0));
    const answer = await fetch(`/api/shows/${this.showId}/photos/${id}?line=${lineId}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg' },
      body: bytes
    }).catch(() => null);
    return this.#taken(answer);
  }

  /** One at a time: an answer that comes late must not stand in front of a newer one. What happens meanwhile is fetched after it. */
  async #fetch(): Promise<void> {
    if (this.#fetching) {
      this.#again = true;
      return;
    }
    this.#fetching = true;
    do {
      this.#again = false;
      const there = await fetch(`/api/shows/${this.showId}/readings`)
        .then((answer) => (answer.ok ? (answer.json() as Promise<{ readings: Read[]; photos: PhotoOf[] }>) : null))
        .catch(() => null);
      if (this.#closed) return;
      if (there) this.#put(there.readings, there.photos);
    } while (this.#again);
    this.#fetching = false;
  }

  /** What the server has, with what is still on its way from here in front. */
  #put(readings: readonly Read[], photos: readonly PhotoOf[]): void {
    const there = new Set(readings.map((r) => r.id));
    const own = this.#queue.filter((r) => !there.has(r.id)).reverse();
    this.list = [...own.map((r) => ({ ...r, by: null })), ...readings];
    const seen = new Set(photos.map((p) => p.id));
    this.photos = [...this.#pictures.filter((p) => !seen.has(p.id)).reverse(), ...photos];
  }
}
