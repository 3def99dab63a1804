import type { Kit } from '$core/kit/schema';
import type { Feed } from '$lib/live/feed';
import type { Presence } from '$lib/live/presence.svelte';
import type { RowStore } from '$lib/outbox/rows';
import { getContext, setContext } from 'svelte';
import type { Judging } from './judging.svelte';
import type { ShowSession } from './session.svelte';
import type { Stops } from './stops.svelte';

/** What every view of one show shares: its session, its judgement, its crew's kit. */
export interface Show {
  readonly id: string;
  readonly name: string;
  readonly session: ShowSession;
  /** Undefined until the page runs in a browser. */
  readonly judging: Judging | undefined;
  readonly crewKit: Kit;
  /** Whose it is; empty for who has but a link. */
  readonly crewId: string;
  /** Everything new is heard of here. */
  readonly feed: Feed;
  /** Where what is on its way is kept. */
  readonly rows: RowStore;
  readonly presence: Presence;
  /** Stops of the crew: a tingle, smoke, heat. */
  readonly stops: Stops;
  /** Whether who looks at it may change it; whoever has but a link to it, or reads, may not. */
  readonly mayChange: boolean;
  undo(): void;
  redo(): void;
  /** What the key for help opens; set by the view that is shown. */
  help: (() => void) | null;
  /** The line that is open, for others to see; set by the view that is shown. */
  set at(line: string | null);
}

const KEY = Symbol('show');
export const provideShow = (show: Show): Show => setContext(KEY, show);
export const useShow = (): Show => getContext<Show>(KEY);
