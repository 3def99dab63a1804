/** What somebody may do in a crew; each may do what those before it may. */
export const ROLES = ['reader', 'engineer', 'owner'] as const;
export type Role = (typeof ROLES)[number];
/** A guest has a link to one show and nothing else. */
export type Rank = 'guest' | Role;

const ORDER: readonly Rank[] = ['guest', ...ROLES];
export const atLeast = (have: Rank, needed: Rank): boolean => ORDER.indexOf(have) >= ORDER.indexOf(needed);

export const ROLE_NAMES: Readonly<Record<Role, string>> = { reader: 'Reader', engineer: 'Engineer', owner: 'Owner' };
export const ROLE_SAYS: Readonly<Record<Role, string>> = {
  reader: 'looks at everything, changes nothing',
  engineer: 'plans, packs, checks',
  owner: 'also decides who belongs to the crew'
};
