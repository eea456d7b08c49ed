import { expect, test } from 'vitest';
import { allNames, allTypeFacts } from './allNames';
import names from './names.json';
import facts from './typeFacts.json';

test('names and facts of types are what the reference says; npm run -s schemas writes them anew', () => {
  expect(names).toEqual(allNames());
  expect(facts).toEqual(allTypeFacts());
});
