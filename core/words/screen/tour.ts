/** Four steps on a first show of one's own. */
export const tour = {
  tour: 'First steps',
  step: (n: number, of: number) => `${n} of ${of}`,
  steps: [
    'Type a line as you would mail it, and press Enter.',
    'Open the line: press its name.',
    'What is wrong stands on the left, what would fix it on the right. Apply a fix.',
    'That is it. Hear it, print it, check it on the stage: the views stand above. ? helps in each.'
  ],
  leave: 'Leave this',
  done: 'Close this'
} as const;
