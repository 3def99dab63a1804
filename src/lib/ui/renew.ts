import { invalidate } from '$app/navigation';
import { navigating } from '$app/state';

/**
 * Loads anew what the page shows. Whoever is just leaving the page is left to go first: loading anew in the middle of it would take the click back without
 * a word. `what` as `invalidate` takes it.
 */
export async function renew(what: Parameters<typeof invalidate>[0]): Promise<void> {
  await navigating.complete?.catch(() => undefined);
  await invalidate(what);
}
