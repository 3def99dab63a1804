import { invalidate } from '$app/navigation';
import { navigating } from '$app/state';

/**
 * Loads anew what the page shows. Whoever is just leaving the page is left to go first: loading anew in the middle of it would take the click back without
 * a word. Where the network went in the middle of it, what is shown stays. `what` as `invalidate` takes it.
 * @returns whether it came
 */
export async function renew(what: Parameters<typeof invalidate>[0]): Promise<boolean> {
  await navigating.complete?.catch(() => undefined);
  return invalidate(what).then(
    () => true,
    () => false
  );
}
