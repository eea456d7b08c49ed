import { existsSync } from 'node:fs';
import { Piscina } from 'piscina';
import { FaultyInput, type Fault } from '../core/formats/faults';
import { NotJson } from '../core/formats/json';
import { BODIES, type Body, type BodyName, type OwnNames } from './bodies';

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

let pool: Piscina<ReadJob, ReadDone> | null | undefined;

/** The threads that read long bodies, begun when first asked for; null where this build has no program for them. */
function readers(): Piscina<ReadJob, ReadDone> | null {
  if (pool !== undefined) return pool;
  const program = process.env.SCABBARD_READER;
  pool =
    program && existsSync(program)
      ? new Piscina({ filename: program, minThreads: 1, maxThreads: 2, maxQueue: 32, idleTimeout: 60_000 })
      : null;
  return pool;
}

/** Starts the first of the threads that read long bodies: it takes a moment to load. */
export const beginReading = () => void readers();

/** Reads a body, a long one without holding up other requests. Throws {@link FaultyInput}. */
export async function readApart<N extends BodyName>(which: N, text: string, own: OwnNames): Promise<Body<N>> {
  const apart = text.length > LONG ? readers() : null;
  const job = { which, text, own };
  const done = apart ? await apart.run(job, { signal: AbortSignal.timeout(MOST_MS) }) : readHere(job);
  if ('faults' in done) throw new (done.notJson ? NotJson : FaultyInput)(done.faults);
  // parsed by the schema of this very body, here or on the other thread
  return done.body as Body<N>;
}
