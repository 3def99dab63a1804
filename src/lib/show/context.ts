import type { Kit } from '$core/kit/schema';
import { getContext, setContext } from 'svelte';
import type { Judging } from './judging.svelte';
import type { ShowSession } from './session.svelte';

/** What every view of one show shares: its session, its judgement, its crew's kit. */
export interface Show {
  readonly id: string;
  readonly name: string;
  readonly session: ShowSession;
  /** Undefined until the page runs in a browser. */
  readonly judging: Judging | undefined;
  readonly crewKit: Kit;
  /** Whether who looks at it may change it; whoever has but a link to it, or reads, may not. */
  readonly mayChange: boolean;
  undo(): void;
  redo(): void;
  /** What the key for help opens; set by the view that is shown. */
  help: (() => void) | null;
}

const KEY = Symbol('show');
export const provideShow = (show: Show): Show => setContext(KEY, show);
export const useShow = (): Show => getContext<Show>(KEY);
