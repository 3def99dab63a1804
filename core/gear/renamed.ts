/** Ids of models that are called otherwise since version 2. The migration of databases has the same table. */
export const RENAMED_MODELS: Readonly<Record<string, string>> = {
  keyboard: 'line-unbalanced',
  'keyboard-balanced': 'line-impedance-balanced',
  modular: 'line-hot',
  'pro-line': 'line-balanced',
  resistor: 'load-resistor',
  'passive-box': 'passive-di',
  'passive-economy': 'passive-di-economy',
  'active-box': 'active-di',
  'active-box-10m': 'active-di-10m',
  'preamp-box': 'preamp-di',
  'speaker-box': 'speaker-di',
  'media-box': 'media-di',
  'media-pair': 'media-di-stereo',
  'reversed-box': 'reversed-di'
};

export const todaysId = (id: string): string => (Object.hasOwn(RENAMED_MODELS, id) ? RENAMED_MODELS[id] : id);
