import { expect, test } from 'vitest';
import { reference } from '../../../../data/reference';
import { WORTH } from '../../constants';
import type { KitchenFile } from '../../formats/kitchenFile';
import { contextOf, modelNamed, traitsOf } from '../../testing/trade';
import { costOf, moneyScale } from '../search/worth';
import { dislike } from './dislike';

function against(id: string, file: Partial<KitchenFile> = {}): number {
  const type = reference.types.get(modelNamed(id).type);
  if (!type) throw new Error(id);
  const { kitchen, hands } = contextOf(file);
  return dislike(traitsOf(id), type, kitchen, hands);
}

test('a kind hardly known has to add more, unless somebody here is trained', () => {
  expect(against('oskavel-funayuki-165-hard-stainless')).toBe(WORTH.seldom.value);
  expect(against('oskavel-gyuto-210')).toBe(0);
  const pair: Partial<KitchenFile> = { cooks: [{ experience: 'new' }, { experience: 'trained' }] };
  expect(against('oskavel-funayuki-165-hard-stainless', pair)).toBe(0);
});

test('ceramic has to add more, whoever cooks', () => {
  expect(against('whitquarry-paring-75-ceramic')).toBe(WORTH.ceramic.value);
  expect(against('whitquarry-paring-75-ceramic', { cooks: [{ experience: 'trained' }] })).toBe(WORTH.ceramic.value);
});

test('where leftover money is to go into the main knife a general one is paid more a point, and nothing else is', () => {
  const { candidates, scale } = contextOf({ tastes: { leftover: 'main' }, budget: { total: 500 } }).problem;
  const named = (id: string) => candidates.find((c) => c.id.includes(id));
  const [gyuto, bread] = [named('gyuto-210'), named('bread-250')];
  if (!gyuto || !bread) throw new Error('neither is for sale');
  const alike = moneyScale(contextOf({ budget: { total: 500 } }).kitchen);
  expect(scale).toEqual(alike);
  const dear = { ...gyuto, priceMinor: 40_000 };
  const paid = (c: typeof dear) => costOf(c, scale) - WORTH.filler.value - (c.dislike ?? 0);
  expect(paid({ ...dear, isMain: false }) / paid(dear)).toBeCloseTo(WORTH.mainKnife.value, 1);
  expect(bread.isMain).toBeUndefined();
});

test('a main knife off the length that is told gives up something beside its score, and no other knife does', () => {
  const large: Partial<KitchenFile> = { cooks: [{ handLengthMm: 205 }], board: { lengthMm: 600, widthMm: 400 } };
  expect(against('ploverdale-chef-200', large)).toBeGreaterThan(0.01);
  expect(against('ploverdale-chef-230', large)).toBe(0);
  expect(against('ploverdale-paring-90', large)).toBe(0);
});
