import { crew as says } from '$core/words/screen/crew';
/** What somebody may do in a crew; each may do what those before it may. */
export const ROLES = ['reader', 'engineer', 'owner'] as const;
export type Role = (typeof ROLES)[number];
/** A guest has a link to one show and nothing else. */
export type Rank = 'guest' | Role;

const ORDER: readonly Rank[] = ['guest', ...ROLES];
export const atLeast = (have: Rank, needed: Rank): boolean => ORDER.indexOf(have) >= ORDER.indexOf(needed);

export const ROLE_NAMES: Readonly<Record<Role, string>> = {
  reader: says.reader,
  engineer: says.engineer,
  owner: says.owner
};
export const ROLE_SAYS: Readonly<Record<Role, string>> = {
  reader: says.looksAtEverythingChangesNothing,
  engineer: says.plansPacksChecks,
  owner: says.alsoDecidesWhoBelongsToThe
};
