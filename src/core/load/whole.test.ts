import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { LOAD } from '../constants';
import type { KitchenFile } from '../formats/kitchenFile';
import { completeKitchen } from '../kitchen/kitchen';
import { isEaten } from '../cutting/eaten';
import { FOODS_AVOIDED } from '../cutting/words';
import { wildKitchen } from '../testing/arbitrary';
import { taskLoads, type TaskLoad } from './load';

/** What holds of the cutting of any kitchen. */

const loadsOf = (file: KitchenFile): TaskLoad[] => [
  ...taskLoads(completeKitchen(file, reference, shippedModels).kitchen, reference),
];
const minutesOf = (loads: readonly TaskLoad[]) => loads.reduce((sum, { minutesPerWeek }) => sum + minutesPerWeek, 0);
const byTask = (loads: readonly TaskLoad[]) => new Map(loads.map((load) => [load.task.id, load]));
const asked = wildKitchen.map((file) => ({ ...file, cooking: { ...file.cooking, tasks: [] } }));

test('every task stands once, with minutes from its sources and a weight that grows with them', () => {
  fc.assert(
    fc.property(wildKitchen, (file) => {
      const loads = loadsOf(file);
      expect(new Set(loads.map(({ task }) => task.id)).size).toBe(loads.length);
      for (const { task, minutesPerWeek, weight, matters, from, timesPerYear, occasional } of loads) {
        expect(minutesPerWeek).toBeGreaterThan(0);
        expect(from.reduce((sum, each) => sum + each.minutesPerWeek, 0)).toBeCloseTo(minutesPerWeek, 9);
        if (task.instead) expect(weight).toBe(0);
        else expect(weight).toBeCloseTo(matters * minutesPerWeek ** LOAD.exponent.value, 6);
        expect(occasional).toBe(timesPerYear < LOAD.occasional.value);
      }
    }),
    { numRuns: 60 },
  );
});

test('twice the meals are twice the menus’ minutes of each task, and no other tasks', () => {
  fc.assert(
    fc.property(asked, (file) => {
      const meals = file.cooking.mealsPerWeek ?? 7;
      const more = { ...file, cooking: { ...file.cooking, mealsPerWeek: Math.min(14, meals) * 2 } };
      const [once, twice] = [
        byTask(loadsOf({ ...file, cooking: { ...file.cooking, mealsPerWeek: Math.min(14, meals) } })),
        byTask(loadsOf(more)),
      ];
      expect([...twice.keys()].sort()).toEqual([...once.keys()].sort());
      for (const [id, { minutesPerWeek }] of once)
        expect(twice.get(id)?.minutesPerWeek).toBeCloseTo(2 * minutesPerWeek, 6);
    }),
    { numRuns: 40 },
  );
});

test('shares of cuisines count by their proportion, and their order counts not at all', () => {
  fc.assert(
    fc.property(asked, fc.integer({ min: 2, max: 7 }), (file, times) => {
      const cuisines = file.cooking.cuisines ?? [];
      const as = (list: typeof cuisines) => loadsOf({ ...file, cooking: { ...file.cooking, cuisines: list } });
      const plain = byTask(as(cuisines));
      for (const other of [
        as(cuisines.map((each) => ({ ...each, share: (each.share ?? 1) * times }))),
        as([...cuisines].reverse()),
      ]) {
        expect(minutesOf(other)).toBeCloseTo(minutesOf([...plain.values()]), 6);
        for (const { task, minutesPerWeek } of other)
          expect(minutesPerWeek).toBeCloseTo(plain.get(task.id)?.minutesPerWeek ?? NaN, 6);
      }
    }),
    { numRuns: 40 },
  );
});

test('what is not eaten is not cut, and nothing that was not cut before comes in its place', () => {
  fc.assert(
    fc.property(wildKitchen, fc.uniqueArray(fc.constantFrom(...FOODS_AVOIDED), { minLength: 1 }), (file, avoids) => {
      const before = byTask(loadsOf(file));
      for (const { task } of loadsOf({ ...file, avoids })) {
        expect(isEaten(task, avoids)).toBe(true);
        expect(before.has(task.id)).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});

test('a task said directly adds its own minutes, and takes none from the others', () => {
  fc.assert(
    fc.property(
      asked,
      fc.constantFrom(...reference.tasks.values()),
      fc.integer({ min: 1, max: 9 }),
      (file, task, times) => {
        const before = byTask(loadsOf(file));
        const tasks = [{ id: task.id, times, per: 'week' as const, amount: 2 }];
        const after = byTask(loadsOf({ ...file, cooking: { ...file.cooking, tasks } }));
        for (const [id, { minutesPerWeek }] of before)
          if (id !== task.id) expect(after.get(id)?.minutesPerWeek).toBeCloseTo(minutesPerWeek, 9);
        const added = (after.get(task.id)?.minutesPerWeek ?? 0) - (before.get(task.id)?.minutesPerWeek ?? 0);
        expect(added).toBeCloseTo(times * 2 * task.minutes, 6);
      },
    ),
    { numRuns: 60 },
  );
});
