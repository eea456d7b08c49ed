import { expect, test } from 'vitest';
import { allNames } from './allNames';
import names from './names.json';

test('names.json is what the reference says; npm run -s schemas writes it anew', () => {
  expect(names).toEqual(allNames());
});
