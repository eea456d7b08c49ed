import fc from 'fast-check';
import { expect, test } from 'vitest';
import { FaultyInput } from './faults';
import { NotJson } from './json';
import { JsonCutter, type Cut } from './jsonCutter';

const opensTwo = (path: readonly (string | number)[]) => path.length < 2;

/** Everything cut from a text that comes in pieces of so many characters. */
function cuts(text: string, piece: number, longest = 10_000): Cut[] {
  const cutter = new JsonCutter(opensTwo, longest);
  const found: Cut[] = [];
  for (let at = 0; at < text.length; at += piece) found.push(...cutter.feed(text.slice(at, at + piece)));
  found.push(...cutter.end());
  return found;
}

/** What the cuts say put together again. */
function assembled(found: Cut[]): unknown {
  let root: unknown;
  const at = (path: Cut['path']) => path.reduce<unknown>((in_, key) => (in_ as Record<string, unknown>)[key], root);
  for (const cut of found) {
    const value: unknown = 'text' in cut ? JSON.parse(cut.text) : cut.opened === 'list' ? [] : {};
    const key = cut.path.at(-1);
    if (key === undefined) root = value;
    else
      Object.defineProperty(at(cut.path.slice(0, -1)), key, {
        value,
        enumerable: true,
        configurable: true,
        writable: true,
      });
  }
  return root;
}

test('any JSON, cut anywhere and written anyhow, is what it was', () => {
  fc.assert(
    fc.property(fc.json(), fc.integer({ min: 1, max: 40 }), fc.nat(3), (text, piece, indent) => {
      const value: unknown = JSON.parse(text);
      expect(assembled(cuts(JSON.stringify(value, null, indent), piece))).toEqual(value);
    }),
    { numRuns: 400 },
  );
});

test('values are handed out whole as soon as they are there, and containers are told as they open', () => {
  const cutter = new JsonCutter((path) => path.length === 0, 100);
  expect([...cutter.feed('{"a" : [1, {"b": "]}\\""}], "c":')]).toEqual([
    { path: [], opened: 'object' },
    { path: ['a'], text: '[1, {"b": "]}\\""}]' },
  ]);
  expect([...cutter.feed('tr')]).toEqual([]);
  expect([...cutter.feed('ue}')]).toEqual([{ path: ['c'], text: 'true' }]);
  expect([...cutter.end()]).toEqual([]);
});

test('what is no JSON is told as such, what is too long as too long', () => {
  for (const text of ['{"a" 1}', '{"a":1,}', '[1 2]', '{"a":1', '{"a":1}}', '{a:1}', '{"a":}', '[,1]', '', '{"a":[}'])
    expect(() => cuts(text, 3), text).toThrow(NotJson);
  expect(() => cuts(`{"a":"${'x'.repeat(200)}"}`, 50, 100)).toThrow(FaultyInput);
  expect(() => cuts(`{"a":${'['.repeat(500)}`, 50, 100)).toThrow(FaultyInput);
});
