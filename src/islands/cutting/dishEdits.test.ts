import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kitchenFileSchema } from '../../core/formats/kitchenFile';
import { fileOf } from '../../core/testing/trade';
import { addDish, changeDish, dishId, forgetDish, keepDish, removeDish, tasksOf } from './dishEdits';

const PIE = { id: 'own-pie', name: 'Pie', tasks: [{ id: 'onion-slice', amount: 2 }] };

describe('the list of dishes', () => {
  test('a dish is added once, changed, and taken off', () => {
    const twice = addDish('minestrone')(addDish('minestrone')(fileOf()));
    expect(twice.cooking?.dishes).toEqual([{ id: 'minestrone', times: 1, per: 'week' }]);
    const changed = changeDish('minestrone', { times: 2, per: 'month', months: [1, 2] })(twice);
    expect(changed.cooking?.dishes?.[0]).toEqual({ id: 'minestrone', times: 2, per: 'month', months: [1, 2] });
    expect(removeDish('minestrone')(changed).cooking?.dishes).toEqual([]);
  });

  test('an own dish is kept and listed, replaced by the same id, and forgotten whole', () => {
    const kept = keepDish(PIE)(fileOf());
    expect(kept.cooking?.ownDishes).toEqual([PIE]);
    expect(kept.cooking?.dishes?.map((d) => d.id)).toEqual(['own-pie']);
    const again = keepDish({ ...PIE, name: 'Better pie' })(kept);
    expect(again.cooking?.ownDishes?.map((d) => d.name)).toEqual(['Better pie']);
    expect(again.cooking?.dishes).toHaveLength(1);
    expect(removeDish('own-pie')(again).cooking?.ownDishes).toHaveLength(1);
    expect(forgetDish('own-pie')(again).cooking).toEqual({ dishes: [], ownDishes: [] });
  });
});

test('a dish kept instead of everyday meals takes their place; kept again it changes nothing', () => {
  const often = { times: 4.33, per: 'month', instead: true } as const;
  const kept = keepDish(PIE, often)(fileOf({ cooking: { mealsPerWeek: 8 } }));
  expect(kept.cooking?.dishes).toEqual([{ id: 'own-pie', times: 4.33, per: 'month' }]);
  expect(kept.cooking?.mealsPerWeek).toBe(7);
  expect(keepDish(PIE, often)(kept).cooking?.mealsPerWeek).toBe(7);
  expect(
    keepDish(PIE, { times: 2, per: 'day', instead: true })(fileOf({ cooking: { mealsPerWeek: 8 } })).cooking
      ?.mealsPerWeek,
  ).toBe(0);
  expect(keepDish(PIE)(fileOf()).cooking?.mealsPerWeek).toBeUndefined();
});

test('any name makes an id the format takes, never one in use', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 90 }), (name) => {
      const first = dishId(name, new Set());
      const second = dishId(name, new Set([first]));
      expect(second).not.toBe(first);
      for (const id of [first, second])
        expect(kitchenFileSchema.safeParse(fileOf({ cooking: { ownDishes: [{ ...PIE, id }] } })).success, id).toBe(
          true,
        );
    }),
  );
  expect(dishId('Crêpes à la Suzette!', new Set())).toBe('own-crepes-a-la-suzette');
});

test('tasks of lines are added up, and nothing is nothing', () => {
  const line = (...tasks: { id: string; amount: number }[]) => ({ tasks });
  expect(
    tasksOf([line({ id: 'a', amount: 1.25 }), line(), line({ id: 'b', amount: 2 }, { id: 'a', amount: 0.5 })]),
  ).toEqual([
    { id: 'a', amount: 1.75 },
    { id: 'b', amount: 2 },
  ]);
  expect(tasksOf([line({ id: 'a', amount: 0 })])).toEqual([]);
});
