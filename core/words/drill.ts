import type { Lesson } from '../trace/drill';

/** What each drill of the course was about, told when it is over, and what it teaches. */
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
  },
  dimmers: {
    title: 'A buzz that comes with the lights',
    teaches:
      'Dimmers chop the mains, and what they chop comes in by cables and by earths. Ask for the lights to go up and down: if the buzz follows, run audio away from dimmer lines and feed it from another supply. It is no fault of the line.'
  },
  contact: {
    title: 'A contact that comes and goes',
    teaches:
      'A dirty or loose contact crackles when it is moved, and puts ohms into the shield. Move the plugs before you change anything: the one that answers is the one. Clean it or swap the lead.'
  },
  touch: {
    title: 'Metal on metal',
    teaches:
      'A chassis on a rack rail, a plug on a wet floor: a second earth that no drawing shows. Move it, put something dry between, and the loop is open. The mains earth stays.'
  },
  'pin-1': {
    title: 'A loop that a lift does not explain',
    teaches:
      'Where pin 1 goes to the circuit board instead of the chassis, shield current flows through the signal’s ground. Another input or another box is quiet with the same cable: then it is that device, and it wants repair.'
  },
  leg: {
    title: 'Half a line',
    teaches:
      'With one leg of a balanced line open, half the level and all of the rejection are gone: softer, and hum beside it. Swapping the run tells it at once.'
  },
  several: {
    title: 'Two at once',
    teaches:
      'When something helps and not enough, there are two. Leave the cure in, go on with what is left, and do not undo the first because it did not do it all.'
  }
};
