import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { agree, parseSheet, SHEETS } from './pinned';

/** Lines told of those that moved. */
const TOLD = 5;

// the plans are held beside their verdicts, in the panel
test.each(['scores', 'edges'] as const)(
  '%s stand as they were pinned; written anew by npm run -s pin where a change is meant',
  (name) => {
    const pinned = parseSheet(readFileSync(join(import.meta.dirname, 'pinned', `${name}.tsv`), 'utf8'));
    const now = [...SHEETS[name]()];
    expect(now.map(([key]) => key)).toEqual([...pinned.keys()]);
    const moved = now.filter(([key, value]) => !agree(pinned.get(key) ?? '', value));
    expect(moved.slice(0, TOLD).map(([key, value]) => ({ key, was: pinned.get(key), is: value }))).toEqual([]);
  },
);

test('a moved figure and another word are told, what rounding does is not', () => {
  expect(agree('80.1 12.0', '80.2 12.0')).toBe(true);
  expect(agree('80.1 12.0', '80.4 12.0')).toBe(false);
  expect(agree('buy chef 80.1', 'buy gyuto 80.1')).toBe(false);
  expect(agree('80.1', '80.1 3.0')).toBe(false);
});
