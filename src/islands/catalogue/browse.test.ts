import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { browsed, DESCRIBED, EVERYTHING, EXAMPLES, listKey } from './browse';

const [first] = shippedModels;
if (!first) throw new Error('no models are shipped');
const own = { ...first, id: 'own-shed', name: 'Shed blade' };
const listed = { ...first, id: 'list-quay', name: 'Épluche', maker: 'Quay', list: 'Quay spring', priceMinor: 1 };
const models = [...shippedModels, own, listed];
const mine = new Set([own.id, listed.id]);
const ids = (how: Partial<typeof EVERYTHING>) => browsed(models, mine, { ...EVERYTHING, ...how }).map(({ id }) => id);

test('knives are found by every word typed, in name, maker, kind or list, whatever the accents', () => {
  expect(ids({ search: 'epluche' })).toEqual(['list-quay']);
  expect(ids({ search: 'spring QUAY' })).toEqual(['list-quay']);
  expect(ids({ search: 'quay autumn' })).toEqual([]);
  expect(ids({ search: 'nakiri' }).length).toBe(shippedModels.filter(({ type }) => type === 'nakiri').length);
});

test('knives are filtered by origin and kind, and sorted by length and price', () => {
  expect(ids({ from: listKey('Quay spring') })).toEqual(['list-quay']);
  expect(ids({ from: DESCRIBED })).toEqual(['own-shed']);
  expect(ids({ from: EXAMPLES }).length).toBe(shippedModels.length);
  expect(browsed(models, mine, { ...EVERYTHING, type: 'bread', order: 'length' }).map((m) => m.lengthMm)).toEqual(
    shippedModels
      .filter(({ type }) => type === 'bread')
      .map((m) => m.lengthMm)
      .sort((a, b) => a - b),
  );
  expect(ids({ order: 'price' })[0]).toBe('list-quay');
});
