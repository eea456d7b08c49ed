import { expect, test } from 'vitest';
import { MadeOnce } from './madeOnce';
import { BytesInFlight } from './pace';
import { reread } from './reread';

test('a text is made once however many ask, is remembered, and a failure is not', async () => {
  const texts = new MadeOnce(30);
  let made = 0;
  const make = async () => {
    await new Promise((resolve) => setTimeout(resolve, 5));
    return `text ${++made}`;
  };
  expect(await Promise.all([texts.get('a', make), texts.get('a', make)])).toEqual(['text 1', 'text 1']);
  expect(await texts.get('a', make)).toBe('text 1');
  await expect(texts.get('b', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect(await texts.get('b', make)).toBe('text 2');
  // beyond its size the least used is forgotten
  await texts.get('c', () => Promise.resolve('x'.repeat(20)));
  expect(await texts.get('a', make)).toBe('text 3');
});

test('what seldom changes is read again after a while, and after a failure', async () => {
  let reads = 0;
  const fails = { now: true };
  const read = reread(20, () => (fails.now ? Promise.reject(new Error('away')) : Promise.resolve(++reads)));
  await expect(read()).rejects.toThrow('away');
  fails.now = false;
  expect([await read(), await read()]).toEqual([1, 1]);
  await new Promise((resolve) => setTimeout(resolve, 40));
  expect(await read()).toBe(2);
});

test('bytes in flight are bounded for each client and for all, and come back', () => {
  const bytes = new BytesInFlight({ client: 10, all: 15 });
  expect([bytes.add('a', 8), bytes.add('a', 3), bytes.add('b', 7), bytes.add('c', 1)]).toEqual([
    true,
    false,
    true,
    false,
  ]);
  bytes.remove('a', 8);
  expect([bytes.add('c', 8), bytes.add('b', 4)]).toEqual([true, false]);
});
