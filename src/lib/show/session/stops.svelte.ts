import { CatchingUp } from '$lib/live/catching-up';
import { serverNow } from '$lib/live/clock';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { type Clear, ClearSchema, type OpenStop, type Stop, StopSchema } from '$lib/protocol/stops';
import { uuid } from '$lib/uuid';
import * as z from '$core/text/zod';

const ItemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('call'), id: z.uuid(), stop: StopSchema }),
  z.strictObject({ kind: z.literal('clear'), id: z.uuid(), of: z.uuid(), clear: ClearSchema })
]);
type Item = z.infer<typeof ItemSchema>;

/** Stops of a show as everybody sees them: called here at once, whatever the network does, and heard of from others. */
export class Stops {
  #there = $state.raw<readonly OpenStop[]>([]);
  readonly lane: Lane<Item>;
  readonly #catching = new CatchingUp(() => this.#fetch());
  readonly #at: string;

  /** @param member whoever is of the crew calls and clears for all; a stranger with a link for themselves */
  constructor(
    readonly showId: string,
    rows: RowStore,
    readonly member: boolean
  ) {
    this.#at = `/api/shows/${showId}/stops`;
    this.lane = new Lane<Item>({
      name: `stops:${showId}`,
      rows,
      idOf: ({ id }) => id,
      most: 1,
      read: (raw) => ItemSchema.safeParse(raw).data ?? null,
      send: async ([item]) => {
        const answer = await (item.kind === 'call'
          ? request('POST', this.#at, JSON.stringify(item.stop))
          : request('PUT', `${this.#at}/${item.of}`, JSON.stringify(item.clear)));
        if (answer?.ok) await this.#fetch();
        return outcomeOf(answer, [item.id]);
      }
    });
  }

  /** Called here and not taken by the server: it stands on this device all the same. */
  readonly #own = $derived.by(() =>
    this.lane.aside.flatMap(({ item }) => (item.kind === 'call' ? [{ ...item.stop, by: null }] : []))
  );
  /** What nobody has cleared, newest first: the server's, and one's own that are still on their way. */
  readonly open = $derived.by((): readonly OpenStop[] => {
    const { waiting } = this.lane;
    const cleared = new Set(waiting.flatMap((i) => (i.kind === 'clear' ? [i.of] : [])));
    const there = new Set(this.#there.map((s) => s.id));
    const own = waiting.flatMap((i) => (i.kind === 'call' && !there.has(i.stop.id) ? [{ ...i.stop, by: null }] : []));
    return [...this.#own, ...own.reverse(), ...this.#there].filter((s) => !cleared.has(s.id));
  });

  async follow(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'stops', ({ show }) => show === this.showId);
    await Promise.all([this.lane.resume(), this.#catching.now()]);
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }

  mayClear({ id }: Stop): boolean {
    return this.member || this.#own.some((s) => s.id === id);
  }
  call(lineId: string | null): void {
    const stop: Stop = { id: uuid(), lineId, at: Math.round(serverNow()) };
    void this.lane.add({ kind: 'call', id: stop.id, stop });
  }
  /** Clears all that stand: they were one thing to whoever looked at it. */
  clear(clear: Clear): void {
    this.lane.settle(this.#own.map((s) => s.id));
    if (this.member) for (const { id } of this.open) void this.lane.add({ kind: 'clear', id: uuid(), of: id, clear });
  }

  async #fetch(): Promise<void> {
    const answer = await request('GET', this.#at, undefined);
    if (answer?.ok) this.#there = ((await answer.json()) as { stops: OpenStop[] }).stops;
  }
}
