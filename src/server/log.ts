import { pino } from 'pino';

/** One line of JSON each, to standard output; never a document, never the parameters of a query. */
export const log = pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime });
