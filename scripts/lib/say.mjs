/** What the commands tell the person who started them. */

export const say = (text) => console.log(text);

/** A failure that is the surroundings' and not the program's: one clear sentence, no stack. */
export class Refusal extends Error {}

/** Runs a command's main function; refusals end it with their sentence. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    console.error(error instanceof Refusal ? error.message : error);
    process.exit(1);
  }
}

/** The sentence for a file-system failure, where there is one. */
export function explain(error, path) {
  if (error.code === 'ENOSPC') return new Refusal(`The disk is full: nothing could be written to ${path}.`);
  if (error.code === 'EACCES' || error.code === 'EPERM' || error.code === 'EROFS')
    return new Refusal(`No right to write to ${path}: use a folder of your own.`);
  return error;
}
