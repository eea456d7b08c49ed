import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { completeKitchen } from '../kitchen/kitchen';
import { faultLine, FaultyInput } from './faults';
import { readKitchenFile, readKitchenText } from './kitchenFile';

const head = { format: 'scabbard.kitchen', version: 1 };
function faultsIn(work: () => unknown): string[] {
  try {
    work();
  } catch (error) {
    if (error instanceof FaultyInput) return error.faults.map(faultLine);
    throw error;
  }
  return [];
}
const faults = (file: object) =>
  faultsIn(() => completeKitchen(readKitchenFile({ ...head, ...file }), reference, shippedModels));

test.each([
  [{ cooks: [{ handLengthMm: 30 }] }, 'cooks[0].handLengthMm: 30 is not between 120 and 260'],
  [{ cooks: [{ handLenghtMm: 180 }] }, 'cooks[0].handLenghtMm: is not a key of this format'],
  [{ budget: { total: 10.005 } }, 'budget.total: 10.005 has more decimals than EUR has'],
  [{ currency: 'JPY', budget: { total: 10.5 } }, 'budget.total: 10.5 has more decimals than JPY has'],
  [{ currency: 'ABC' }, 'currency: "ABC" is not an ISO 4217 currency code'],
  [{ cooks: [{ handed: 'lefty' }] }, 'cooks[0].handed: "lefty" is not one of right, left'],
  [{ board: { lengthMm: '400' } }, 'board.lengthMm: "400" is not a number between 150 and 1500'],
  [
    { cooking: { tasks: [{ id: 'onion-dicing', times: 1, per: 'week' }] } },
    'cooking.tasks[0].id: "onion-dicing" is not a known task; did you mean onion-dice',
  ],
  [{ owned: [{ condition: 'dull' }] }, 'owned[0].type: is missing'],
  [{ limits: { must: ['chef'], never: ['chef'] } }, 'limits.must[0]: chef is also under limits.never'],
  [{ habits: [] }, 'habits: [] is not an object'],
  [{ name: '   ' }, 'name: is empty'],
  [{ cooks: Array.from({ length: 13 }, () => ({})) }, 'cooks: has 13 entries; at most 12 fit'],
])('%j is refused with its path and what would be right', (file, expected) => {
  expect(faults(file).join('\n')).toContain(expected);
});

test('every fault is told at once, one a line', () => {
  expect(faults({ cooks: [{ handed: 'x' }], board: { lengthMm: 3 }, extra: 1 })).toHaveLength(3);
});

test('a file that is not JSON, not an object or of another format is refused', () => {
  expect(faultsIn(() => readKitchenText('{"format":'))[0]).toMatch(/^file: is not JSON/);
  expect(faultsIn(() => readKitchenText('[]'))[0]).toMatch(/^file: \[\] is not an object/);
  expect(faultsIn(() => readKitchenText('{"format":"x","version":2}'))).toHaveLength(2);
});

test('defaults are filled and each is stated', () => {
  const { kitchen, assumed } = completeKitchen(readKitchenFile(head), reference, shippedModels);
  expect(kitchen.cooks).toHaveLength(1);
  expect(kitchen.budgetMinor).toBe(25_000);
  for (const word of ['hand 185 mm', 'board', 'Everyday Western', '€250', '7 cooked meals', 'At most'])
    expect(assumed.join(' ')).toContain(word);
});
