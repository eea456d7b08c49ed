import { faultsOf, FaultyInput, type Fault } from '../core/formats/faults';
import type { z } from 'zod';

/** Problem details (RFC 9457) with the faults of the input where there are any. */
export function problem(status: number, title: string, detail: string, more: { faults?: Fault[] } = {}): Response {
  return new Response(JSON.stringify({ type: 'about:blank', title, status, detail, ...more }), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}

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

/** Reads a request's body as text, never more than `limit` bytes. Throws {@link Answer} with 413 beyond it. */
export async function readText(request: Request, limit: number): Promise<string> {
  const tooLarge = () =>
    new Answer(
      problem(413, 'Too large', `The body is larger than ${Math.round(limit / 1024)} kB, the most that is read.`),
    );
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > limit) {
      await reader.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** Reads and parses a JSON body. Throws {@link Answer} with 400 (not JSON), 413 or 422 (wrong shape, every fault named). */
export async function readBody<T extends z.ZodType>(request: Request, schema: T, limit: number): Promise<z.infer<T>> {
  const text = await readText(request, limit);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Answer(problem(400, 'Not JSON', 'The body is not JSON.'));
  }
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new Answer(faulty(faultsOf(parsed.error)));
  return parsed.data;
}

export const faulty = (faults: Fault[]) =>
  problem(
    422,
    'Not usable',
    `${faults.length === 1 ? 'One thing is' : `${faults.length} things are`} wrong; nothing was changed.`,
    {
      faults,
    },
  );

/** Wraps an endpoint: a thrown Answer or FaultyInput becomes its response, anything else a plain 500 without internals. */
export function answering<C = unknown>(work: (context: C) => Promise<Response>): (context: C) => Promise<Response> {
  return async (context) => {
    try {
      return await work(context);
    } catch (error) {
      if (error instanceof Answer) return error.response;
      if (error instanceof FaultyInput) return faulty(error.faults);
      // a browser that leaves in mid-request is no fault of ours
      if (!(error instanceof Error && 'code' in error && error.code === 'ECONNRESET')) console.error(error);
      return problem(500, 'Something broke', 'The server could not do this. Nothing was changed; try again.');
    }
  };
}
