import { afterEach, describe, expect, test, vi } from 'vitest';
import { z } from 'zod';
import { FaultyInput } from '../core/formats/faults';
import { Answer, answering, json, notFound, problem, readBody, readText } from './http';

const post = (body: string | ReadableStream, headers: Record<string, string> = {}) =>
  new Request('http://127.0.0.1/', {
    method: 'POST',
    body,
    headers,
    ...(typeof body === 'string' ? {} : { duplex: 'half' }),
  });
const endless = () =>
  new ReadableStream({
    pull: (controller) => controller.enqueue(new Uint8Array(4096)),
  });
const refused = async (work: Promise<unknown>): Promise<{ status: number; body: string }> => {
  const error: unknown = await work.then(
    () => new Error('was not refused'),
    (e: unknown) => e,
  );
  if (!(error instanceof Answer)) throw error;
  return { status: error.response.status, body: await error.response.text() };
};

afterEach(() => vi.restoreAllMocks());

describe('bodies', () => {
  const schema = z.strictObject({ name: z.string() });

  test('are read whole up to the limit and refused beyond it, said or unsaid', async () => {
    expect(await readText(post('äöü'), 100)).toBe('äöü');
    expect(await readText(new Request('http://127.0.0.1/'), 100)).toBe('');
    expect((await refused(readText(post('x'.repeat(101)), 100))).status).toBe(413);
    // a length that lies: the stream itself is stopped
    expect((await refused(readText(post(endless()), 10_000))).status).toBe(413);
    expect((await refused(readText(post('x', { 'content-length': '999999' }), 100))).status).toBe(413);
  });

  test('that are not JSON or have another shape are refused with every fault named', async () => {
    expect(await readBody(post('{"name":"a"}'), schema, 100)).toEqual({ name: 'a' });
    expect((await refused(readBody(post('{'), schema, 100))).status).toBe(400);
    const wrong = await refused(readBody(post('{"name":1,"nane":2}'), schema, 100));
    expect(wrong.status).toBe(422);
    expect(wrong.body).toContain('"path":"name"');
    expect(wrong.body).toContain('"path":"nane"');
    expect(wrong.body).toContain('2 things are wrong; nothing was changed');
  });
});

describe('answers', () => {
  test('are never cached, and problems say so in their type', async () => {
    expect(json({ a: 1 }, 201).status).toBe(201);
    for (const response of [json({}), problem(409, 'a', 'b'), notFound()])
      expect(response.headers.get('cache-control')).toBe('no-store');
    expect(problem(409, 'Stale', 'why').headers.get('content-type')).toBe('application/problem+json');
    expect(await problem(409, 'Stale', 'why').json()).toEqual({
      type: 'about:blank',
      title: 'Stale',
      status: 409,
      detail: 'why',
    });
  });

  test('thrown answers and faults become responses; anything else a plain 500 without internals', async () => {
    const log = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const throwing = (error: Error) => answering(() => Promise.reject(error))(undefined);
    expect((await throwing(new Answer(json({}, 418)))).status).toBe(418);
    expect((await throwing(new FaultyInput([{ path: 'a', message: 'b' }]))).status).toBe(422);
    expect(log).not.toHaveBeenCalled();
    const broken = await throwing(new Error('secret path /var/x'));
    expect(broken.status).toBe(500);
    expect(await broken.text()).not.toContain('secret');
    expect(log).toHaveBeenCalledOnce();
    await throwing(Object.assign(new Error('gone'), { code: 'ECONNRESET' }));
    expect(log).toHaveBeenCalledOnce();
  });
});
