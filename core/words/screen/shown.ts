/** What a sentence may have put into it: a name, or a figure that is already written out. */
export type Shown = string | number;

/** Between things in a row; written so that the spaces stay and a row may break there. */
export const BETWEEN = ' · ';
