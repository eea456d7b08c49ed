// Sheets of paper and calendars are made on threads of their own: few at once, each within a time.
import type { Piscina } from 'piscina';
import { Answer, busy, problem } from '../server/http';
import { isGivenUp, isQueueFull, threads } from '../server/threads';
import type { Job, Made } from './maker';

/** Threads, and jobs that may wait for one. */
const POOL = { most: 2, queue: 8 };
/** Jobs of one client at once, waiting ones included. */
const MOST_OF_A_CLIENT = 2;
/** Longest time for a job, waiting included, ms. */
const MOST_MS = 15_000;

let pool: Piscina<Job, Made> | null | undefined;
const ofClients = new Map<string, number>();

/** Starts the first thread: its program takes a moment to load. */
export const beginMaking = (): void => {
  if (pool === undefined) pool = threads('maker', POOL);
};

/** Runs a job where there are no threads: in development. */
const makeHere = async (job: Job): Promise<Made> => (await import('./maker')).default(job);

/**
 * Makes something for a client on another thread. Throws {@link Answer}: 422 where it cannot be printed, 503 where too many are being made or it
 * took too long.
 */
export async function make(client: string, job: Job): Promise<Uint8Array<ArrayBuffer>> {
  beginMaking();
  const its = ofClients.get(client) ?? 0;
  if (its >= MOST_OF_A_CLIENT)
    throw busy('Two of your documents are being made already. Try again when one of them is ready.', 2);
  ofClients.set(client, its + 1);
  try {
    const made = pool ? await pool.run(job, { signal: AbortSignal.timeout(MOST_MS) }) : await makeHere(job);
    if ('refused' in made) throw new Answer(problem(422, 'Too large', made.refused));
    return new Uint8Array(made.bytes);
  } catch (error) {
    if (isQueueFull(error)) throw busy('The server is making many documents just now. Try again in a moment.', 3);
    if (isGivenUp(error)) throw busy('This document took too long to make. Try again with fewer sheets in it.', 5);
    throw error;
  } finally {
    const left = (ofClients.get(client) ?? 1) - 1;
    if (left > 0) ofClients.set(client, left);
    else ofClients.delete(client);
  }
}

/** A PDF for a client, as an answer. */
export async function pdf(client: string, job: Job): Promise<Response> {
  return new Response(await make(client, job), {
    headers: { 'content-type': 'application/pdf', 'cache-control': 'no-store' },
  });
}
