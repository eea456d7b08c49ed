import { expect, test } from 'vitest';
import type { KitchenFile } from '../../formats/kitchenFile';
import { contextOf } from '../../testing/trade';
import { pairOffer } from './pairOffer';

type Weekly = 'squash-break' | 'herb-mince' | 'stock-bones-chop' | 'crusty-loaf';

const offered = (ids: Weekly[], file: Partial<KitchenFile> = {}) =>
  pairOffer(
    contextOf({
      cooking: { mealsPerWeek: 0, tasks: ids.map((id) => ({ id, times: 2, per: 'week' })) },
      budget: { total: 250 },
      ...file,
    }),
    [],
  ).join(' ');

test('two main knives are offered where fine and hard work are both weekly, or somebody practised shares the drawer', () => {
  expect(offered(['herb-mince', 'squash-break'])).toMatch(/fine work and force hard food apart every week/);
  expect(offered(['herb-mince', 'stock-bones-chop'])).toBe('');
  expect(offered(['squash-break', 'crusty-loaf'])).toBe('');
  expect(offered(['herb-mince'])).toBe('');
  expect(offered(['herb-mince'], { cooks: [{ experience: 'keen' }, { experience: 'new' }] })).toMatch(/others use/);
  expect(offered(['herb-mince'], { cooks: [{ experience: 'home' }, { experience: 'new' }] })).toBe('');
});

test('not where the cook has said, has two, follows a school or has too little money', () => {
  const both: Weekly[] = ['herb-mince', 'squash-break'];
  expect(offered(both, { tastes: { pair: 'one' } })).toBe('');
  expect(offered(both, { owned: [{ type: 'chef' }, { type: 'gyuto' }] })).toBe('');
  expect(offered(both, { limits: { school: 'classic-three' } })).toBe('');
  expect(offered(both, { budget: { total: 80 } })).toBe('');
});
