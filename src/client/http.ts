import { z } from '../core/zod';
import type { Fault } from '../core/formats/faults';

const problemSchema = z.object({
  title: z.string(),
  detail: z.string(),
  status: z.number(),
  faults: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});

/** A refusal by the server, in its own words. */
export class Refused extends Error {
  constructor(
    public readonly status: number,
    message: string,
    public readonly faults: Fault[] = [],
  ) {
    super(message);
  }
}

/** Longest wait for an answer, ms: one that hangs is as good as none. */
const MOST_MS = 12_000;

/** Asks our own server; `read` parses what comes back. Throws {@link Refused} with the server's reason. */
export async function ask<T>(read: (answer: unknown) => T, url: string, method = 'GET', body?: unknown): Promise<T> {
  const response = await fetch(url, {
    method,
    signal: AbortSignal.timeout(MOST_MS),
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  }).catch(() => {
    throw new Refused(0, 'The server does not answer. Check that it is running; nothing is lost on this page.');
  });
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return read(answer);
  throw refusal(response.status, answer);
}

/** What the server told when it refused. */
export function refusal(status: number, answer: unknown): Refused {
  const told = problemSchema.safeParse(answer);
  return told.success
    ? new Refused(status, told.data.detail, told.data.faults)
    : new Refused(status, `The server answered ${status}. Try again.`);
}
