import { setTimeout } from 'node:timers/promises';

/** So many at a time may show who they are: a hash of a password takes a third of a second, and they are made one after the other. */
const MOST = 8;
/** Whoever comes when the door is full is told so after this long, milliseconds: a flood that asks again at once only waits. */
const WAIT = 500;

let inside = 0;
/**
 * Lets few at a time do what is dear: accounts, passwords, codes. Turned away before anything is looked up, a flood costs those who
 * are in next to nothing.
 * @param full what is answered where too many are inside
 */
export async function throughTheDoor(enter: () => Promise<Response>, full: () => Response): Promise<Response> {
  if (inside >= MOST) {
    await setTimeout(WAIT);
    return full();
  }
  inside++;
  try {
    return await enter();
  } finally {
    inside--;
  }
}
