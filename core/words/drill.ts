import type { Lesson } from '../trace/drill';

/** What the first drills are called, and what each of them teaches. */
export const LESSON_TEXTS: Readonly<Record<Lesson, { readonly title: string; readonly teaches: string }>> = {
  loop: {
    title: 'A hum between two supplies',
    teaches:
      'Two earths and a shield between them are a ring: current goes round, and its drop along the shield is in the signal. Open the ring in the signal, by a lift at an isolated box or by feeding both ends from one supply. The mains earth stays.'
  },
  pickup: {
    title: 'A hum that no lift cures',
    teaches:
      'A coil hears the field of transformers whether its ground is lifted or not. Turning it is what tells, and distance is what helps. A lift does nothing for what is induced.'
  },
  shield: {
    title: 'A lead that looks whole',
    teaches:
      'A broken shield leaves the hot core bare and the return to find its own way. The lead is the cheapest thing to change, and changing it says more than any switch.'
  },
  'low-level': {
    title: 'Hiss that nobody plugged in',
    teaches:
      'Hiss comes up with the gain. Where the level is too low, by a passive DI into a line input say, the gain brings up the input’s own noise. Bring the level up early, and the gain down.'
  },
  electric: {
    title: 'A buzz that stops when it is touched',
    teaches:
      'An open, high source hears the mains wiring through the air. Touching its metal earths it through you, which is a test and no cure: give it a screen and an earth, never take one away.'
  },
  supply: {
    title: 'A whine from a small black box',
    teaches:
      'A two-pin supply leaks through its own capacitor into whatever it feeds. On its battery it is quiet: then it is the supply, and not the cable.'
  }
};
