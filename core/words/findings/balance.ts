import { metres, metresBeside, many } from './parts';
import type { Said } from './said';

/** What the check of balance says, a code at a time. */

// Said of more than one code.
const FORMULA_BALANCED = 'length since the last output, adapters and couplers included';
const REASON_SHORT_UNBALANCED = 'With one core and a shield, whatever flows along the shield is added to the signal.';

export const BALANCE: Said<'balance'> = {
  balanced: {
    sentence: (f) => `Balanced over ${metres(f.value)}.`,
    short: () => 'balanced',
    formula: FORMULA_BALANCED,
    reason: 'What both cores pick up alike is cancelled at the input.'
  },
  'short-unbalanced': {
    sentence: (f) => `Unbalanced, but only ${metres(f.value)}.`,
    short: (f) => `${metres(f.value)} unbalanced`,
    formula: FORMULA_BALANCED,
    reason: REASON_SHORT_UNBALANCED
  },
  'long-unbalanced': {
    sentence: (f) =>
      `${metresBeside(f)} unbalanced. The rule of thumb is ${metres(f.limit ?? 0)} at most, for the risk of radio.`,
    short: (f) => `${metres(f.value)} unbalanced`,
    formula: FORMULA_BALANCED,
    reason: REASON_SHORT_UNBALANCED
  },
  coupled: {
    sentence: (f) => `${many(f.value, 'coupler', 'couplers')} in this run: each is a contact that can fail.`,
    short: (f) => many(f.value, 'coupler', 'couplers'),
    formula: 'count of couplers',
    reason: 'Every coupler adds contact resistance to the shield, and a place to tread on.'
  }
};
