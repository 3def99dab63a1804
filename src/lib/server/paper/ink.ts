/** Black on white. */
export const INK = '#000000';
export const RULE = '#999999';
