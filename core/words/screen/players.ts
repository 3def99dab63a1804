import type { Shown } from './shown';

/** What the screen says of players and their instruments. Names of screens and keys: `docs/adding.md`. */
export const players = {
  instrument: 'Instrument',
  wanted: 'Wanted:',
  doIt: 'Do it',
  whoseIsIt: 'Whose is it?',
  theCrews: 'the crew’s',
  remember: 'Remember it',
  rememberIt: 'Remember this instrument for other shows',
  leaveIt: 'Cancel',
  asKept: (whose: Shown) => (whose === '' ? 'instrument' : `${whose}’s instrument`),
  lastByEar: 'By ear:',
  byEar: 'Liked by ear',
  /** The page of all. */
  players: 'Players',
  title: 'Players and instruments',
  guanxi: (what: Shown) => `${what} – Guanxi`,
  teach:
    'Nobody yet. Open a line on the board and press “Remember this instrument”: whoever plays it, what it is and how it is taken is there at the next show by its name alone. Or write a player down here.',
  addPlayer: 'Add a player',
  nameOfPlayer: 'Name of the player',
  add: 'Add',
  isThereAlready: (name: Shown) => `${name} is there already.`,
  position: 'Where they stand',
  wants: 'What they want, as one says it',
  wantsFor: 'valve DI, no low cut',
  note: 'Note',
  ofNobody: 'The crew’s own',
  noInstrument: 'No instrument yet.',
  forget: 'Forget',
  forgetWhat: (name: Shown) =>
    `${name} is taken out, and the name out of logs, checks and settings. The records stay. This cannot be undone.`,
  yesForget: (name: Shown) => `Forget ${name}`,
  keep: 'Keep',
  notForgotten: 'This could not be done. Try again in a moment.',
  notTaken: 'Not saved, because somebody else has changed it since. It is shown as it is now.',
  letGo: 'All right',
  /** The page of one. */
  name: 'Name',
  whose: 'Whose it is',
  line: 'Its line, as it is typed',
  reads: (what: Shown) => `Read as ${what}.`,
  doesNotRead: 'This does not read as one line. For example: upright bass piezo, 3 m, active DI, 20 m, mic.',
  wantsOf: 'What is wanted for it',
  understood: 'Can be held against a plan:',
  ownValues: (what: Shown) => `It has values of its own: ${what}.`,
  worked: 'How it was set when it worked',
  workedTeach:
    'Nothing yet. A line of this instrument that is left working in the line check stands here with its settings.',
  pictures: (count: Shown) => (count === 1 ? '1 picture' : `${count} pictures`),
  takeOut: 'Take the instrument out',
  gone: 'It is no longer known. Shows keep their lines as they are.',
  settings: 'What worked',
  settingsTitle: 'What worked, at all shows',
  settingsTeach:
    'Nothing yet. Every line that is left working in the line check is kept here: DI, switches, gain, what was read of it, and where.',
  settingsFind: 'A line or an instrument, by its name',
  anyDi: 'any DI',
  whichDi: 'Which DI',
  nothingSo: 'Nothing worked like that so far.'
};
