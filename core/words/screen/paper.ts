import type { Shown } from './shown';

/** What the screen says in paper. Names of screens and keys: `docs/adding.md`. */
export const paper = {
  paper: (name: Shown) => `${name}: paper`,
  sheets: 'Sheets',
  markWhatChangedSinceRevision: (revision: Shown, stamp: Shown) =>
    `mark what changed since revision ${revision}, ${stamp}`,
  paperSize: 'Paper size',
  letter: 'Letter',
  changesAreStillBeingSaved: 'Changes are still being saved',
  pdf: 'PDF',
  everySheetCardsAndLabelsOne: 'Every sheet, cards and labels, one after the other',
  allAsPdf: 'All as PDF',
  csv: 'CSV',
  print: 'Print',
  noteAsPrinted: 'Note as printed',
  noLinesYetSoThereIs: 'No lines yet, so there is nothing to print.',
  sayOne: 'Say one',
  tickWaits: 'tick waits',
  ticksWait: 'ticks wait',
  toBeSentYouAreSigned: 'to be sent: you are signed out here.',
  signIn: 'Sign in',
  forTheNetworkKeptOnThis: 'for the network; kept on this device until then.',
  revision: (revision: Shown) => `revision ${revision}`,
  showLine: (origin: Shown, id: Shown) => `${origin}/show/${id}?line=`,
  cards: 'Cards',
  labels: 'Labels',
  youMayLookAtThisShow: 'You may look at this show, not change it.',
  notNotedAsPrintedTheServer: 'Not noted as printed: the server cannot be reached. Try again.',
  revisionIsNotedAsPrintedWhat: (at: Shown) =>
    `Revision ${at} is noted as printed. What changes from here on is marked.`,
  boxesAndHowTheyAreSet: 'Boxes and how they are set',
  noBoxInThisShowHas: 'No box in this show has anything to set.',
  twoForEveryCableOneFor: 'Two for every cable, one for each end, and one for every box. The code opens the line.',
  codeThatOpens: (line: Shown) => `Code that opens ${line}`,
  ofTickedOff: (done: Shown, all: Shown) => `${done} of ${all} ticked off.`,
  newChangedSinceRevision: (since: Shown) => `+ new, • changed since revision ${since}.`,
  goneSince: (what: Shown) => `Gone since: ${what}.`,
  mark: 'Mark',
  tickOrNumber: 'Tick or number',
  done: (what: Shown) => `Done: ${what}`
};
