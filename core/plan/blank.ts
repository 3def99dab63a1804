import type { Plan } from './schema';

/** A show with nothing in it: one desk on one supply. */
export const blankPlan = (): Plan => ({
  format: 'guanxi-plan',
  version: 2,
  policy: { mainsHz: 50, bridging: 10, unbalanced: 'computed' },
  supplies: { house: { name: 'House', emf: 0.005, ohm: 0.2, dimmers: false } },
  hosts: { desk: { name: 'Desk', supply: 'house', feed: 'mains-1' } },
  devices: {},
  cables: {},
  lines: {}
});

/** Another supply, as on another board of the same building. */
export const blankSupply = (name: string): Plan['supplies'][string] => ({ name, emf: 0.03, ohm: 0.2, dimmers: false });
