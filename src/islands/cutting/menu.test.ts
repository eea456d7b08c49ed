import { expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { readMenu } from './menu';

const known = [...reference.dishes.values()].map(({ id, name }) => ({
  id,
  name,
  cuisines: [],
  contains: [],
  tasks: [],
}));
const [one, other] = known;

test('a menu’s lines are found among the dishes, however they are headed; twice is counted twice', () => {
  const menu = readMenu(
    `Monday: ${one?.name ?? ''}\nTue dinner - ${other?.name ?? ''}\n3. ${(one?.name ?? '').toUpperCase()}\n\nSunday: qqxyzzy vvwk`,
    known,
  );
  expect(menu.map(({ dish, times }) => [dish?.id ?? null, times])).toEqual([
    [one?.id, 2],
    [other?.id, 1],
    [null, 1],
  ]);
  expect(menu[2]?.written).toBe('qqxyzzy vvwk');
});
