import type { Venue } from '$core/venue/schema';
import { venue as says } from '$core/words/screen/venue';
import { request } from '$lib/outbox/outcome';

/** Null where it is kept; else why not, and where somebody else has changed it since, as it is now. */
export type NotPut = { readonly why: string; readonly now: Venue | null } | null;

/** Writes a venue down, or changes it. @param from as it was seen; null for a new one */
export async function putVenue(id: string, from: Venue | null, to: Venue): Promise<NotPut> {
  const answer = await request('PUT', `/api/venues/${id}`, JSON.stringify({ from, to }));
  if (answer?.ok) return null;
  const told = (await answer?.json().catch(() => null)) as { message?: string; venue?: Venue | null } | null;
  if (answer?.status === 409) return { why: says.changedSince, now: told?.venue ?? null };
  return { why: told?.message ?? says.cannotBeSaved, now: null };
}
