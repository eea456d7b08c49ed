import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../formats/kitchenFile';
import { completeKitchen } from '../kitchen/kitchen';
import { taskLoads } from '../load/load';
import { type CookContext, cookContexts, sameCook } from './cook';
import { explain } from './explain';
import type { Part } from './part';
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
/** A cook with one answer changed at a time, and with all of it: another hand, other habits, another board, another week. */
const CHANGES: Partial<KitchenFile>[] = [
  ...(
    [
      { handLengthMm: 168 },
      { palmBreadthMm: 70 },
      { handed: 'left' },
      { experience: 'trained' },
      { strength: 'light' },
      { grip: 'fingertip' },
      { wantsWeight: 'light' },
      { wantsBalance: 'forward' },
      { motions: { rock: 0, push: 0.2, pull: 0, chop: 0.8 } },
    ] as const
  ).map((said) => ({ cooks: [said] })),
  { habits: { upkeep: 'leaves-wet' } },
  { habits: { dishwasher: true } },
  { habits: { roughUse: true } },
  { habits: { lifts: 'flat' } },
  { board: { lengthMm: 280 } },
  { board: { material: 'glass' } },
  { cooking: { mealsPerWeek: 28, portions: 8 } },
];
const readsOf = (part: Part, cook: CookContext) => (part.restsOn === 'task' ? '' : JSON.stringify(part.reads(cook)));
const OTHERS = [...CHANGES.map(cookOf), ...COOKS.slice(1)];

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
            [...COOKS, ...OTHERS]
              .filter((other) => readsOf(part, other) === readsOf(part, cook))
              .every((other) => value === part.value(blade, task, other, mode));
          if (!isAlike) odd.add(`${blade.blade.id} at ${task.id}`);
          met.set(key, value);
        }
      }
    expect([...odd]).toEqual([]);
  });
});

test('a cook who has one answer changed is scored as one never met', () => {
  let furthest = 0;
  const some = TASKS.filter((_, i) => i % 5 === 0);
  const blades = BLADES.filter((_, i) => i % 3 === 0);
  for (const met of [...COOKS, ...OTHERS].map(sameCook))
    for (const blade of blades)
      for (const ready of some) {
        const alone = explain(blade, ready, [met]).score;
        furthest = Math.max(furthest, Math.abs(scoreFor(blade, ready, met) - alone));
      }
  expect(furthest).toBeLessThan(1e-8);
});

test('what changes of cooks is told apart: the size of a hand leaves all but what reads it, a week all but its own', () => {
  const [met] = COOKS;
  if (!met) throw new Error('no cook');
  const changed = (said: Partial<KitchenFile>) =>
    PARTS.filter((part) => readsOf(part, cookOf(said)) !== readsOf(part, met)).map((part) =>
      part.restsOn === 'task' ? 'task' : (part.changes ?? 'steady'),
    );
  expect(new Set(changed({ cooks: [{ handLengthMm: 168 }] }))).toEqual(new Set(['hand', 'week']));
  expect(new Set(changed({ cooking: { mealsPerWeek: 28, portions: 8 } }))).toEqual(new Set(['week']));
});
