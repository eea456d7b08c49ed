import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pathForLog, readAddress } from './address';
import { Admission } from './admission';
import { arrivalTime, clientOf, hostsAllowed } from './front';

/** What comes before every page: the address is read once, the client is known, and no more is let in than can be answered. */

describe('an address', () => {
  const path = (target: string) => readAddress(target)?.path ?? null;

  test('is the same however it was written', () => {
    for (const target of ['/_image', '/%5fimage', '/./_image', '/x/../_image', '//_image', '/_image/', '/%5Fimage?a=1'])
      expect([target, path(target)]).toEqual([target, '/_image']);
    expect(path('/')).toBe('/');
    expect(path('/../../etc/passwd')).toBe('/etc/passwd');
    expect(path('/kitchens/a%20b/try')).toBe('/kitchens/a%20b/try');
    expect(readAddress('/a/?b=../c')).toEqual({ path: '/a', query: '?b=../c' });
  });

  test('that hides another one in it, or cannot be decoded, is refused', () => {
    for (const target of ['/a%2fb', '/a%5cb', '/a\\b', '/%00', '/%', '/%255fimage', 'http://x/', '*', '', '/%ff'])
      expect([target, path(target)]).toEqual([target, null]);
  });

  test('read again is what it was, whatever it is', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.webPath(),
          fc.string().map((text) => `/${text}`),
        ),
        (target) => {
          const read = readAddress(target);
          if (read) expect(readAddress(read.path)).toEqual({ path: read.path, query: '' });
        },
      ),
    );
  });

  test('that is a key is not written down, however it was spelt', () => {
    for (const target of ['/shown/SECRET', '/%73hown/SECRET', '/x/../shown/SECRET', '//calendar/SECRET.ics'])
      expect(pathForLog(path(target) ?? '')).not.toContain('SECRET');
    expect(pathForLog('/kitchens/1')).toBe('/kitchens/1');
    expect(pathForLog(`/${'x'.repeat(900)}`)).toHaveLength(200);
  });
});

test('a server answers to loopback names and to those that are allowed', () => {
  const [own, more] = [hostsAllowed(), hostsAllowed('Knives.example, b.example')];
  expect(['127.0.0.1:80', '[::1]:80', 'localhost'].every(own)).toBe(true);
  expect(['knives.example', '127.0.0.1.elsewhere.test', '[', undefined].some(own)).toBe(false);
  expect([more('knives.EXAMPLE:443'), more('c.example')]).toEqual([true, false]);
});

test('only a workspace file may take minutes to arrive', () => {
  expect(arrivalTime('POST', '/api/workspace')).toBe(600_000);
  for (const [method, path] of [['PUT', '/api/workspace'], ['POST', '/api/workspace/browsers'], ['POST'], []])
    expect(arrivalTime(method, path)).toBe(60_000);
});

test('what a proxy wrote of a client is believed only as far as proxies are trusted', () => {
  const headers = { 'x-forwarded-for': '9.9.9.9, 10.0.0.1, 10.0.0.2', 'x-forwarded-proto': 'https' };
  const socket = { remoteAddress: '1.1.1.1' };
  const client = (proxies: number, more = {}) => clientOf({ headers: { ...headers, ...more }, socket }, proxies);
  expect(client(0)).toEqual({ client: '1.1.1.1', protocol: 'http:' });
  expect(client(1)).toEqual({ client: '10.0.0.2', protocol: 'https:' });
  expect(client(2).client).toBe('10.0.0.1');
  expect(client(1, { 'x-forwarded-for': 'nonsense' }).client).toBe('1.1.1.1');
});

describe('admission', () => {
  const wide = { working: 9, workingOfClient: 9, open: 99, openOfClient: 99, workingMs: 60_000 };

  test('lets in so many, refuses the others, and lets in again when one is done', () => {
    const admission = new Admission({ ...wide, working: 2 });
    const [first, second] = [admission.enter('a'), admission.enter('a')];
    expect([first, second].every((leave) => leave !== null)).toBe(true);
    expect(admission.enter('a')).toBeNull();
    first?.();
    // leaving twice frees one place, not two
    first?.();
    const third = admission.enter('a');
    expect([third === null, admission.enter('a')]).toEqual([false, null]);
    second?.();
    third?.();
  });

  test('a request that waits for something else makes room for others, up to a number', async () => {
    const admission = new Admission({ ...wide, working: 1, open: 2, workingMs: 5 });
    const slow = admission.enter('a');
    expect(admission.enter('a')).toBeNull();
    await new Promise((resolve) => setTimeout(resolve, 30));
    const other = admission.enter('a');
    expect(other).not.toBeNull();
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(admission.enter('a')).toBeNull();
    slow?.();
    expect(admission.enter('a')).not.toBeNull();
  });

  test('one client never takes every place', () => {
    const admission = new Admission({ ...wide, working: 3, workingOfClient: 2 });
    const mine = [admission.enter('a'), admission.enter('a'), admission.enter('a')];
    expect(mine.map((leave) => leave !== null)).toEqual([true, true, false]);
    expect(admission.enter('b')).not.toBeNull();
    mine[0]?.();
    expect([admission.enter('a') === null, admission.enter('b')]).toEqual([false, null]);
  });
});
