import { describe, expect, test } from 'vitest';
import { taskNamed } from '../testing/trade';
import type { Food } from './foods';
import { amountOf, measure, sumOf } from './units';

const food = (more: Partial<Food> = {}): Food => ({ id: 'onion', class: 'bulb', grams: 150, ...more }) as Food;

describe('how much of a food a line asks for', () => {
  test.each([
    [2, null, {}, { pieces: 2, grams: 300 }],
    [null, null, {}, { pieces: 1, grams: 150 }],
    [300, 'gram', {}, { pieces: 2, grams: 300 }],
    [1.5, 'kilogram', {}, { pieces: 10, grams: 1500 }],
    [2, 'pound', {}, { pieces: 907.2 / 150, grams: 907.2 }],
    [1, 'cup', {}, { pieces: 120 / 150, grams: 120 }],
    [0.5, 'liter', { cup: 144 }, { pieces: 300 / 150, grams: 300 }],
    [2, 'tablespoon', { cup: 240 }, { pieces: 30 / 150, grams: 30 }],
    [6, 'centimeter', {}, { pieces: 2, grams: 300 }],
    [3, 'inch', {}, { pieces: 2.54, grams: 381 }],
    [1, 'dozen', {}, { pieces: 12, grams: 1800 }],
    [1, 'half', {}, { pieces: 0.5, grams: 75 }],
    [2, 'bunch', { class: 'soft herb', grams: 10 }, { pieces: 6, grams: 60 }],
    [2, 'bunch', {}, { pieces: 2, grams: 300 }],
    [3, 'bunch', { holds: { bunch: 5 } }, { pieces: 15, grams: 2250 }],
    [4, null, { each: 0.25 }, { pieces: 1, grams: 150 }],
    [2, 'spoonish', {}, { pieces: 2, grams: 300 }],
  ] as const)('%s %s of %o', (quantity, unit, more, wanted) => {
    const found = measure(quantity, unit, food(more));
    expect(found.pieces).toBeCloseTo(wanted.pieces, 9);
    expect(found.grams).toBeCloseTo(wanted.grams, 9);
  });

  test('a food of unknown weight is taken for 100 g', () => {
    expect(measure(2, null, food({ grams: undefined }))).toEqual({ pieces: 2, grams: 200 });
  });
});

describe('two measures of one food', () => {
  test('are added within mass or within volume, in the unit of the first', () => {
    expect(sumOf({ quantity: 1, unit: 'kilogram' }, { quantity: 500, unit: 'gram' })).toBeCloseTo(1.5, 12);
    expect(sumOf({ quantity: 2, unit: 'tablespoon' }, { quantity: 3, unit: 'teaspoon' })).toBeCloseTo(3, 12);
    expect(sumOf({ quantity: 1, unit: 'pound' }, { quantity: 16, unit: 'ounce' })).toBeCloseTo(2, 3);
  });

  test('are not across them, nor without a quantity or a unit', () => {
    expect(sumOf({ quantity: 1, unit: 'cup' }, { quantity: 100, unit: 'gram' })).toBeNull();
    expect(sumOf({ quantity: null, unit: 'gram' }, { quantity: 100, unit: 'gram' })).toBeNull();
    expect(sumOf({ quantity: 1, unit: null }, { quantity: 2, unit: null })).toBeNull();
  });
});

test.each([
  ['onion-dice', { pieces: 2.5, grams: 375 }, {}, 2.5],
  ['cabbage-shred', { pieces: 1.5, grams: 1800 }, {}, 3],
  ['chocolate-chop', { pieces: 2, grams: 250 }, {}, 2.5],
  ['onion-dice', { pieces: 0.001, grams: 0.1 }, {}, 0.01],
  ['onion-dice', { pieces: 1 / 3, grams: 50 }, {}, 0.33],
] as const)('%s of %o is told in the task’s own unit', (task, much, more, wanted) => {
  expect(amountOf(taskNamed(task), much, food(more))).toBe(wanted);
});
