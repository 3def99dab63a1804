import type { Shown } from './shown';

/** What the screen says of one thing of the kit with its life. Names of screens and keys: `docs/adding.md`. */
export const unit = {
  kit: 'Kit',
  whatHappened: 'What happened to it',
  whatHappenedFor: 'crackles when cold · new jack, works · fresh battery · with Tove',
  write: 'Write it down',
  readAs: (what: Shown) => `Noted as: ${what}`,
  works: 'Works',
  fails: 'Has failed',
  newBattery: 'New battery',
  tested: 'Tested, works',
  number: 'Number',
  serial: 'Serial number',
  whereItIs: 'Where it is, or who has it',
  noteOnIt: 'Note',
  noNumber: 'It has no number of its own, so what happens to one of several is not told apart.',
  numberIt: 'Give it a number',
  failed: (times: Shown) => `failed ${times}`,
  measured: (day: Shown, values: Shown) => `measured ${day}: ${values}`,
  neverFailed: 'never failed',
  batterySince: (day: Shown, days: Shown, hours: Shown) => `battery of ${day}, ${days} old${hours}`,
  daysOld: (days: number) => (days === 0 ? 'hours' : days === 1 ? 'a day' : `${days} days`),
  hoursOn: (hours: Shown) => `, ${hours}\u202Fh of use`,
  batteryUnknown: 'nobody has said when its battery was changed',
  life: 'Its life',
  nothingYet:
    'Nothing has happened to it yet. What is typed here, marked faulty in a check, or logged at a show by its number stands here.',
  inTheLog: 'In the log',
  gone: 'It is no longer in the kit.',
  atShow: (show: Shown) => `at ${show}`
};
