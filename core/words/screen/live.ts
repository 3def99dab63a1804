import type { Shown } from './shown';

/** What the screen says in what others are doing. Names of screens and keys: `docs/adding.md`. */
export const live = {
  otherHere: (count: Shown, what: Shown) => `${count} ${what} here`,
  at: (where: Shown) => `at ${where}`,
  rulesOfThumb: 'rules of thumb',
  lineCheck: 'line check',
  thisShow: 'this show',
  lines: 'lines',
  proposal: 'proposal',
  kit: 'kit',
  paper: 'paper',
  grounds: 'grounds',
  trace: 'trace',
  listen: 'listen',
  compare: 'compare',
  other: 'other',
  others: 'others'
};
