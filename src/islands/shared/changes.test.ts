import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { planKitchen } from '../../core/kit/plan/planKitchen';
import { fileOf } from '../../core/testing/trade';
import { changesBetween } from './changes';

const plan = (file: Partial<KitchenFile>) => planKitchen(fileOf(file), reference, shippedModels, { perturbed: 0 });
const changed = (before: Partial<KitchenFile>, after: Partial<KitchenFile>) =>
  changesBetween(plan(before), plan(after));

test('a smaller hand is told as a shorter knife, with both bands', () => {
  const [first] = changed({ cooks: [{ handLengthMm: 200 }] }, { cooks: [{ handLengthMm: 160 }] });
  expect(first).toMatch(/^Shorter: \d+–\d+ mm → \d+–\d+ mm$/);
  expect(changed({ cooks: [{ handLengthMm: 160 }] }, { cooks: [{ handLengthMm: 200 }] })[0]).toMatch(/^Longer/);
});

test('nothing is told where nothing changed', () => {
  expect(changed({}, {})).toEqual([]);
  expect(changed({ name: 'a' }, { name: 'b' })).toEqual([]);
});

test('what comes and goes is named, with the new warnings', () => {
  const told = changed({}, { owned: [{ type: 'chef', condition: 'dull' }], habits: { dishwasher: true } }).join('; ');
  expect(told).toMatch(/New: sharpen Your chef’s knife|New: sharpen/);
  expect(told).toMatch(/dishwasher/);
  expect(changed({ budget: { total: 300 } }, { budget: { total: 40 } }).join('; ')).toMatch(
    /Gone: .*; .*Your cutting done well: \d+% → \d+%/,
  );
});
