import { afterEach, expect, test, vi } from 'vitest';
import { z } from '../core/zod';
import { ask, Refused } from './http';

const answers = (response: () => Promise<Response>) => {
  const fake = vi.fn<typeof fetch>(response);
  vi.stubGlobal('fetch', fake);
  return fake;
};
const why = async (work: Promise<unknown>): Promise<Refused> => {
  const error: unknown = await work.then(
    () => new Error('was not refused'),
    (e: unknown) => e,
  );
  if (!(error instanceof Refused)) throw error;
  return error;
};
const number = (value: unknown) => z.number().parse(value);

afterEach(() => vi.unstubAllGlobals());

test('an answer is parsed, and a body is sent as JSON', async () => {
  const fake = answers(() => Promise.resolve(new Response('7')));
  expect(await ask(number, '/a', 'PUT', { b: 1 })).toBe(7);
  const [url, sent] = fake.mock.calls[0] ?? [];
  expect(url).toBe('/a');
  expect(sent?.body).toBe('{"b":1}');
  await expect(ask((v) => z.string().parse(v), '/a')).rejects.toThrow();
});

test('a refusal keeps the server’s words and faults', async () => {
  const details = {
    title: 'Not usable',
    status: 422,
    detail: 'One thing is wrong',
    faults: [{ path: 'name', message: 'is empty' }],
  };
  answers(() => Promise.resolve(new Response(JSON.stringify(details), { status: 422 })));
  const refused = await why(ask(number, '/a'));
  expect([refused.status, refused.message, refused.faults]).toEqual([422, 'One thing is wrong', details.faults]);
});

test('a server that is away, or answers nonsense, is told in plain words', async () => {
  answers(() => Promise.reject(new TypeError('failed to fetch')));
  expect((await why(ask(number, '/a'))).message).toContain('nothing is lost on this page');
  answers(() => Promise.resolve(new Response('<html>', { status: 502 })));
  const odd = await why(ask(number, '/a'));
  expect([odd.status, odd.message]).toEqual([502, 'The server answered 502. Try again.']);
});

test('what only reads is asked again while the server is busy; what changes something is not', async () => {
  const busy = () => new Response('{"detail":"Busy."}', { status: 503, headers: { 'retry-after': '0.01' } });
  let left = 2;
  const fake = answers(() => Promise.resolve(left-- > 0 ? busy() : new Response('7')));
  expect(await ask(number, '/a')).toBe(7);
  expect(fake).toHaveBeenCalledTimes(3);
  left = 9;
  expect((await why(ask(number, '/a'))).status).toBe(503);
  expect(fake).toHaveBeenCalledTimes(6);
  expect((await why(ask(number, '/a', 'PUT', {}))).message).toBe('Busy.');
  expect(fake).toHaveBeenCalledTimes(7);
});
