import fc from 'fast-check';
import { expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../formats/kitchenFile';
import { completeKitchen } from '../kitchen/kitchen';
import { anyKitchen } from '../testing/arbitrary';
import { taskLoads } from './load';

const loadsOf = (file: Partial<KitchenFile>) =>
  taskLoads(completeKitchen({ format: 'scabbard.kitchen', version: 1, ...file }, reference, []).kitchen, reference);
const minutes = (file: Partial<KitchenFile>, id: string) =>
  loadsOf(file).find((l) => l.task.id === id)?.minutesPerWeek ?? 0;

test('a task named directly is times × amount × minutes, whatever the period', () => {
  const per = (times: number, period: 'day' | 'week' | 'month' | 'year') =>
    minutes({ cooking: { tasks: [{ id: 'onion-dice', times, per: period, amount: 2 }] } }, 'onion-dice');
  expect(per(3, 'week')).toBeCloseTo(3 * 2 * 1.3);
  expect(per(1, 'day')).toBeCloseTo(per(7, 'week'));
  expect(per(12, 'month')).toBeCloseTo((12 * 12 * 2 * 1.3) / 52);
  expect(per(52, 'year')).toBeCloseTo(per(1, 'week'));
});

test('dishes scale with portions, whole things do not', () => {
  const dish = (id: string, portions: number) => ({
    cooking: { mealsPerWeek: 0, dishes: [{ id, times: 1, per: 'week' as const, portions }] },
  });
  expect(minutes(dish('sunday-beef', 8), 'carrot-slice')).toBeCloseTo(
    2 * minutes(dish('sunday-beef', 4), 'carrot-slice'),
  );
  expect(minutes(dish('sunday-beef', 8), 'roast-carve')).toBeCloseTo(minutes(dish('sunday-beef', 2), 'roast-carve'));
});

test('what is avoided never appears, and every minute is traced to its source', () => {
  fc.assert(
    fc.property(
      anyKitchen,
      fc.subarray(['meat', 'poultry', 'fish', 'shellfish', 'bread', 'dairy'] as const),
      (file, avoids) => {
        for (const load of loadsOf({ ...file, avoids: [...avoids] })) {
          expect(load.task.contains.some((food) => (avoids as readonly string[]).includes(food))).toBe(false);
          expect(load.from.reduce((sum, f) => sum + f.minutesPerWeek, 0)).toBeCloseTo(load.minutesPerWeek, 9);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('a yearly roast is occasional and weighs less than weekly onions, but not nothing', () => {
  const loads = loadsOf({
    cooking: {
      tasks: [
        { id: 'roast-carve', times: 1, per: 'year' },
        { id: 'onion-dice', times: 5, per: 'week' },
      ],
    },
  });
  const [onion, roast] = ['onion-dice', 'roast-carve'].map((id) => loads.find((l) => l.task.id === id));
  expect(roast?.occasional).toBe(true);
  expect(onion?.occasional).toBe(false);
  expect(roast?.weight ?? 0).toBeGreaterThan(0.02 * (onion?.weight ?? 0));
  expect(roast?.weight ?? 0).toBeLessThan(0.2 * (onion?.weight ?? 0));
});
