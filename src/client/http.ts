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
/** Reading is tried so often where the server says that it is busy, and so long is waited at most, ms. */
const TRIES = { most: 3, waitMs: 3_000 };

/** Asks our own server; `read` parses what comes back. Throws {@link Refused} with the server's reason. */
export async function ask<T>(read: (answer: unknown) => T, url: string, method = 'GET', body?: unknown): Promise<T> {
  const signal = AbortSignal.timeout(MOST_MS);
  const init = {
    method,
    signal,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  };
  const response = await answered(url, init);
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return read(answer);
  throw refusal(response.status, answer);
}

/** The answer to a request; what only reads is asked again while the server is busy. */
async function answered(url: string, init: RequestInit): Promise<Response> {
  for (let tried = 1; ; tried++) {
    const response = await fetch(url, init).catch(() => {
      throw new Refused(0, 'The server does not answer. Check that it is running; nothing is lost on this page.');
    });
    if (response.status !== 503 || init.method !== 'GET' || tried >= TRIES.most) return response;
    const wait = Math.min(TRIES.waitMs, 1000 * (Number(response.headers.get('retry-after')) || 1));
    await new Promise((resolve) => setTimeout(resolve, wait));
  }
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
