import { expect, test } from 'vitest';
import { z } from '../src/core/zod';
import { taskLoads } from '../src/core/load/load';
import { cookContexts } from '../src/core/fit/cook';
import { prepareTask, score } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import type { KitchenFile } from '../src/core/formats/kitchenFile';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import { shippedModels } from './models';
import bands from './bands.json';
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
  // two squashes a week
  reference: {
    cooks: [{ experience: 'trained', grip: 'pinch', handLengthMm: 185 }],
    board: { lengthMm: 450, widthMm: 300 },
    habits: { upkeep: 'wipes-during', sharpening: 'stones' },
    cooking: { tasks: [{ id: 'squash-break', times: 2, per: 'week' }] },
  },
};
const kitchenId = z.enum(['trained', 'home', 'new', 'small', 'rough', 'reference']);
const lengths = z.tuple([z.number(), z.number()]);
const rows = z
  .array(
    z.strictObject({
      task: z.string(),
      kitchen: kitchenId,
      better: z.string(),
      betterMm: lengths.optional(),
      worse: z.string(),
      worseMm: lengths.optional(),
      by: z.number(),
      why: z.string().min(3),
    }),
  )
  .parse(rankings);

const bandRows = z
  .array(
    z.strictObject({
      task: z.string(),
      kitchen: kitchenId,
      type: z.string().optional(),
      model: z.string().optional(),
      mm: lengths.optional(),
      between: lengths,
      why: z.string().min(3),
    }),
  )
  .parse(bands);

type Wanted = (model: (typeof shippedModels)[number]) => boolean;

/** Score of the middling one of the models that are wanted. */
function middling(isWanted: Wanted, taskId: string, kitchenId: string): number {
  const { kitchen } = completeKitchen(
    { format: 'scabbard.kitchen', version: 1, ...KITCHENS[kitchenId] },
    reference,
    shippedModels,
  );
  const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));
  const task = reference.tasks.get(taskId);
  if (!task) throw new Error(`no task ${taskId}`);
  const scores = shippedModels
    .filter((m) => isWanted(m) && m.handed !== 'left' && m.steel !== 'ceramic')
    .map((m) => score(bladeTraits(m, reference, kitchen.habits.roughUse), prepareTask(task), cooks))
    .sort((a, b) => a - b);
  const middle = scores[Math.floor(scores.length / 2)];
  if (middle === undefined) throw new Error(`no model is wanted for ${taskId}`);
  return middle;
}

const ofType =
  (type: string, [from, to] = [0, Infinity]): Wanted =>
  (m) =>
    m.type === type && m.lengthMm >= from && m.lengthMm <= to;

test('rankings of plain trade sense: 95 of 100 hold', () => {
  expect(rows.length).toBeGreaterThanOrEqual(500);
  expect(new Set(rows.map((r) => `${r.task} ${r.kitchen} ${r.better} ${r.worse}`)).size).toBe(rows.length);
  const groups = new Set(rows.map((r) => reference.tasks.get(r.task)?.group));
  for (const { group } of reference.tasks.values()) expect(groups.has(group), group).toBe(true);
  const broken = rows.filter(
    (r) =>
      middling(ofType(r.better, r.betterMm), r.task, r.kitchen) -
        middling(ofType(r.worse, r.worseMm), r.task, r.kitchen) <
      r.by,
  );
  console.log(
    `${rows.length} rankings: ${rows.length - broken.length} hold; ${broken.map((r) => `${r.task}: ${r.better} over ${r.worse} by ${r.by}`).join('; ')}`,
  );
  expect(broken.length / rows.length).toBeLessThanOrEqual(0.05);
}, 120_000);

test('work on the board stands in its band: 8 of 10 hold, none is off by more than ten points', () => {
  const off = bandRows.map(({ task, kitchen, type, model, mm, between: [low, high] }) => {
    const points = middling(model ? (m) => m.id === model : ofType(type ?? '', mm), task, kitchen);
    return { task, blade: model ?? type, points, by: Math.max(0, low - points, points - high) };
  });
  expect(off.filter(({ by }) => by > 10)).toEqual([]);
  expect(off.filter(({ by }) => by > 0.5).length / off.length).toBeLessThanOrEqual(0.2);
});
