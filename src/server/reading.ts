import type { Piscina } from 'piscina';
import { FaultyInput, type Fault } from '../core/formats/faults';
import { NotJson } from '../core/formats/json';
import { BODIES, type Body, type BodyName, type OwnNames } from './bodies';
import { threads } from './threads';

/** Bodies longer than this are read on another thread, characters. */
const LONG = 64 * 1024;
/** Longest wait for a body to be read, ms. */
const MOST_MS = 10_000;

export interface ReadJob {
  which: BodyName;
  text: string;
  own: OwnNames;
}
/** What comes back from the other thread: errors lose their class on the way, so faults travel as data. */
export type ReadDone = { body: unknown } | { faults: Fault[]; notJson: boolean };

/** Reads a body where it is called. */
export function readHere({ which, text, own }: ReadJob): ReadDone {
  try {
    return { body: BODIES[which].read(text, own) };
  } catch (error) {
    if (error instanceof FaultyInput) return { faults: error.faults, notJson: error instanceof NotJson };
    throw error;
  }
}

/** Threads, and bodies that may wait for one. */
const POOL = { most: 2, queue: 32 };

let pool: Piscina<ReadJob, ReadDone> | null | undefined;

/** Starts the first of the threads that read long bodies: it takes a moment to load. */
export const beginReading = (): void => {
  if (pool === undefined) pool = threads('reader', POOL);
};

/** Reads a body, a long one without holding up other requests. Throws {@link FaultyInput}. */
export async function readApart<N extends BodyName>(which: N, text: string, own: OwnNames): Promise<Body<N>> {
  beginReading();
  const apart = text.length > LONG ? pool : null;
  const job = { which, text, own };
  const done = apart ? await apart.run(job, { signal: AbortSignal.timeout(MOST_MS) }) : readHere(job);
  if ('faults' in done) throw new (done.notJson ? NotJson : FaultyInput)(done.faults);
  // parsed by the schema of this very body, here or on the other thread
  return done.body as Body<N>;
}
