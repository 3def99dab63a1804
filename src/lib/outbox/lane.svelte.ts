import type { Outcome } from './outcome';
import type { RowStore } from './rows';

export type LaneState = 'saved' | 'saving' | 'retrying' | 'signed-out' | 'gone';
/** Something the server will not take as it is, waiting for a decision. */
export interface Aside<T> {
  readonly item: T;
  readonly why: string;
}

interface Options<T> {
  /** `edits:SHOW` and the like: what is kept under it is taken up by the next visit. */
  readonly name: string;
  readonly rows: RowStore;
  readonly idOf: (item: T) => string;
  /** Most items in one message. */
  readonly most: number;
  /** Reads a row of an earlier visit; null where it cannot be read. */
  readonly read: (raw: unknown) => T | null;
  readonly send: (items: readonly T[]) => Promise<Outcome>;
  /** Told when something is set aside because the server will not take it. */
  readonly asided?: (id: string) => void;
}

/** Least and longest wait before a message is tried again, milliseconds. */
const FIRST_WAIT = 500;
const LONGEST_WAIT = 8000;
/** How often the server may fall over one and the same thing before that is set aside and the rest goes on. */
const FAILS = 4;

/**
 * One kind of thing on its way to the server: in order, kept in the browser until it is there, tried again with growing pauses.
 * Nothing leaves it but what the server has taken in, what came back as the server's own, or what a person let go.
 */
export class Lane<T> {
  /** Not known to be on the server, oldest first. */
  waiting = $state.raw<readonly T[]>([]);
  aside = $state.raw<readonly Aside<T>[]>([]);
  /** How many of those that wait are in the browser's own store: only these may be told as kept. */
  readonly kept = $derived.by(() => this.waiting.filter((item) => this.#stored.has(this.#o.idOf(item))).length);
  state = $state<LaneState>('saved');
  /** What has been on its way once: the server may have it, so it must not change any more. */
  readonly #tried = new Set<string>();
  #stored = $state.raw<ReadonlySet<string>>(new Set());
  readonly #o: Options<T>;
  /** By the clock, so that rows of two tabs stand in the order in which they were made. */
  #order = 0;
  #wait = FIRST_WAIT;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #sending = false;
  /** One at a time, until what the server does not take is found. */
  #narrow = false;
  #fails = 0;
  #closed = false;
  #writes: Promise<unknown> = Promise.resolve();

  constructor(options: Options<T>) {
    this.#o = options;
  }

  /**
   * What an earlier visit left, for the caller to look at before it is sent: `add` puts each on its way.
   * What was set aside then is aside again.
   */
  async earlier(): Promise<T[]> {
    const rows = await this.#o.rows.load(this.#o.name).catch(() => []);
    const here = new Set(this.waiting.map(this.#o.idOf));
    const out: T[] = [];
    for (const { item: raw, id, aside } of rows) {
      const item = this.#o.read(raw);
      if (item === null || here.has(id)) continue;
      this.#tried.add(id);
      if (aside === null) out.push(item);
      else this.aside = [...this.aside, { item, why: aside }];
    }
    return out;
  }

  /** Takes everything of an earlier visit up as it is, and begins to send. */
  async resume(): Promise<void> {
    for (const item of await this.earlier()) void this.add(item);
    this.open();
  }
  /** Begins to send, and goes on whenever the network comes back. */
  open(): void {
    window.addEventListener('online', this.now);
    if (this.waiting.length > 0) this.#schedule(0);
  }
  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
    window.removeEventListener('online', this.now);
  }

  /** Puts something on its way. Done once it is in the browser's own store: a reload does not lose it. */
  async add(item: T): Promise<void> {
    this.waiting = [...this.waiting, item];
    if (this.state === 'saved') this.state = 'saving';
    const kept = this.#keep(item, null);
    this.#schedule(0);
    await kept;
    this.#stored = new Set([...this.#stored, this.#o.idOf(item)]);
  }

  /** Whether the server may have something that waits here: its answer would not have come. */
  get maybeThere(): boolean {
    return this.waiting.some((item) => this.#tried.has(this.#o.idOf(item)));
  }

  /** Puts another in the place of the newest one. False where it has been on its way already. */
  replaceLast(item: T): boolean {
    const last = this.waiting.at(-1);
    if (last === undefined || this.#o.idOf(last) !== this.#o.idOf(item) || this.#tried.has(this.#o.idOf(last)))
      return false;
    this.waiting = [...this.waiting.slice(0, -1), item];
    void this.#keep(item, null);
    return true;
  }

  /** The server has these: by its answer, or because they came back with what others did. */
  settle(ids: readonly string[]): void {
    const there = new Set(ids);
    const mine = [...this.waiting, ...this.aside.map((a) => a.item)].map(this.#o.idOf).filter((id) => there.has(id));
    if (mine.length === 0) return;
    this.waiting = this.waiting.filter((item) => !there.has(this.#o.idOf(item)));
    this.aside = this.aside.filter((a) => !there.has(this.#o.idOf(a.item)));
    void this.#write(() => this.#o.rows.drop(this.#o.name, mine));
    this.#rest();
  }

  /** Takes something out of the way without losing it: a person decides. */
  setAside(id: string, why: string): void {
    const item = this.waiting.find((i) => this.#o.idOf(i) === id);
    if (item === undefined) return;
    this.waiting = this.waiting.filter((i) => i !== item);
    this.aside = [...this.aside, { item, why }];
    void this.#keep(item, why);
    this.#rest();
  }
  /** Lets what was set aside go; the caller has dealt with it. */
  letGo(item: T): void {
    this.aside = this.aside.filter((a) => a.item !== item);
    this.forget(item);
  }
  /** Straight aside, as far as an earlier visit's rows go: it never was on its way in this one. */
  keepAside(item: T, why: string): void {
    this.aside = [...this.aside, { item, why }];
    void this.#keep(item, why);
  }

  /** A row of an earlier visit that the server has all the same. */
  forget(item: T): void {
    void this.#write(() => this.#o.rows.drop(this.#o.name, [this.#o.idOf(item)]));
  }

  readonly now = (): void => {
    this.#wait = FIRST_WAIT;
    if (this.waiting.length > 0) this.#schedule(0);
  };

  #keep(item: T, aside: string | null): Promise<void> {
    const row = { lane: this.#o.name, id: this.#o.idOf(item), order: this.#next(), item, aside };
    return this.#write(() => this.#o.rows.put([row]));
  }
  #next(): number {
    return (this.#order = Math.max(Date.now(), this.#order + 1));
  }
  /** One after another, so that what is said last is what stays. */
  #write(act: () => Promise<void>): Promise<void> {
    // Private windows may have no storage; the server still gets everything.
    const done = this.#writes.then(act).catch(() => undefined);
    this.#writes = done;
    return done;
  }

  #schedule(wait: number): void {
    if (this.#closed || this.#sending || this.state === 'gone') return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), wait);
  }
  #rest(): void {
    if (this.waiting.length > 0) return;
    this.#narrow = false;
    if (this.state !== 'gone') this.state = 'saved';
  }

  async #send(): Promise<void> {
    if (this.#sending || this.#closed || this.waiting.length === 0) return;
    const some = this.waiting.slice(0, this.#narrow ? 1 : this.#o.most);
    this.#sending = true;
    for (const item of some) this.#tried.add(this.#o.idOf(item));
    const outcome = await this.#o.send(some).catch((): Outcome => ({ kind: 'later' }));
    this.#sending = false;
    if (this.#closed) return;
    switch (outcome.kind) {
      case 'gone':
        this.state = 'gone';
        return;
      case 'later':
        return this.#later('retrying');
      case 'signed-out':
        return this.#later('signed-out');
      case 'refused':
        if (outcome.id === null && some.length > 1) this.#narrow = true;
        else this.#refuse(outcome.id ?? this.#o.idOf(some[0]), outcome.why);
        break;
      case 'failed':
        if (some.length > 1) {
          this.#narrow = true;
          return this.#later('retrying');
        }
        if (++this.#fails < FAILS) return this.#later('retrying');
        this.#refuse(this.#o.idOf(some[0]), outcome.why);
        break;
      case 'taken':
        this.settle(outcome.ids);
        // An answer that takes nothing in is none.
        if (some.every((item) => this.waiting.includes(item))) return this.#later('retrying');
        this.#fails = 0;
    }
    this.#wait = FIRST_WAIT;
    if (this.waiting.length > 0) {
      this.state = 'saving';
      this.#schedule(0);
    }
  }

  #refuse(id: string, why: string): void {
    this.#fails = 0;
    this.#narrow = false;
    this.setAside(id, why);
    this.#o.asided?.(id);
  }

  /** What waits here goes when the network is back, or somebody is signed in again, in this window or another. */
  #later(state: LaneState): void {
    this.state = state;
    this.#schedule(this.#wait);
    this.#wait = Math.min(this.#wait * 2, LONGEST_WAIT);
  }
}
