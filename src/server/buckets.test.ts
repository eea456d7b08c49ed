import { expect, test } from 'vitest';
import { TokenBuckets } from './buckets';

test('a bucket gives its burst at once, then as fast as it refills, each client from its own', () => {
  const buckets = new TokenBuckets(3, 2);
  const taken = (now: number, many: number) => Array.from({ length: many }, () => buckets.take('a', now));
  expect(taken(0, 5)).toEqual([0, 0, 0, 1, 1]);
  expect(buckets.take('b', 0)).toBe(0);
  expect(taken(1000, 3)).toEqual([0, 0, 1]);
  // it holds no more than its burst, however long it rests
  expect(taken(1_000_000, 4)).toEqual([0, 0, 0, 1]);
});

test('only so many clients are remembered', () => {
  const buckets = new TokenBuckets(1, 0.001, 2);
  for (const key of ['a', 'b', 'c']) expect(buckets.take(key, 0)).toBe(0);
  expect(buckets.take('c', 1)).toBeGreaterThan(0);
  expect(buckets.take('a', 1)).toBe(0);
});

test('what costs more takes more, and is told how long until there is enough', () => {
  const buckets = new TokenBuckets(10, 2);
  expect([buckets.take('a', 0, 8), buckets.take('a', 0, 8), buckets.take('a', 0, 2)]).toEqual([0, 3, 0]);
});
