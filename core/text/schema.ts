import * as z from './zod';
import { isWellFormed } from './well-formed';

/** What somebody wrote: so many code units at most, and nothing in it that cannot be stored. */
export const saidText = (most: number) =>
  z.string().check(z.maxLength(most), z.refine(isWellFormed, 'holds a character that cannot be stored'));
