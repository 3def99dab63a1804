import { type LiveEvent, LiveEventSchema, type LiveKind } from '$lib/protocol/live';

type Heard<K extends LiveKind> = (event: Extract<LiveEvent, { kind: K }>) => void;

/** A connection that the server turned away is tried again after this, milliseconds. */
const AGAIN = 3000;
/** A tab that nobody sees lets go of it after this: a browser has only six connections to one server. */
const UNSEEN = 10_000;

/** One line to the server on which everything new is heard of. It comes back by itself; whoever listens catches up when it does. */
export class Feed {
  readonly #heard = new Map<LiveKind, Set<(event: never) => void>>();
  readonly #opened = new Set<() => void>();
  readonly #lost = new Set<() => void>();
  #source: EventSource | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(readonly url: string) {}

  /** @returns ends it */
  on<K extends LiveKind>(kind: K, heard: Heard<K>): () => void {
    const set = this.#heard.get(kind) ?? new Set();
    this.#heard.set(kind, set.add(heard as (event: never) => void));
    return () => set.delete(heard as (event: never) => void);
  }
  /** Each time the line stands: something may have been missed until then. @returns ends it */
  onOpen(opened: () => void): () => void {
    this.#opened.add(opened);
    if (this.#source?.readyState === EventSource.OPEN) opened();
    return () => this.#opened.delete(opened);
  }

  /** Each time the line breaks. @returns ends it */
  onLost(lost: () => void): () => void {
    this.#lost.add(lost);
    return () => this.#lost.delete(lost);
  }

  open(): void {
    document.addEventListener('visibilitychange', this.#seen);
    this.#connect();
  }
  close(): void {
    document.removeEventListener('visibilitychange', this.#seen);
    this.#letGo();
  }

  readonly #seen = (): void => {
    clearTimeout(this.#timer);
    if (document.visibilityState === 'hidden') this.#timer = setTimeout(() => this.#letGo(), UNSEEN);
    else if (!this.#source || this.#source.readyState === EventSource.CLOSED) this.#connect();
  };
  #letGo(): void {
    clearTimeout(this.#timer);
    this.#source?.close();
    this.#source = undefined;
  }
  #connect(): void {
    const source = (this.#source = new EventSource(this.url));
    source.addEventListener('open', () => this.#opened.forEach((opened) => opened()));
    source.addEventListener('live', ({ data }) => this.#take(data as string));
    source.addEventListener('error', () => {
      if (source !== this.#source) return;
      this.#lost.forEach((lost) => lost());
      // While the network is away a browser tries by itself; an answer that is no stream ends it.
      if (source.readyState !== EventSource.CLOSED) return;
      this.#timer = setTimeout(() => this.#connect(), AGAIN);
    });
  }

  #take(data: string): void {
    const read = LiveEventSchema.safeParse(JSON.parse(data));
    // A newer server may say more than this page knows.
    if (read.success) this.#heard.get(read.data.kind)?.forEach((heard) => heard(read.data as never));
  }
}
