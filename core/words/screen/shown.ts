/** What a sentence may have put into it: a name, or a figure that is already written out. */
export type Shown = string | number;
