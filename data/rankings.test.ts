import { expect, test } from 'vitest';
import { z } from '../src/core/zod';
import { taskLoads } from '../src/core/load/load';
import { cookContexts } from '../src/core/fit/cook';
import { prepareTask, score } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import type { KitchenFile } from '../src/core/formats/kitchenFile';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import { shippedModels } from './models';
import rankings from './rankings.json';
import { reference } from './reference';

/** Who leads where: of two kinds of blade at a task, everything sharp, the better one by at least so many points. Negative: at most so far behind. */

const KITCHENS: Record<string, Partial<KitchenFile>> = {
  trained: {
    cooks: [{ experience: 'trained', grip: 'pinch' }],
    habits: { upkeep: 'wipes-during', sharpening: 'stones' },
  },
  home: { cooks: [{ experience: 'home' }] },
  new: { cooks: [{ experience: 'new' }] },
  small: { cooks: [{ handLengthMm: 160, strength: 'light' }], board: { lengthMm: 280, widthMm: 200 } },
  rough: { habits: { roughUse: true } },
};
const rows = z
  .array(
    z.strictObject({
      task: z.string(),
      kitchen: z.enum(['trained', 'home', 'new', 'small', 'rough']),
      better: z.string(),
      worse: z.string(),
      by: z.number(),
      why: z.string().min(3),
    }),
  )
  .parse(rankings);

/** Score of the middling model of a type. */
function middling(typeId: string, taskId: string, kitchenId: string): number {
  const { kitchen } = completeKitchen(
    { format: 'scabbard.kitchen', version: 1, ...KITCHENS[kitchenId] },
    reference,
    shippedModels,
  );
  const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));
  const task = reference.tasks.get(taskId);
  if (!task) throw new Error(`no task ${taskId}`);
  const of = shippedModels.filter((m) => m.type === typeId && m.handed !== 'left' && m.steel !== 'ceramic');
  const scores = of
    .map((m) => score(bladeTraits(m, reference, kitchen.habits.roughUse), prepareTask(task), cooks))
    .sort((a, b) => a - b);
  const middle = scores[Math.floor(scores.length / 2)];
  if (middle === undefined) throw new Error(`no models of ${typeId}`);
  return middle;
}

test('rankings of plain trade sense: 95 of 100 hold', () => {
  expect(rows.length).toBeGreaterThanOrEqual(150);
  expect(new Set(rows.map((r) => `${r.task} ${r.kitchen} ${r.better} ${r.worse}`)).size).toBe(rows.length);
  const groups = new Set(rows.map((r) => reference.tasks.get(r.task)?.group));
  for (const { group } of reference.tasks.values()) expect(groups.has(group), group).toBe(true);
  const broken = rows.filter(
    (r) => middling(r.better, r.task, r.kitchen) - middling(r.worse, r.task, r.kitchen) < r.by,
  );
  console.log(
    `${rows.length} rankings: ${rows.length - broken.length} hold; ${broken.map((r) => `${r.task}: ${r.better} over ${r.worse} by ${r.by}`).join('; ')}`,
  );
  expect(broken.length / rows.length).toBeLessThanOrEqual(0.05);
}, 120_000);
