import pino from 'pino';

/** What the server has to say, a JSON line each, on the error stream: what a start prints for people stays apart from it. */
export const log = pino(
  { base: undefined, timestamp: pino.stdTimeFunctions.isoTime, formatters: { level: (label) => ({ level: label }) } },
  pino.destination({ dest: 2, sync: true })
);
