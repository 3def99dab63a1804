import type { Lesson } from '../trace/drill';

/** What the first drills are called, and what each of them teaches. */
export const LESSON_TEXTS: Readonly<Record<Lesson, { readonly title: string; readonly teaches: string }>> = {
  loop: {
    title: 'A hum between two supplies',
    teaches:
      'Two mains earths and a shield between them make a ground loop: current flows, and its drop along the shield is in the signal. Open the loop on the audio side, with a lift at an isolated DI, or power both ends from one supply. The mains earth stays.'
  },
  pickup: {
    title: 'A hum that no lift cures',
    teaches:
      'A coil picks up the field of transformers whether the ground is lifted or not. Turning it tells you, and distance helps. A lift does nothing about it.'
  },
  shield: {
    title: 'A lead that looks whole',
    teaches:
      'With a broken shield the hot core is exposed and the return has to find another path. The lead is the cheapest thing to change, and changing it tells you more than any switch.'
  },
  'low-level': {
    title: 'Hiss from nowhere',
    teaches:
      'Hiss comes up with the gain. Where the level is too low, say with a passive DI into a line input, the gain brings up the input’s own noise. Get the level up early and turn the gain down.'
  },
  electric: {
    title: 'A buzz that stops when it is touched',
    teaches:
      'An unshielded high-impedance source picks up mains wiring through the air. Touching its metal earths it through you: a test, not a cure. Shield and ground it, and never take an earth away.'
  },
  supply: {
    title: 'A whine from a small black box',
    teaches:
      'A two-pin supply leaks through its own capacitor into whatever it powers. If it is quiet on battery, it is the supply and not the cable.'
  }
};
