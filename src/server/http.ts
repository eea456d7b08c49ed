import { FaultyInput, type Fault } from '../core/formats/faults';
import { described, outage } from './failures';
import { log } from './log';

/** Problem details (RFC 9457) with the faults of the input where there are any. */
export function problem(
  status: number,
  title: string,
  detail: string,
  { faults, headers = {} }: { faults?: Fault[]; headers?: Record<string, string> } = {},
): Response {
  return new Response(JSON.stringify({ type: 'about:blank', title, status, detail, ...(faults ? { faults } : {}) }), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers },
  });
}

/** Seconds after which a request is worth sending again while the database is away. */
export const RETRY_AFTER = 5;

/** The answer while the database is away or its disk is full. */
export const unavailable = (why: 'away' | 'full') =>
  why === 'full'
    ? problem(507, 'No room', 'The disk of the server is full: nothing was changed. What is stored can still be read.')
    : problem(
        503,
        'Not now',
        'The database does not answer just now. Try again in a moment; what was saved before is kept.',
        {
          headers: { 'retry-after': String(RETRY_AFTER) },
        },
      );

/** The answer where a workspace holds all it may. */
export const full = (what: string) => problem(409, 'Full', what);

/** Number of a request, as it stands in the log. */
export const requestId = (request: Request): string => request.headers.get('x-scabbard-request') ?? '';

/** A JSON answer that is never cached. */
export function json(value: unknown, status = 200): Response {
  return new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  });
}

export const notFound = () =>
  problem(404, 'Not found', 'There is no such kitchen in this workspace. Go back to the start to see yours.');

/** Thrown to answer at once. */
export class Answer extends Error {
  constructor(public readonly response: Response) {
    super('answered');
  }
}

/** The answer to a client that asks too fast: when to go on, in seconds. */
export const slow = (wait: number) =>
  new Answer(
    problem(429, 'Too fast', `Too many changes at once. Try again in ${wait === 1 ? 'a second' : `${wait} seconds`}.`, {
      headers: { 'retry-after': String(wait) },
    }),
  );

/** The answer where the server has too much to do for this just now. */
export const busy = (why: string, seconds = 1) =>
  new Answer(problem(503, 'Busy', why, { headers: { 'retry-after': String(seconds) } }));

export const faulty = (faults: Fault[]) =>
  problem(
    422,
    'Not usable',
    `${faults.length === 1 ? 'One thing is' : `${faults.length} things are`} wrong; nothing was changed.`,
    {
      faults,
    },
  );

/** Wraps an endpoint: a thrown Answer or FaultyInput becomes its response, an outage 503 or 507, anything else a plain 500 without internals. */
export function answering<C extends { request: Request }>(
  work: (context: C) => Promise<Response>,
): (context: C) => Promise<Response> {
  return async (context) => {
    try {
      return await work(context);
    } catch (error) {
      if (error instanceof Answer) return error.response;
      if (error instanceof FaultyInput) return faulty(error.faults);
      // a browser that leaves in mid-request is no fault of ours
      if (context.request.signal.aborted) return problem(499, 'Gone', 'The request was given up.');
      return failed(context.request, error);
    }
  };
}

/** Writes an unexpected error to the log and answers without its words; the number finds it there. */
export function failed(request: Request, error: unknown): Response {
  const id = requestId(request);
  const why = outage(error);
  log.error({ request: id, ...(why ? { outage: why } : {}), ...described(error) }, 'request failed');
  return why
    ? unavailable(why)
    : problem(
        500,
        'Something broke',
        `The server could not do this, and nothing was changed. Try again; if it stays, tell the number ${id}.`,
      );
}
