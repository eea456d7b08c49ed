import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { FORMATS_WITH_TABLES, tableOf, untold, withTables } from './formatTables';

const page = readFileSync(join(import.meta.dirname, '..', 'docs', 'formats.md'), 'utf8');

test.each(FORMATS_WITH_TABLES)('every key of %s is told, and no other', (name) => {
  expect(untold(name)).toEqual({ missing: [], needless: [] });
  expect(page).toContain(`<!-- table: ${name} -->`);
});

test('the tables of the page are those of the schemas (npm run -s schemas)', () => {
  expect(withTables(page)).toBe(page);
});

test('a row tells bounds, words and what holds when nothing is said', () => {
  const rows = tableOf('kitchen').split('\n');
  expect(rows).toContain('| `cooks[].handLengthMm` | 120–260 | wrist crease to the tip of the middle finger | 185 |');
  expect(rows).toContain('| `cooksAtOnce` | 1–60, whole | how many work side by side | 1 |');
  expect(rows.find((row) => row.includes('habits.lifts'))).toContain('flat, never or null');
  expect(withTables('a\n<!-- table: nothing -->x<!-- end -->')).toContain('x');
});
