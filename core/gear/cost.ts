/** What a thing costs to have along, in classes: an adapter is small change, a small mixer a sixth of a day's hire. */
export type CostClass = 0 | 1 | 2 | 3;

const COST: Readonly<Record<string, CostClass>> = {
  'passive-economy': 1,
  'passive-box': 2,
  'active-box': 2,
  'active-box-10m': 2,
  'preamp-box': 3,
  'speaker-box': 2,
  'media-box': 2,
  'media-pair': 2,
  isolator: 2,
  balun: 1,
  'reversed-box': 2,
  'reamp-box': 2,
  'converter-down': 2,
  'converter-up': 2,
  splitter: 3,
  'small-mixer': 3,
  'merge-box': 1,
  'inline-pad': 1
};

/** Cost class of a model: boxes by their class, adapters 1, what is there anyway 0. */
export const costOf = (model: string, family: string): CostClass => COST[model] ?? (family === 'joint' ? 1 : 0);
