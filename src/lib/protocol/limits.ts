/** Most edits in one message; a longer queue is sent in several. */
export const BATCH = 50;
/** Most readings in one message. */
export const READINGS = 50;
