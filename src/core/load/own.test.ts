import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { FaultyInput } from '../formats/faults';
import type { KitchenFile } from '../formats/kitchenFile';
import { completeKitchen } from '../kitchen/kitchen';
import { cookOf, fileOf } from '../testing/trade';
import { takenAway, taskLoads } from './load';

const complete = (cooking: KitchenFile['cooking'], more: Partial<KitchenFile> = {}) =>
  completeKitchen(fileOf({ cooking, ...more }), reference, shippedModels).kitchen;
const minutes = (cooking: KitchenFile['cooking'], task: string, more: Partial<KitchenFile> = {}) =>
  taskLoads(complete(cooking, more), reference).find((l) => l.task.id === task)?.minutesPerWeek ?? 0;
const PIE = { id: 'onion-pie', name: 'Onion pie', portions: 2, tasks: [{ id: 'onion-slice', amount: 3 }] };

describe('dishes of one’s own', () => {
  test('count like shipped ones, for their own portions, scaled to the meal’s', () => {
    const cooked = (portions: number) =>
      minutes({ ownDishes: [PIE], dishes: [{ id: 'onion-pie', times: 2, per: 'week', portions }] }, 'onion-slice');
    const each = reference.tasks.get('onion-slice')?.minutes ?? 0;
    expect(cooked(2)).toBeCloseTo(2 * 3 * each, 9);
    expect(cooked(6)).toBeCloseTo(3 * cooked(2), 9);
  });

  test('whole things stay whole, optional ones count by half', () => {
    const roast = { id: 'feast', name: 'Feast', portions: 2, tasks: [{ id: 'roast-carve', amount: 1 }] };
    const on = (dish: typeof roast & { tasks: { id: string; amount: number; optional?: boolean }[] }) =>
      minutes({ ownDishes: [dish], dishes: [{ id: 'feast', times: 1, per: 'week', portions: 6 }] }, 'roast-carve');
    expect(on(roast)).toBe(reference.tasks.get('roast-carve')?.minutes);
    expect(on({ ...roast, tasks: [{ id: 'roast-carve', amount: 1, optional: true }] })).toBe(on(roast) / 2);
  });

  test('clashing ids and unknown tasks are faults with their place', () => {
    const told = (ownDishes: NonNullable<KitchenFile['cooking']>['ownDishes']) => {
      try {
        complete({ ownDishes });
      } catch (error) {
        if (error instanceof FaultyInput) return error.message;
        throw error;
      }
      return '';
    };
    expect(told([{ ...PIE, id: 'minestrone' }])).toContain(
      'cooking.ownDishes[0].id: minestrone is already the id of a dish',
    );
    expect(told([PIE, PIE])).toContain('cooking.ownDishes[1].id');
    expect(told([{ ...PIE, tasks: [{ id: 'onion-slise', amount: 1 }] }])).toMatch(
      /ownDishes\[0\]\.tasks\[0\]\.id: .*onion-slice/,
    );
    expect(told([PIE])).toBe('');
  });
});

test('a dish of some months counts for its share of the year', () => {
  const cooked = (months?: number[]) =>
    minutes({ dishes: [{ id: 'minestrone', times: 1, per: 'week', ...(months ? { months } : {}) }] }, 'celery-slice');
  expect(cooked([6, 7, 8])).toBeCloseTo(cooked() / 4, 9);
  expect(cooked([6, 6, 6])).toBeCloseTo(cooked() / 12, 9);
  expect(cooked([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])).toBeCloseTo(cooked(), 9);
});

test('what is not eaten says what it took away', () => {
  const cooking = {
    cuisines: [{ id: 'italian' }],
    dishes: [{ id: 'chicken-cacciatore', times: 1, per: 'week' as const }],
    tasks: [{ id: 'poultry-joint', times: 1, per: 'week' as const }],
  };
  const gone = (avoids: KitchenFile['avoids']) => takenAway(complete(cooking, avoids ? { avoids } : {}), reference);
  expect(gone([])).toEqual({ dishes: [], tasks: [], fromMenus: 0 });
  expect(gone(['poultry'])).toMatchObject({
    dishes: ["Hunter's chicken"],
    tasks: [reference.tasks.get('poultry-joint')?.name],
  });
  expect(gone(['poultry', 'meat']).fromMenus).toBeGreaterThan(gone(['poultry']).fromMenus);
});

test('a cramped place or uneasy hands want a shorter knife, once and not twice', () => {
  const from = (file: Partial<KitchenFile>) =>
    cookOf({ ...file, board: { lengthMm: 600, widthMm: 400, ...file.board } }).length.fromMm;
  const roomy = from({});
  expect(from({ board: { counter: 'cramped' } })).toBe(roomy - 20);
  expect(from({ cooks: [{ nervous: true }] })).toBe(roomy - 20);
  expect(from({ board: { counter: 'cramped' }, cooks: [{ nervous: true }] })).toBe(roomy - 20);
});

test('four hundred dishes are counted within a frame', () => {
  const ids = [...reference.dishes.keys()];
  const dishes = Array.from({ length: 400 }, (_, i) => ({
    id: ids[i % ids.length] ?? '',
    times: 1,
    per: 'month' as const,
  }));
  const kitchen = complete({ dishes });
  taskLoads(kitchen, reference);
  // the calmest of some runs: other work on the machine is not what is measured
  const took = Math.min(
    ...Array.from({ length: 10 }, () => {
      const began = performance.now();
      taskLoads(kitchen, reference);
      return performance.now() - began;
    }),
  );
  console.log(`load of 400 dishes: ${took.toFixed(1)} ms`);
  expect(took).toBeLessThan(10);
});

test('any own dish of known tasks loads without harm', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          id: fc.constantFrom(...reference.tasks.keys()),
          amount: fc.oneof(fc.constant(0), fc.double({ min: 1e-6, max: 50, noNaN: true })),
        }),
        { maxLength: 6 },
      ),
      fc.integer({ min: 1, max: 40 }),
      (tasks, portions) => {
        const kitchen = complete({
          ownDishes: [{ id: 'own', name: 'Own', portions, tasks }],
          dishes: [{ id: 'own', times: 1, per: 'week', portions }],
        });
        for (const load of taskLoads(kitchen, reference)) {
          expect(load.minutesPerWeek).toBeGreaterThan(0);
          const said = tasks.filter((t) => t.id === load.task.id).reduce((sum, t) => sum + t.amount, 0);
          if (load.task.scales === 'portions') expect(load.minutesPerWeek).toBeCloseTo(said * load.task.minutes, 6);
        }
      },
    ),
  );
});
