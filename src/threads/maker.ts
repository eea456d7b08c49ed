// The program of the threads that make sheets of paper and calendars.
import { Unprintable } from '../paper/sheet';
import { JOBS, type JobInput, type JobName } from './jobs';

/** A job for a thread. */
export type Job = { [N in JobName]: { name: N; input: JobInput<N> } }[JobName];
/** What comes back: errors lose their class between threads, so a refusal travels as a sentence. */
export type Made = { bytes: Uint8Array } | { refused: string };

/** Runs the job of a name; each name has an input of its own, which the type above ties to it. */
const run = <N extends JobName>(name: N, input: JobInput<N>): Promise<Uint8Array> =>
  (JOBS[name] as (input: JobInput<N>) => Promise<Uint8Array>)(input);

export default async function make({ name, input }: Job): Promise<Made> {
  try {
    return { bytes: await run(name, input) };
  } catch (error) {
    if (error instanceof Unprintable) return { refused: error.message };
    throw error;
  }
}
