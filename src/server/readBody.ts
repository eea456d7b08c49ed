// What a request carries: bounded, counted while it is in memory, parsed by its schema.
import { FaultyInput } from '../core/formats/faults';
import { NotJson } from '../core/formats/json';
import { BODIES, type Body, type BodyName, type OwnNames } from './bodies';
import { Answer, busy, problem } from './http';
import { reserve, SHORT } from './pace';
import { readApart } from './reading';
import { isGivenUp, isQueueFull } from './threads';

const tooLarge = (limit: number) =>
  new Answer(
    problem(413, 'Too large', `The body is larger than ${Math.round(limit / 1024)} kB, the most that is read.`),
  );

/** Most bytes a request's body may turn out to have: what it says, or the limit where it does not say. Throws {@link Answer} with 413. */
export function bytesOf(request: Request, limit: number): number {
  const said = request.headers.get('content-length');
  if (said === null) return request.body ? limit : 0;
  if (Number(said) > limit) throw tooLarge(limit);
  return Number(said) || 0;
}

/** The parts of a request's body, never more than `limit` bytes in all. Throws {@link Answer} with 413 beyond it. */
export async function* bodyParts(request: Request, limit: number): AsyncGenerator<Uint8Array, void> {
  const reader = request.body?.getReader();
  if (!reader) return;
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    size += value.byteLength;
    if (size > limit) {
      await reader.cancel();
      throw tooLarge(limit);
    }
    yield value;
  }
}

/** A request's body as text, never more than `limit` bytes. Throws {@link Answer} with 413 beyond it. */
export async function readText(request: Request, limit: number): Promise<string> {
  bytesOf(request, limit);
  const parts: Uint8Array[] = [];
  for await (const part of bodyParts(request, limit)) parts.push(part);
  return Buffer.concat(parts).toString('utf8');
}

/** Reads a body; the models of the workspace are asked for only where it names something that is not shipped. */
async function readKnowing<N extends BodyName>(which: N, text: string, own: () => Promise<OwnNames>): Promise<Body<N>> {
  try {
    return await readApart(which, text, []);
  } catch (error) {
    if (!(error instanceof FaultyInput) || error instanceof NotJson) throw error;
    const names = await own();
    if (names.length === 0) throw error;
    return await readApart(which, text, names);
  }
}

export interface Reading {
  /** The models of the workspace, which ids in the body may name besides the shipped ones. */
  own?: () => Promise<OwnNames>;
  /** What must hold before a long body is read at all, as that the kitchen is there; a short one is read faster than that is asked. */
  first?: () => Promise<void>;
}

/**
 * Reads and parses a JSON body; ids are looked up among the shipped models and `own`. Throws {@link Answer} with 400 (not JSON), 413, 422 (wrong in
 * itself, the faults named) or 503 (too much in flight), or what `first` throws.
 */
export async function readBody<N extends BodyName>(
  request: Request,
  which: N,
  { own = () => Promise.resolve([]), first = () => Promise.resolve() }: Reading = {},
): Promise<Body<N>> {
  const { bytes } = BODIES[which];
  const expected = bytesOf(request, bytes);
  if (expected > SHORT) await first();
  const release = reserve(request, expected);
  try {
    return await readKnowing(which, await readText(request, bytes), own);
  } catch (error) {
    if (error instanceof NotJson) throw new Answer(problem(400, 'Not JSON', 'The body is not JSON.'));
    if (isQueueFull(error) || isGivenUp(error))
      throw busy('The server is reading many long files just now. Try again in a moment.');
    throw error;
  } finally {
    release();
  }
}
