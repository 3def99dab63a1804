/** What the outbox tells of what it could not send. */
export const outbox = {
  theServerRefusedIt: 'The server refused it.'
};
