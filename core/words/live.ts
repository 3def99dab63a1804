import type { Edit } from '../plan/schema';

/** What others do, in words. */

/** Who else has a line open, as a line of its own under it. @param device named only where it is not how they are called */
export const openElsewhereText = (name: string, device: string): string =>
  name === device ? `Open on another device (${device})` : `${name} has it open (${device})`;

const DONE: Readonly<Record<string, (subject: string) => string>> = {
  'add-line': () => 'added this line',
  'add-lines': () => 'added this line',
  'copy-line': () => 'duplicated a line into this one',
  'say-line': () => 'retyped this line',
  remedy: () => 'applied a fix here',
  route: () => 'took another option here',
  venue: (subject) => `took over the supplies of ${subject}`,
  recall: (subject) => `set it as for ${subject}`,
  propose: () => 'took a proposal',
  school: () => 'chose a rule of thumb',
  set: (subject) => `changed ${subject}`
};

/** What somebody has done to a line a moment ago. @param by null where that is not told */
export const changedText = (by: string | null, { code, subject }: Edit['label']): string =>
  `${by ?? 'Somebody else'} just ${(DONE[code] ?? (() => 'changed this line'))(subject)}`;
