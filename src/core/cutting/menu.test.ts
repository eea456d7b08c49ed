import { expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { dishFinder, theDish } from './dishNames';
import { readMenu } from './menu';

const dishes = [...reference.dishes.values()];
const find = dishFinder(dishes);
const namedBy = (asked: string) => theDish(find(asked))?.name ?? null;

test.each([
  ['bolognese', 'Slow meat ragu'],
  ['Spag bol', 'Slow meat ragu'],
  ['lasagna', 'Lasagne'],
  ['pizza', 'Pizza'],
  ['sushi', 'Rice rolls'],
  ['Wiener Schnitzel mit Pommes', 'Crumbed chicken cutlets'],
  ['goulash', 'Goulash'],
  ['houmous', 'Chickpea dip and flatbread'],
  ['chiken tikka masalla', 'Home chicken curry'],
  ['fish & chips', 'Fish and chips'],
  ['caesar', 'Caesar salad'],
  ['mum’s roast chicken', 'Roast chicken dinner'],
  ['grandma’s beef stew with red wine', 'Beef stew with dumplings'],
  ['Thai green chicken curry', 'Green curry'],
  ['cottage pie', "Shepherd's pie"],
  ['clear soup', 'Clear soup with fine vegetables'],
  ['Kürbissuppe', 'Squash soup'],
  ['pancakes', 'Porridge with fruit'],
])('“%s” is found as %s', (asked, name) => expect(namedBy(asked)).toBe(name));

test('what names no dish, or may be many, is left to be picked', () => {
  for (const asked of ['qqxyzzy vvwk', 'takeaway', 'eat out', 'leftovers', 'chicken', 'pork', 'noodles', 'rice', ''])
    expect(namedBy(asked), asked).toBeNull();
  expect(find('chicken').length).toBeGreaterThan(3);
  expect(find('caesar').map(({ dish }) => dish.name)).not.toContain('Clear soup with fine vegetables');
});

test('every dish is found by each of its names, before any other', () => {
  const names = dishes.flatMap((dish) => [dish.name, ...(dish.also ?? [])].map((name) => ({ dish, name })));
  expect(names.length).toBeGreaterThanOrEqual(1000);
  for (const { dish, name } of names) expect(find(name)[0]?.dish.name, name).toBe(dish.name);
});

test('a menu’s lines are found among the dishes, however they are headed; twice is counted twice', () => {
  const [one, other] = dishes;
  const menu = readMenu(
    `Monday: ${one?.name ?? ''}\nTue dinner - ${other?.name ?? ''}\n3. ${(one?.name ?? '').toUpperCase()}\n\nSunday: qqxyzzy vvwk\nMi: Gulasch\nDonnerstag – Gulasch`,
    dishes,
  );
  expect(menu.map(({ dish, times }) => [dish?.id ?? null, times])).toEqual([
    [one?.id, 2],
    [other?.id, 1],
    [null, 1],
    ['goulash', 2],
  ]);
  expect(menu[2]?.written).toBe('qqxyzzy vvwk');
});
