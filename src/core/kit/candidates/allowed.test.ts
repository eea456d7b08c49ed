import { expect, test } from 'vitest';
import { contextOf } from '../../testing/trade';

test('who carves still lacks a slicer for raw fish, and nobody is sold an edge ground for the other hand', () => {
  const context = contextOf({
    cooks: [{ handed: 'left', experience: 'trained' }],
    owned: [{ type: 'carving', condition: 'keen' }],
    cooking: { cuisines: [{ id: 'raw-fish' }] },
    budget: { total: 900 },
  });
  expect(context.buyable.filter((c) => c.blade?.blade.handed === 'right').map((c) => c.id)).toEqual([]);
  const counted = (type: string) => context.problem.candidates.find((c) => c.type?.id === type && c.action === 'buy');
  expect(counted('yanagiba')?.isAgain).toBeFalsy();
  expect(counted('sujihiki')?.isAgain).toBe(true);
});

test('a bread knife is for bread, or for cakes and tarts every week where nobody avoids what is baked', () => {
  const sells = (dishes: [string, 'week' | 'month'][], avoids: ('bread' | 'gluten')[] = []) =>
    contextOf({
      avoids,
      cooking: { dishes: dishes.map(([id, per]) => ({ id, times: 1, per, portions: 4 })) },
    }).buyable.some(({ type }) => type?.id === 'bread');
  expect(sells([['packed-sandwiches', 'month']])).toBe(true);
  expect(sells([['apple-tart', 'week']])).toBe(true);
  expect(sells([['layer-cake', 'week']])).toBe(true);
  expect(sells([['apple-tart', 'month']])).toBe(false);
  expect(sells([['apple-tart', 'week']], ['bread'])).toBe(false);
  expect(sells([['fruit-salad', 'week']])).toBe(false);
});
