import type { Order } from './check-state';

/** Where one was in the check of a show: a phone that was put away wakes there. */
interface Place {
  readonly line?: string;
  readonly order?: Order;
}
const keyOf = (showId: string): string => `guanxi-check-${showId}`;

export function keptPlace(showId: string): Place {
  try {
    return JSON.parse(localStorage.getItem(keyOf(showId)) ?? '{}') as Place;
  } catch {
    // Nothing kept, or nothing that can be read.
    return {};
  }
}
export function keepPlace(showId: string, place: Place): void {
  try {
    localStorage.setItem(keyOf(showId), JSON.stringify(place));
  } catch {
    // A browser that keeps nothing checks lines all the same.
  }
}
