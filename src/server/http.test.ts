import { afterEach, describe, expect, test, vi } from 'vitest';
import { FaultyInput } from '../core/formats/faults';
import { log } from './log';
import { Answer, answering, faulty, json, notFound, problem } from './http';
import { readBody, readText } from './readBody';

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
  test('are read whole up to the limit and refused beyond it, said or unsaid', async () => {
    expect(await readText(post('äöü'), 100)).toBe('äöü');
    expect(await readText(new Request('http://127.0.0.1/'), 100)).toBe('');
    expect((await refused(readText(post('x'.repeat(101)), 100))).status).toBe(413);
    // a length that lies: the stream itself is stopped
    expect((await refused(readText(post(endless()), 10_000))).status).toBe(413);
    expect((await refused(readText(post('x', { 'content-length': '999999' }), 100))).status).toBe(413);
  });

  test('that are not JSON or have another shape are refused with every fault named', async () => {
    expect(await readBody(post('{"name":"a"}'), 'change')).toEqual({ name: 'a' });
    expect((await refused(readBody(post('{'), 'change'))).status).toBe(400);
    const body = { version: 1, kitchen: { format: 'scabbard.kitchen', version: 1, name: 1, nane: 2 } };
    const wrong: unknown = await readBody(post(JSON.stringify(body)), 'save').catch((e: unknown) => e);
    if (!(wrong instanceof FaultyInput)) throw new Error('was not refused');
    expect(wrong.faults.map((f) => f.path).sort()).toEqual(['kitchen.name', 'kitchen.nane']);
    expect(await faulty(wrong.faults).json()).toMatchObject({ detail: '2 things are wrong; nothing was changed.' });
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
    const written = vi.spyOn(log, 'error').mockImplementation(() => undefined);
    const request = new Request('http://127.0.0.1/');
    const throwing = (error: Error) => answering(() => Promise.reject(error))({ request });
    expect((await throwing(new Answer(json({}, 418)))).status).toBe(418);
    expect((await throwing(new FaultyInput([{ path: 'a', message: 'b' }]))).status).toBe(422);
    expect(written).not.toHaveBeenCalled();
    const broken = await throwing(new Error('secret path /var/x'));
    expect(broken.status).toBe(500);
    expect(await broken.text()).not.toContain('secret');
    expect(written).toHaveBeenCalledOnce();
    const away = await throwing(Object.assign(new Error('gone'), { code: 'ECONNREFUSED' }));
    expect([away.status, away.headers.get('retry-after')]).toEqual([503, '5']);
    expect((await throwing(Object.assign(new Error('full'), { code: '53100' }))).status).toBe(507);
  });
});
