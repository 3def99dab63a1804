import { normalBelow } from '../linecheck/normal';
import { SLIP } from './first-answers';

/** What a change of loudness is called, and how well it is told by ear. */

export const CHANGES = ['gone', 'much-less', 'a-little', 'same', 'worse'] as const;
export type Change = (typeof CHANGES)[number];
/** How well a change is told by ear, dB, one standard deviation. */
const EAR_DB = 3;
/** Where one word for a change ends and the next begins, dB. */
const BOUNDS = [-18, -8, -3, 3] as const;
/** The word for a change. */
export function changeWord(db: number): Change {
  const k = BOUNDS.findIndex((b) => db < b);
  return CHANGES[k < 0 ? BOUNDS.length : k];
}

/** How often people say the word beside the one that they mean, each way. */
const BESIDE = 0.06;
/** How often something is left of what should be gone: another noise under it, a cure that is none quite. */
const LEFT_OVER = 0.1;

/** How likely a word is for a change that the network foresees: by ear, in people's words, now and then wrong. */
export function chance(db: number, is: Change): number {
  const byEar = (k: number): number => {
    if (k < 0 || k > BOUNDS.length) return 0;
    const high = k < BOUNDS.length ? normalBelow((BOUNDS[k] - db) / EAR_DB) : 1;
    const low = k > 0 ? normalBelow((BOUNDS[k - 1] - db) / EAR_DB) : 0;
    return Math.max(high - low, 0);
  };
  const k = CHANGES.indexOf(is);
  // The words at both ends have but one beside them.
  const kept = 1 - BESIDE * (k > 0 && k < BOUNDS.length ? 2 : 1);
  const left = LEFT_OVER * byEar(0) * (k === 0 ? -1 : k === 1 ? 1 : 0);
  const said = kept * byEar(k) + BESIDE * (byEar(k - 1) + byEar(k + 1)) + left;
  return SLIP / CHANGES.length + (1 - SLIP) * said;
}
