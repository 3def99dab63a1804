import type { Shown } from './shown';

/** What the screen says of pictures of places, instruments and things. */
export const pictures = {
  add: 'Add a picture',
  pictureOf: (name: Shown) => `Picture of ${name}`,
  picturesOf: (name: Shown) => `Pictures of ${name}`,
  noPicture: 'That is no picture that can be shown here. Try a JPEG or PNG.',
  onItsWay: 'on its way',
  takeOut: 'Take out',
  takeOutOne: (which: Shown, when: Shown) => `Take out picture ${which}, ${when}`,
  takenOut: 'Picture taken out',
  undo: 'Undo',
  letGo: 'Let it go'
};
