import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { HANDLE_TASTES } from '../src/core/formats/kitchenWords';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import { planKitchen } from '../src/core/kit/plan/planKitchen';
import makers from './makers.json';
import { shippedModels } from './models';
import { reference } from './reference';
import { samples } from './samples';

const here = dirname(fileURLToPath(import.meta.url));
const inside = (value: number, [low, high]: readonly [number, number], name: string) => {
  expect(value, name).toBeGreaterThanOrEqual(low - 0.051);
  expect(value, name).toBeLessThanOrEqual(high + 0.051);
};

test('every model lies within the range of its type', () => {
  for (const model of shippedModels) {
    const type = reference.types.get(model.type);
    if (!type) throw new Error(`${model.id}: no type ${model.type}`);
    for (const key of [
      'lengthMm',
      'heelHeightMm',
      'spineHeelMm',
      'spineTipMm',
      'flatShare',
      'bellyMm',
      'weightG',
      'edgeAngleDeg',
      'flex',
    ] as const)
      inside(model[key], type[key], `${model.id} ${key}`);
    if (model.hrc !== null) inside(model.hrc, type.hrc, `${model.id} hrc`);
    expect(type.tips, model.id).toContain(model.tip);
    expect(type.bevels, model.id).toContain(model.bevel);
    expect(type.serrations, model.id).toContain(model.serration);
  }
});

test('the catalogue is wide: types, makers, steels, prices, left-handed versions', () => {
  expect(shippedModels.length).toBeGreaterThanOrEqual(160);
  expect(new Set(shippedModels.map((m) => m.id)).size).toBe(shippedModels.length);
  expect(new Set(shippedModels.map((m) => m.type)).size).toBe(reference.types.size);
  expect(new Set(shippedModels.map((m) => m.maker))).toEqual(new Set(makers.map((m) => m.name)));
  expect(new Set(shippedModels.map((m) => m.steel)).size).toBe(reference.steels.size);
  expect(shippedModels.filter((m) => m.handed === 'left').length).toBeGreaterThanOrEqual(4);
  const prices = shippedModels.map((m) => m.priceMinor);
  expect(Math.max(...prices)).toBeGreaterThan(20 * Math.min(...prices));
});

test('plain sense holds between models of one type: longer, thicker blades weigh more', () => {
  for (const type of reference.types.keys()) {
    const of = shippedModels.filter((m) => m.type === type);
    for (const a of of)
      for (const b of of)
        if (a.handleStyle === b.handleStyle && a.lengthMm > b.lengthMm && a.spineHeelMm >= b.spineHeelMm)
          expect(a.weightG, `${a.id} against ${b.id}`).toBeGreaterThanOrEqual(b.weightG);
  }
});

test('dishes name known tasks in sane amounts and declare what they contain', () => {
  expect(reference.dishes.size).toBeGreaterThanOrEqual(150);
  for (const dish of reference.dishes.values()) {
    for (const cuisine of dish.cuisines) expect(reference.cuisines.has(cuisine), `${dish.id} ${cuisine}`).toBe(true);
    for (const { id, amount } of dish.tasks) {
      const task = reference.tasks.get(id);
      expect(task, `${dish.id}: ${id}`).toBeDefined();
      expect(amount * (task?.minutes ?? 0), `${dish.id}: ${id} minutes`).toBeLessThan(40);
      for (const food of task?.contains ?? []) expect(dish.contains, `${dish.id}: ${id}`).toContain(food);
      if (task && task.eitherOf.length > 0)
        expect(
          task.eitherOf.some((food) => dish.contains.includes(food)),
          `${dish.id}: ${id}`,
        ).toBe(true);
    }
  }
});

test('every task but the odd jobs is reached by some dish, and every tool named by a task exists', () => {
  const reached = new Set([...reference.dishes.values()].flatMap((d) => d.tasks.map((t) => t.id)));
  for (const task of reference.tasks.values()) {
    if (task.group !== 'Odd jobs' && task.id !== 'frozen-block') expect(reached.has(task.id), task.id).toBe(true);
    for (const tool of Object.keys(task.tools)) expect(reference.tools.has(tool), tool).toBe(true);
  }
});

test('the sample kitchens read cleanly and get different, useful plans', () => {
  const plans = samples.map(({ id }) => {
    const file = readKitchenText(readFileSync(join(here, 'kitchens', `${id}.json`), 'utf8'));
    completeKitchen(file, reference, shippedModels);
    return planKitchen(file, reference, shippedModels, { perturbed: 0 });
  });
  const kits = plans.map((p) => p.steps.map((s) => s.model ?? s.type).join());
  expect(new Set(kits).size).toBe(samples.length);
  for (const p of plans) {
    expect(p.coverage.all).toBeGreaterThan(0.75);
    // little is owned in most of them, nearly enough in one
    expect(p.coverage.all).toBeGreaterThan(p.coverage.now + 0.1);
  }
});

test.each(HANDLE_TASTES)('a cook who asks for %s handles is sold a whole kit of them', (handle) => {
  const file = { format: 'scabbard.kitchen', version: 1, limits: { handle }, budget: { total: 200 } } as const;
  const { steps, coverage } = planKitchen(file, reference, shippedModels, { perturbed: 0 });
  const roles = steps.flatMap((step) =>
    step.action === 'buy' ? (reference.types.get(step.type ?? '')?.role ?? []) : [],
  );
  expect(roles).toEqual(expect.arrayContaining(['general', 'small', 'serrated']));
  expect(coverage.needs).toBeGreaterThan(0.75);
});
