import { serverNow } from '$lib/live/clock';
import { type LogEntry, type TypedEntry, TypedSchema } from '$core/log/entry';
import { readTypedEntry, type Nameable } from '$core/log/typed';
import { CatchingUp } from '$lib/live/catching-up';
import type { Feed } from '$lib/live/feed';
import { Lane } from '$lib/outbox/lane.svelte';
import { outcomeOf, request } from '$lib/outbox/outcome';
import type { RowStore } from '$lib/outbox/rows';
import { ENTRIES, type LogPage } from '$lib/protocol/log';
import { uuid } from '$lib/uuid';
import { fetchLog } from './fetch-log';

/** An entry on screen; one's own may still be on its way. */
export interface Shown extends LogEntry {
  readonly waiting: boolean;
}
/** Which entries are wanted; empty is all of them. */
export interface Wanted {
  readonly q: string;
  readonly kind: string;
}

/** The log of a show: what is typed here is kept at once and sent when the network is there; what others do is heard of. */
export class LogBook {
  #pages = $state.raw<readonly LogEntry[]>([]);
  more = $state(false);
  /** The server could not be asked. */
  unheard = $state(false);
  wanted = $state.raw<Wanted>({ q: '', kind: '' });
  readonly lane: Lane<TypedEntry>;
  readonly #catching = new CatchingUp(() => this.#fetch());

  constructor(
    readonly showId: string,
    readonly place: string,
    there: LogPage,
    rows: RowStore,
    readonly lines: () => readonly Nameable[]
  ) {
    this.#take(there);
    this.lane = new Lane<TypedEntry>({
      name: `log:${showId}`,
      rows,
      idOf: ({ id }) => id,
      most: ENTRIES,
      read: (raw) => TypedSchema.safeParse(raw).data ?? null,
      send: async (entries) => {
        const answer = await request('POST', `/api/shows/${showId}/log`, JSON.stringify({ entries }));
        const ids = entries.map((e) => e.id);
        if (answer?.ok) await this.#fetch().catch(() => undefined);
        return outcomeOf(answer, ids);
      }
    });
  }

  /** Newest first, one's own unsent ones in their place; what corrects an entry stands with it. */
  readonly list = $derived.by((): readonly Shown[] => {
    const there = new Set(this.#pages.map((e) => e.id));
    const own = this.lane.waiting.filter((t) => !there.has(t.id));
    const fresh = own.filter((t) => t.of === null).map((t) => this.#shown(t));
    const corrected = (e: LogEntry): Shown => {
      const mine = own.filter((t) => t.of === e.id).map(({ at, text }) => ({ at, by: null, text }));
      const known = new Set(e.corrections.map((c) => c.text));
      return { ...e, corrections: [...e.corrections, ...mine.filter((c) => !known.has(c.text))], waiting: false };
    };
    const all = [...fresh.reverse(), ...this.#pages.map(corrected)];
    return all.sort((a, b) => (a.at === b.at ? 0 : a.at < b.at ? 1 : -1));
  });
  /** The newest take that was logged. */
  readonly lastTake = $derived(this.list.find((e) => e.facts.take !== undefined)?.facts ?? null);

  #shown(t: TypedEntry): Shown {
    const { kind, tags, facts } = readTypedEntry(t.text, this.lines(), t.lineId);
    const { id, at, text, revision } = t;
    return {
      ...{ id, at, kind, text, tags, facts: { ...facts, revision }, by: null, corrections: [] },
      ...{ show: this.showId, place: this.place, waiting: true }
    };
  }

  async open(feed: Feed): Promise<void> {
    this.#catching.follow(feed, 'log', ({ show }) => show === this.showId);
    await this.lane.resume();
  }
  close(): void {
    this.lane.close();
    this.#catching.close();
  }
  /** Done once it is in the browser's own store. @param of the entry that it corrects */
  write(text: string, revision: number, of: string | null = null): Promise<void> {
    return this.lane.add({ id: uuid(), at: new Date(serverNow()).toISOString(), text, lineId: null, of, revision });
  }
  /** Shows what is asked for. */
  async ask(wanted: Wanted): Promise<void> {
    this.wanted = wanted;
    await this.#catching.now();
  }
  async older(): Promise<void> {
    const last = this.#pages.at(-1);
    const page = last && (await this.#page(last));
    if (page) [this.#pages, this.more] = [[...this.#pages, ...page.entries], page.more];
  }

  async #page(after?: LogEntry): Promise<LogPage | null> {
    const page = await fetchLog({ show: this.showId, ...this.wanted }, after);
    this.unheard = page === null;
    return page;
  }
  async #fetch(): Promise<void> {
    const wanted = this.wanted;
    const page = await this.#page();
    // Somebody has typed on meanwhile: what they ask for now is fetched after it.
    if (page && wanted === this.wanted) this.#take(page);
  }
  #take({ entries, more }: LogPage): void {
    const ids = new Set(entries.map((e) => e.id));
    const last = entries.at(-1);
    // Older pages that are open stay open.
    const older = more && last ? this.#pages.filter((e) => !ids.has(e.id) && e.at < last.at) : [];
    const same = this.#wantedThen === this.wanted;
    this.#wantedThen = this.wanted;
    [this.#pages, this.more] = [same ? [...entries, ...older] : entries, same && older.length > 0 ? this.more : more];
  }
  #wantedThen: Wanted | null = null;
}
