import type { Here } from '$lib/protocol/live';
import { uuid } from '$lib/uuid';
import type { Feed } from './feed';

/** Somebody else who has this show open. */
export interface Other {
  readonly tab: string;
  readonly name: string;
  readonly device: string;
  readonly view: string;
  readonly line: string | null;
  readonly heard: number;
}

/** Who does not say so again within this time is not there any more, milliseconds. */
const GONE_AFTER = 45_000;
const SAY_AGAIN = 15_000;

/** Who else is where in a show. */
export class Presence {
  others = $state.raw<readonly Other[]>([]);
  readonly #tab = uuid();
  #at: Pick<Here, 'view' | 'line'> = { view: '', line: null };
  #timer: ReturnType<typeof setInterval> | undefined;
  readonly #ends: (() => void)[] = [];

  constructor(
    readonly showId: string,
    readonly feed: Feed
  ) {}

  open(): void {
    this.#ends.push(
      this.feed.on('here', ({ show, here, name, device }) => {
        if (show === this.showId && here.tab !== this.#tab) this.#hear(here, name, device);
      }),
      this.feed.onOpen(() => void this.#say({ asks: true }))
    );
    this.#timer = setInterval(() => {
      const since = Date.now() - GONE_AFTER;
      if (this.others.some((o) => o.heard < since)) this.others = this.others.filter((o) => o.heard >= since);
      if (document.visibilityState === 'visible') void this.#say({});
    }, SAY_AGAIN);
    window.addEventListener('pagehide', this.#leave);
  }
  close(): void {
    clearInterval(this.#timer);
    this.#ends.forEach((end) => end());
    window.removeEventListener('pagehide', this.#leave);
    this.#leave();
  }

  /** Says where this tab is now. */
  at(view: string, line: string | null): void {
    if (this.#at.view === view && this.#at.line === line) return;
    this.#at = { view, line };
    void this.#say({});
  }
  onLine(lineId: string): Other | undefined {
    return this.others.find((o) => o.line === lineId);
  }

  #hear(here: Here, name: string, device: string): void {
    const rest = this.others.filter((o) => o.tab !== here.tab);
    const { tab, view, line } = here;
    this.others = here.left ? rest : [...rest, { tab, name, device, view, line, heard: Date.now() }];
    if (here.asks) void this.#say({});
  }
  readonly #leave = (): void => void this.#say({ left: true });
  async #say({ asks = false, left = false }): Promise<void> {
    await fetch(`/api/shows/${this.showId}/here`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ tab: this.#tab, ...this.#at, asks, left } satisfies Here),
      keepalive: left
      // Where one is may be missed: it is said again in a moment.
    }).catch(() => undefined);
  }
}
