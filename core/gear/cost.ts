/** What a thing costs to have along, in classes: an adapter is small change, a small mixer a sixth of a day's hire. */
export type CostClass = 0 | 1 | 2 | 3;

const COST: Readonly<Record<string, CostClass>> = {
  'passive-di-economy': 1,
  'passive-di': 2,
  'active-di': 2,
  'active-di-10m': 2,
  'preamp-di': 3,
  'speaker-di': 2,
  'speaker-di-passive': 2,
  'media-di': 2,
  'media-di-stereo': 2,
  isolator: 2,
  balun: 1,
  'rca-isolator': 1,
  'reversed-di': 2,
  'reamp-box': 2,
  'converter-down': 2,
  'converter-up': 2,
  splitter: 3,
  'small-mixer': 3,
  'merge-box': 1,
  'inline-pad': 1,
  buffer: 1,
  'mic-booster': 2,
  'phono-preamp': 2,
  'load-box': 3
};

/** Cost class of a model: boxes by their class, adapters 1, what is there anyway 0. */
export const costOf = (model: string, family: string): CostClass => COST[model] ?? (family === 'joint' ? 1 : 0);
