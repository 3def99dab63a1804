import type { Edit } from '../plan/schema';
import { editText } from './faults';

/** What others do, in words. */

/** Who else has a line open, as a line of its own under it. @param device named only where it is not how they are called */
export const openElsewhereText = (name: string, device: string): string =>
  name === device ? `Open on another device (${device})` : `${name} has it open (${device})`;

/** What somebody has done a moment ago. @param by null where that is not told */
export const changedText = (by: string | null, label: Edit['label']): string =>
  `${by ?? 'Somebody else'} just did: ${editText({ label })}`;
