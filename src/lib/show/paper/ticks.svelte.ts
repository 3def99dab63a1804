import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { type Tick, TickSchema } from '$lib/protocol/shows';
import { uuid } from '$lib/uuid';
import * as z from '$core/text/zod';

const OnTheWay = z.extend(TickSchema, { id: z.uuid() });
type OnTheWay = Tick & { id: string };

/** What is ticked off the lists of a show, here and by others. */
export class Ticks {
  #there = $state.raw<readonly string[]>([]);
  readonly lane: Lane<OnTheWay>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    readonly showId: string,
    there: readonly string[],
    rows: RowStore
  ) {
    this.#there = there;
    this.lane = new Lane<OnTheWay>({
      name: `ticks:${showId}`,
      rows,
      idOf: ({ id }) => id,
      most: 1,
      read: (raw) => OnTheWay.safeParse(raw).data ?? null,
      send: async ([{ id, key, on }]) => {
        const answer = await request('PUT', `/api/shows/${showId}/ticks`, JSON.stringify({ key, on }));
        if (answer?.ok) await this.#fetch();
        return outcomeOf(answer, [id]);
      }
    });
  }

  readonly set = $derived.by((): ReadonlySet<string> => {
    const set = new Set(this.#there);
    for (const { key, on } of this.lane.waiting) {
      if (on) set.add(key);
      else set.delete(key);
    }
    return set;
  });

  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'ticks', ({ show }) => show === this.showId);
    await this.lane.resume();
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }
  put(key: string, on: boolean): Promise<void> {
    return this.lane.add({ id: uuid(), key, on });
  }

  async #fetch(): Promise<void> {
    const answer = await request('GET', `/api/shows/${this.showId}/ticks`, undefined);
    if (answer?.ok) this.#there = ((await answer.json()) as { ticks: string[] }).ticks;
  }
}
