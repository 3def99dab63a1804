import { serverNow } from '$lib/live/clock';
import { type MergedReading, mergeReadings } from '$core/linecheck/merge';
import { type Reading, ReadingSchema } from '$core/linecheck/reading';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { type Outcome, outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { READINGS } from '$lib/protocol/limits';
import { type PhotoHere, PhotoHereSchema, type PhotoOf, type ReadingBy } from '$lib/protocol/readings';
import { bytesOf } from '$lib/ui/shrink';
import { uuid } from '$lib/uuid';

interface There {
  readonly readings: readonly ReadingBy[];
  readonly photos: readonly PhotoOf[];
}

/** Readings of a show: kept here at once, sent when the network is there, and heard of from others as they come. */
export class ReadingLog {
  #there = $state.raw<There>({ readings: [], photos: [] });
  readonly #readings: Lane<Reading>;
  readonly #pictures: Lane<PhotoHere>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    readonly showId: string,
    there: There,
    rows: RowStore
  ) {
    this.#there = there;
    const idOf = ({ id }: { id: string }): string => id;
    this.#readings = new Lane<Reading>({
      ...{ name: `readings:${showId}`, rows, idOf, most: READINGS },
      read: (raw) => ReadingSchema.safeParse(raw).data ?? null,
      send: (readings) => this.#sendReadings(readings)
    });
    this.#pictures = new Lane<PhotoHere>({
      ...{ name: `photos:${showId}`, rows, idOf, most: 1 },
      read: (raw) => PhotoHereSchema.safeParse(raw).data ?? null,
      send: ([photo]) => this.#sendPicture(photo)
    });
  }

  /** Newest first, one's own unsent ones before all others. */
  readonly list = $derived.by((): readonly ReadingBy[] => {
    const there = new Set(this.#there.readings.map((r) => r.id));
    const own = this.#readings.waiting.filter((r) => !there.has(r.id)).map((r) => ({ ...r, by: null }));
    return [...own.reverse(), ...this.#there.readings];
  });
  /** Pictures, newest first; those still on their way have the picture with them. */
  readonly photos = $derived.by((): readonly (PhotoOf | PhotoHere)[] => {
    const there = new Set(this.#there.photos.map((p) => p.id));
    return [...this.#pictures.waiting.filter((p) => !there.has(p.id)).reverse(), ...this.#there.photos];
  });
  readonly #merged = $derived.by((): ReadonlyMap<string, MergedReading> => {
    const lines = new Map<string, ReadingBy[]>();
    for (const r of this.list) {
      if (r.last !== undefined) continue;
      const key = `${r.lineId} ${r.practice}`;
      lines.set(key, [...(lines.get(key) ?? []), r]);
    }
    return new Map([...lines].map(([key, readings]) => [key, mergeReadings(readings)!]));
  });
  /** How a line was at the show that this one was copied from; null where that is not known. */
  lastOf(lineId: string): { readonly reading: MergedReading; readonly show: string } | null {
    const of = this.list.filter((r) => r.last !== undefined && r.lineId === lineId);
    const reading = mergeReadings(of);
    return reading ? { reading, show: of[0].last! } : null;
  }
  /** How many readings and pictures are not on the server yet, and kept here until they are. */
  get waiting(): number {
    return this.#readings.kept + this.#pictures.kept;
  }
  /** They wait because nobody is signed in here any more. */
  get signedOut(): boolean {
    return [this.#readings, this.#pictures].some((lane) => lane.state === 'signed-out');
  }
  /** What the server will not take, with why. */
  get refused(): readonly { readonly why: string; readonly item: object; readonly drop: () => void }[] {
    const of = <T extends object>(lane: Lane<T>) =>
      lane.aside.map(({ item, why }) => ({ why, item, drop: () => lane.letGo(item) }));
    return [...of(this.#readings), ...of(this.#pictures)];
  }
  /** What all readings of a line together say, of a real desk or of the stand-in. */
  of(lineId: string, practice: boolean): MergedReading | undefined {
    return this.#merged.get(`${lineId} ${practice}`);
  }

  /** Takes up what an earlier visit could not send, and listens to others. */
  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'readings', ({ show }) => show === this.showId);
    await Promise.all([this.#readings.resume(), this.#pictures.resume()]);
  }
  close(): void {
    this.#readings.close();
    this.#pictures.close();
    this.#catching.close();
  }

  /** Done once it is in the browser's own store: from then on neither a reload nor a flat battery loses it. */
  add(reading: Reading): Promise<void> {
    return this.#readings.add(reading);
  }
  /** Adds a picture of a line. @param data JPEG as a data URL */
  addPhoto(lineId: string, data: string): Promise<void> {
    return this.#pictures.add({ id: uuid(), lineId, at: new Date(serverNow()).toISOString(), data });
  }

  async #sendReadings(readings: readonly Reading[]): Promise<Outcome> {
    const answer = await request('POST', `/api/shows/${this.showId}/readings`, JSON.stringify({ readings }));
    const ids = readings.map((r) => r.id);
    // Before they leave the outbox they are in the list of the server: nothing blinks.
    if (answer?.ok) await this.#fetch().catch(() => undefined);
    return outcomeOf(answer, ids);
  }
  async #sendPicture({ id, lineId, data }: PhotoHere): Promise<Outcome> {
    const path = `/api/shows/${this.showId}/photos/${id}?line=${lineId}`;
    const answer = await request('PUT', path, bytesOf(data), 'image/jpeg');
    if (answer?.ok) await this.#fetch().catch(() => undefined);
    return outcomeOf(answer, [id]);
  }

  async #fetch(): Promise<void> {
    const answer = await request('GET', `/api/shows/${this.showId}/readings`, undefined);
    if (answer?.ok) this.#there = (await answer.json()) as There;
  }
}
