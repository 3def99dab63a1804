import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { type TraceRecord, TraceRecordSchema } from '$lib/protocol/trace-record';

export type Found = TraceRecord & { readonly by: string | null };

/** What was found behind noises of a show, newest first: written here, kept until it is on the server, heard of from others. */
export class TraceLog {
  #there = $state.raw<readonly Found[]>([]);
  readonly lane: Lane<TraceRecord>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    readonly showId: string,
    there: readonly Found[],
    rows: RowStore
  ) {
    this.#there = there;
    this.lane = new Lane<TraceRecord>({
      name: `traces:${showId}`,
      rows,
      idOf: ({ id }) => id,
      most: 1,
      read: (raw) => TraceRecordSchema.safeParse(raw).data ?? null,
      send: async ([record]) => {
        const answer = await request('POST', `/api/shows/${showId}/traces`, JSON.stringify(record));
        if (answer?.ok) await this.#fetch();
        return outcomeOf(answer, [record.id]);
      }
    });
  }

  readonly list = $derived.by((): readonly Found[] => {
    const there = new Set(this.#there.map((r) => r.id));
    const own = this.lane.waiting.filter((r) => !there.has(r.id)).map((r) => ({ ...r, by: null }));
    return [...own.reverse(), ...this.#there];
  });

  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'traces', ({ show }) => show === this.showId);
    await this.lane.resume();
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }
  write(record: TraceRecord): Promise<void> {
    return this.lane.add(record);
  }

  async #fetch(): Promise<void> {
    const answer = await request('GET', `/api/shows/${this.showId}/traces`, undefined);
    if (answer?.ok) this.#there = ((await answer.json()) as { traces: Found[] }).traces;
  }
}
