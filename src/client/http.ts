import type { Fault } from '../core/formats/faults';

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
/** What only reads is asked again so often where the server says that it is busy, and so long is waited at most each time, s. */
const AGAIN = { times: 2, wait: 3 };

/** Asks our own server; `read` parses what comes back. Throws {@link Refused} with the server's reason. */
export async function ask<T>(
  read: (answer: unknown) => T,
  url: string,
  method = 'GET',
  body?: unknown,
  again = method === 'GET' ? AGAIN.times : 0,
): Promise<T> {
  const response = await fetch(url, {
    method,
    signal: AbortSignal.timeout(MOST_MS),
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  }).catch(() => {
    throw new Refused(0, 'The server does not answer. Check that it is running; nothing is lost on this page.');
  });
  if (response.status === 503 && again > 0) {
    const wait = Math.min(AGAIN.wait, Number(response.headers.get('retry-after')) || 1);
    await new Promise((resolve) => setTimeout(resolve, 1000 * wait));
    return ask(read, url, method, body, again - 1);
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return read(answer);
  throw refusal(response.status, answer);
}

// The answers every page waits for are read without the validation library, which need not be loaded for them.

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
const isFault = (value: unknown): value is Fault =>
  isRecord(value) && typeof value.path === 'string' && typeof value.message === 'string';

/** The version in an answer. Throws a TypeError where it tells none. */
export function versionIn(answer: unknown): number {
  if (isRecord(answer) && typeof answer.version === 'number') return answer.version;
  throw new TypeError('The answer tells no version.');
}

/** What the server told when it refused. */
export function refusal(status: number, answer: unknown): Refused {
  if (!isRecord(answer) || typeof answer.detail !== 'string')
    return new Refused(status, `The server answered ${status}. Try again.`);
  const { detail, faults } = answer;
  return new Refused(status, detail, Array.isArray(faults) ? faults.filter(isFault) : []);
}
