import { expect, test } from 'vitest';
import { contextOf } from '../../testing/trade';

const SUMS = [80, 170, 290, 500, 850, 1450, 2500];

test('new knives count no less beside owned ones with more money than with less', () => {
  const owned = [
    { type: 'chef', condition: 'dull', use: 'daily' } as const,
    { type: 'utility', condition: 'dull', use: 'weekly' } as const,
    ...Array.from({ length: 6 }, () => ({ type: 'steak', condition: 'keen', use: 'weekly' }) as const),
  ];
  const tasks = [{ id: 'steak-at-table', times: 1, per: 'week', amount: 4 } as const];
  const counted = SUMS.map(
    (total) => contextOf({ owned, cooking: { mealsPerWeek: 8, portions: 4, tasks }, budget: { total } }).counts,
  );
  const ranks = counted.map((counts) => ['rescue', 'done well', 'everything'].indexOf(counts));
  expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  expect(new Set(counted).size).toBeGreaterThan(1);
});
