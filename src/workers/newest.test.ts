import { expect, test } from 'vitest';
import { Newest } from './newest';

/** Work of some slices that notes each; what it comes to is its name. */
function* slices(name: string, count: number, done: string[]): Generator<string, string> {
  for (let i = 1; i <= count; i++) {
    done.push(`${name}${i}`);
    yield `${name}${i}`;
  }
  return name;
}
const breath = () => new Promise<void>((resolve) => setImmediate(resolve));

test('work runs to its end and tells every slice', async () => {
  const told: string[] = [];
  const newest = new Newest(breath);
  newest.ask();
  expect(await newest.run(slices('a', 3, []), (part) => told.push(part))).toBe('a');
  expect(told).toEqual(['a1', 'a2', 'a3']);
});

test('a newer question ends the older one at its next breath, whose details are told no more', async () => {
  const newest = new Newest(breath);
  const done: string[] = [];
  const told: string[] = [];
  newest.ask();
  const older = newest.run(slices('a', 1000, done), (part) => told.push(part));
  await breath();
  await breath();
  newest.ask();
  const before = done.length;
  const newer = newest.run(slices('b', 2, done));
  expect(await older).toBeNull();
  expect(await newer).toBe('b');
  expect(before).toBeGreaterThan(0);
  expect(done.filter((slice) => slice.startsWith('a'))).toHaveLength(before);
  expect(told).toHaveLength(before);
});

test('two pieces of work for one question run side by side, and stopping ends both', async () => {
  const newest = new Newest(breath);
  const id = newest.ask();
  const done: string[] = [];
  const both = [newest.run(slices('a', 2, done)), newest.run(slices('b', 2, done))];
  expect(await Promise.all(both)).toEqual(['a', 'b']);
  const stopped = newest.run(slices('c', 2, done));
  newest.ask();
  expect(await stopped).toBeNull();
  expect(newest.isStanding(id)).toBe(false);
  expect(done).not.toContain('c1');
});
