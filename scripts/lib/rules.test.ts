import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { RULES } from './rules.mjs';

test.each(RULES)('the rule “$name” can still be broken: its piece of source stands once', ({ file, from, to }) => {
  const text = readFileSync(join(import.meta.dirname, '..', '..', 'src', 'core', file), 'utf8');
  expect(text.split(from)).toHaveLength(2);
  expect(to).not.toBe(from);
});
