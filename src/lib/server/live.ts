import { listen, notify } from './db';

/** Who looks at a show hears at once what others did to it, on whichever server they did it. */

const CHANNEL = 'guanxi_show';
type Listener = () => void;
const listeners = new Map<string, Set<Listener>>();
let listening: Promise<unknown> | undefined;

/** Calls back whenever something was read off a show's lines. @returns ends it */
export async function watchShow(showId: string, told: Listener): Promise<() => void> {
  listening ??= listen(CHANNEL, (id) => listeners.get(id)?.forEach((l) => l())).catch((error: unknown) => {
    listening = undefined;
    throw error;
  });
  await listening;
  const set = listeners.get(showId) ?? new Set();
  listeners.set(showId, set.add(told));
  return () => {
    set.delete(told);
    if (set.size === 0 && listeners.get(showId) === set) listeners.delete(showId);
  };
}

export const tellShow = (showId: string): Promise<unknown> => notify(CHANNEL, showId);
