import { expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { minutes, money, percent, taskName, typeName } from './words';

test('every task, type and tool has its plain name without the whole trade data', () => {
  for (const task of reference.tasks.values()) expect(taskName(task.id)).toBe(task.name);
  for (const type of reference.types.values()) expect(typeName(type.id)).toBe(type.name);
  for (const tool of reference.tools.values()) expect(typeName(tool.id)).toBe(tool.name);
  expect([taskName('something-new'), typeName('something-new')]).toEqual(['something-new', 'something-new']);
});

test('figures as people say them', () => {
  expect([minutes(0.25), minutes(1.96), minutes(2.4), minutes(59.7)]).toEqual(['0.3', '2.0', '2', '60']);
  expect([percent(0), percent(0.834), percent(1)]).toEqual(['0%', '83%', '100%']);
  expect([money(84, 'EUR'), money(9.5, 'EUR'), money(1200, 'JPY'), money(1200.5, 'GBP')]).toEqual([
    '€84',
    '€9.50',
    '¥1,200',
    '£1,200.50',
  ]);
});
