import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Piscina } from 'piscina';

/** A pool of threads that run one of the programs built beside the server; null where this build has none, as in development and tests. */
export function threads(
  program: 'reader' | 'maker' | 'planner',
  options: { most: number; queue: number },
): Piscina | null {
  const file = join(process.env.SCABBARD_THREADS ?? '', `${program}.mjs`);
  if (!process.env.SCABBARD_THREADS || !existsSync(file)) return null;
  return new Piscina({
    filename: file,
    minThreads: 1,
    maxThreads: options.most,
    maxQueue: options.queue,
    idleTimeout: 60_000,
  });
}

/** The first threads are started this long after the server: while it starts, all its time goes to those who wait for it, ms. */
const FIRST_THREADS = 4_000;

/** Starts something a moment after the server has. */
export function startLater(begin: () => void): void {
  setTimeout(begin, FIRST_THREADS).unref();
}

/** Whether a pool refused a job because as many as it holds are waiting. */
export const isQueueFull = (error: unknown): boolean =>
  error instanceof Error && /queue is at limit|queue size is 0/i.test(error.message);

/** Whether a job was given up because it took too long. */
export const isGivenUp = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'AbortError' || error.name === 'TimeoutError');
