import type { Shown } from './shown';

/** What the screen says in the header and what stands everywhere. Names of screens and keys: `docs/adding.md`. */
export const ui = {
  close: 'Close',
  guanxi: 'Guanxi',
  guanxiAllShows: 'Guanxi, all shows',
  show: 'Show',
  crew: 'Crew',
  keys: 'Keys',
  lines: 'Lines',
  propose: 'Propose',
  schools: 'Rules of thumb',
  kit: 'Kit',
  paper: 'Paper',
  check: 'Check',
  earth: 'Earth',
  trace: 'Trace',
  listen: 'Listen',
  shows: 'Shows',
  drill: 'Drill',
  couldNotBeComputedItIs: (what: Shown, id: Shown) =>
    `${what} could not be computed. It is in the server’s log as ${id}.`,
  changesThatDidNotFit: 'Changes that did not fit',
  notMerged: 'Not merged:',
  doItAnyway: 'Do it anyway',
  keepWhatIsThere: 'Keep what is there',
  usually: (show: Shown) => `usually ${show} ·`,
  backToIt: 'back to it',
  mustLieBetweenAnd: (show: Shown, show2: Shown) => `Must lie between ${show} and ${show2}.`,
  lightForLoadInDarkFor: 'Light for load-in, dark for the show',
  light: 'Light',
  dark: 'Dark',
  theme: 'theme',
  changeThisCable: 'Change this cable',
  thatDidNotWork: 'That did not work.',
  log: (message: Shown, id: Shown) => `${message} (log ${id})`,
  theServerDoesNotAnswerNothing: 'The server does not answer. Nothing was changed; try again.'
};
