import type { Shown } from './shown';

/** What the screen says in the frame of a show. Names of screens and keys: `docs/adding.md`. */
export const session = {
  lookingOnly: 'Looking only',
  undo: 'Undo',
  redo: 'Redo',
  youAreSignedOutWhatYou: 'You are signed out. What you changed waits in this browser.',
  signIn: 'Sign in',
  andItIsSaved: ', and it is saved.',
  undone: 'Undone',
  redone: 'Redone',
  saved: 'Saved',
  saving: 'Saving …',
  notSavedRetrying: 'Not saved, retrying',
  notSavedSignedOut: 'Not saved: signed out',
  thisShowWasDeleted: 'This show was deleted',
  nothingMoreThere: 'Nothing more there.',
  whatWasMeasured: 'what was measured',
  whereItIsPlayed: 'where it is played',
  theMains: 'the mains',
  phantomOf: (name: Shown) => `phantom of ${name}`,
  theComputingPartOfThisPage: 'The computing part of this page failed to load. Reload the page.',
  youMayLookAtThisShow: 'You may look at this show, not change it.',
  couldNot: (kind: Shown, editText: Shown, editFaultText: Shown) => `Could not ${kind}${editText}. ${editFaultText}`
};
