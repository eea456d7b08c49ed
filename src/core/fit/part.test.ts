import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../formats/kitchenFile';
import { completeKitchen } from '../kitchen/kitchen';
import { taskLoads } from '../load/load';
import { type CookContext, cookContexts, sameCook } from './cook';
import { explain } from './explain';
import { PARTS, prepareTask, scoreFor } from './score';
import { bladeTraits } from './traits';

const cookOf = (said: Partial<KitchenFile>): CookContext => {
  const { kitchen } = completeKitchen({ format: 'scabbard.kitchen', version: 1, ...said }, reference, shippedModels);
  const [cook] = cookContexts(kitchen, taskLoads(kitchen, reference));
  if (!cook) throw new Error('a kitchen without a cook');
  return cook;
};

const BLADES = shippedModels.filter((_, i) => i % 5 === 0).map((model) => bladeTraits(model, reference));
const TASKS = [...reference.tasks.values()].map((task) => prepareTask(task));
const COOKS = [
  cookOf({}),
  cookOf({
    cooks: [{ handLengthMm: 165, handed: 'left', experience: 'new', strength: 'light', grip: 'handle' }],
    habits: { dishwasher: true, roughUse: true, upkeep: 'leaves-wet' },
    board: { material: 'glass', lengthMm: 280 },
    cooking: { mealsPerWeek: 21, portions: 8 },
  }),
];
/** The same cook in another week: other lengths are wanted, and the arms tire. */
const inAnotherWeek = (cook: CookContext): CookContext => ({
  ...cook,
  longHours: cook.longHours + 9,
  length: { ...cook.length, fromMm: cook.length.fromMm + 35, toMm: cook.length.toMm + 35 },
});

describe.each(PARTS.map((part) => [part.id, part] as const))('what %s says of itself', (_, part) => {
  const cases = TASKS.flatMap(({ task, modes }) =>
    modes.filter(({ mode }) => part.level(task, mode) > 0).map(({ mode }) => ({ task, mode })),
  );

  test('it rests on nothing but what it names', () => {
    const odd = new Set<string>();
    for (const blade of BLADES)
      for (const cook of COOKS) {
        const met = new Map<string, number>();
        for (const { task, mode } of cases) {
          const value = part.value(blade, task, cook, mode);
          const seen = part.restsOn === 'both' ? part.sees(task, mode) : part.restsOn === 'task' ? [task.id] : [];
          const key = JSON.stringify([mode.id, mode.long, mode.motions, seen]);
          const isAlike =
            value === (met.get(key) ?? value) &&
            (part.ofWeek || value === part.value(blade, task, inAnotherWeek(cook), mode)) &&
            (part.restsOn !== 'task' || COOKS.every((other) => value === part.value(blade, task, other, mode)));
          if (!isAlike) odd.add(`${blade.blade.id} at ${task.id}`);
          met.set(key, value);
        }
      }
    expect([...odd]).toEqual([]);
  });
});

test('a cook whose week changes is scored as one never met', () => {
  let furthest = 0;
  for (const met of COOKS) {
    const known = sameCook(met);
    const later = sameCook(inAnotherWeek(met));
    for (const blade of BLADES)
      for (const ready of TASKS.slice(0, 60)) {
        scoreFor(blade, ready, known);
        const alone = explain(blade, ready, [inAnotherWeek(met)]).score;
        furthest = Math.max(furthest, Math.abs(scoreFor(blade, ready, later) - alone));
      }
  }
  expect(furthest).toBeLessThan(1e-8);
});
