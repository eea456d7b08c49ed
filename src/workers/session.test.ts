import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { session } from './session';

const kitchen = (name: string): KitchenFile => ({ format: 'scabbard.kitchen', version: 1, name });

/** A server with one kitchen, as far as saving it goes: only the version it has may be saved over. */
let stored: { version: number; kitchen: KitchenFile };
/** What a request is answered instead, once. */
let instead: (() => Response) | null;
const problem = (status: number, detail: string, faults?: object[]) => Response.json({ detail, faults }, { status });

beforeEach(() => {
  stored = { version: 3, kitchen: kitchen('as it is') };
  instead = null;
  vi.stubGlobal('fetch', (url: string, { method, body = '{}' }: { method: string; body?: string }) => {
    const answer = instead;
    instead = null;
    if (answer) return Promise.resolve().then(answer);
    if (method !== 'PUT') return Promise.resolve(Response.json({ id: url.split('/').at(-1), ...stored }));
    const sent = JSON.parse(body) as typeof stored;
    if (sent.version !== stored.version) return Promise.resolve(problem(409, 'It has been changed elsewhere.'));
    stored = { version: stored.version + 1, kitchen: sent.kitchen };
    return Promise.resolve(Response.json({ version: stored.version }));
  });
});
afterEach(() => vi.unstubAllGlobals());

test('a save over the version it was made on is taken and tells the next', async () => {
  expect(await session.save('k', 3, kitchen('changed'), '')).toEqual({ version: 4 });
  expect(stored.kitchen.name).toBe('changed');
  expect(await session.version('k')).toBe(4);
  expect((await session.fetch('k')).kitchen.name).toBe('changed');
});

test('what somebody else has written is never saved over', async () => {
  expect(await session.save('k', 2, kitchen('mine'), '')).toEqual({
    refused: 409,
    why: 'It has been changed elsewhere.',
  });
  const foreign = JSON.stringify({ version: 1, kitchen: kitchen('mine'), sent: null, cutOff: false });
  expect(await session.save('k', 2, kitchen('mine'), foreign)).toMatchObject({ refused: 409 });
  expect(stored.kitchen.name).toBe('as it is');
});

test('what the page before sent on its way out is its own, and is saved over', async () => {
  const ours = JSON.stringify({ version: 2, kitchen: kitchen('later'), sent: kitchen('as it is'), cutOff: false });
  expect(await session.save('k', 2, kitchen('latest'), ours)).toEqual({ version: 4 });
  expect(stored.kitchen.name).toBe('latest');
});

test('a refusal is told in the server’s words, by the places where the kitchen is wrong', async () => {
  const faults = [
    { path: 'board.lengthMm', message: '20 is not between 150 and 1500' },
    { path: 'budget.total', message: 'is below 0' },
  ];
  instead = () => problem(422, 'The kitchen cannot be read.', faults);
  expect(await session.save('k', 3, kitchen('wrong'), '')).toEqual({
    refused: 422,
    why: 'board.lengthMm: 20 is not between 150 and 1500; budget.total: is below 0',
  });
  instead = () => new Response('<html>', { status: 502 });
  expect(await session.save('k', 3, kitchen('mine'), '')).toEqual({
    refused: 502,
    why: 'The server answered 502. Try again.',
  });
});

test('a server that does not answer, or answers what cannot be read, loses nothing and is told', async () => {
  instead = () => {
    throw new TypeError('fetch failed');
  };
  expect(await session.save('k', 3, kitchen('mine'), '')).toEqual({
    refused: 0,
    why: expect.stringContaining('does not answer') as string,
  });
  instead = () => Response.json({ neither: 'version' });
  expect(await session.save('k', 3, kitchen('mine'), '')).toEqual({
    refused: 0,
    why: 'The kitchen could not be saved.',
  });
  expect(stored.kitchen.name).toBe('as it is');
  await expect(session.version('k')).resolves.toBe(3);
});
