import { changedText, openElsewhereText } from '$core/words/live';
import type { Presence } from '$lib/live/presence.svelte';
import { NEWS } from '$lib/show/session/marks';
import type { ShowSession } from '$lib/show/session/session.svelte';

/** What others do to lines: told for a moment, or as long as they have one open. Made while a component is. */
export class News {
  #now = $state(Date.now());

  constructor(
    readonly session: Pick<ShowSession, 'marks'>,
    readonly presence: Pick<Presence, 'onLine'>
  ) {
    $effect(() => {
      if (session.marks.size === 0) return;
      const tick = setInterval(() => (this.#now = Date.now()), 5000);
      this.#now = Date.now();
      return () => clearInterval(tick);
    });
  }

  /** Of one line, in words; null where there is none. */
  of(lineId: string): string | null {
    const mark = this.session.marks.get(lineId);
    const other = this.presence.onLine(lineId);
    const said = [
      mark && this.#now - mark.at < NEWS ? changedText(mark.by, mark.label) : null,
      other ? openElsewhereText(other.name, other.device) : null
    ].filter((text) => text !== null);
    return said.length > 0 ? said.join('. ') : null;
  }
}
