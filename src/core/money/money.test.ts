import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { bladeTraits } from '../fit/traits';
import { DEFAULTS } from '../kitchen/kitchen';
import { costPerYearMinor, sharpeningsPerYear, yearsOfLife } from './costPerYear';
import {
  convertMinor,
  fromMinor,
  isCurrency,
  isExact,
  minorDigits,
  planningRate,
  showMoney,
  toMinor,
} from './currency';

const traits = (id: string) => {
  const model = shippedModels.find((m) => m.id === id);
  if (!model) throw new Error(id);
  return bladeTraits(model, reference);
};
const { board, habits } = DEFAULTS;
/** Minutes a week of someone who cooks every day. */
const DAILY = 100;

test('amounts survive the way to minor units and back, whatever the currency', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 10_000_000 }),
      fc.constantFrom('EUR', 'JPY', 'KRW', 'GBP'),
      (minor, currency) => {
        expect(toMinor(fromMinor(minor, currency), currency)).toBe(minor);
        expect(isExact(fromMinor(minor, currency), currency)).toBe(true);
        expect(convertMinor(minor, currency, currency)).toBe(minor);
      },
    ),
  );
});

test('decimals are those of the currency', () => {
  expect([minorDigits('EUR'), minorDigits('JPY')]).toEqual([2, 0]);
  expect([isExact(9.99, 'EUR'), isExact(9.999, 'EUR'), isExact(10.5, 'JPY')]).toEqual([true, false, false]);
  expect([isCurrency('EUR'), isCurrency('eur'), isCurrency('ABC')]).toEqual([true, false, false]);
  expect(showMoney(8400, 'EUR')).toBe('€84');
  expect(showMoney(1050, 'EUR')).toBe('€10.50');
});

test('a planning rate keeps whole minor units, and none means one for one', () => {
  expect(convertMinor(10_000, 'EUR', 'JPY')).toBe(Math.round(100 * (planningRate('EUR', 'JPY') ?? 0)));
  expect(planningRate('EUR', 'XPF')).toBeNull();
  expect(convertMinor(2500, 'EUR', 'BAM')).toBe(2500);
});

test('daily home use wears edges as the trade says: soft stainless every two to three months, hard ones half as often', () => {
  const monthsBetween = (id: string) => 12 / sharpeningsPerYear(traits(id), DAILY, board);
  expect(monthsBetween('ploverdale-chef-200')).toBeGreaterThan(1.5);
  expect(monthsBetween('ploverdale-chef-200')).toBeLessThan(4);
  expect(monthsBetween('lanternhill-gyuto-210')).toBeGreaterThan(3.5);
  expect(monthsBetween('lanternhill-gyuto-210')).toBeLessThan(7);
  expect(sharpeningsPerYear(traits('ploverdale-chef-200'), 0, board)).toBe(0);
  expect(sharpeningsPerYear(traits('lanternhill-sujihiki-270'), 0.5, board)).toBe(0.5);
});

test('glass ruins edges, serrated knives are replaced, and own stones make a knife last longest', () => {
  const chef = traits('ploverdale-chef-200');
  expect(sharpeningsPerYear(chef, DAILY, { ...board, material: 'glass' })).toBeGreaterThan(
    5 * sharpeningsPerYear(chef, DAILY, board),
  );
  const bread = traits('quillback-bread-230');
  expect(yearsOfLife(bread, 10, board, habits)).toBeGreaterThanOrEqual(2);
  expect(yearsOfLife(bread, 10, board, habits)).toBeLessThanOrEqual(6);
  expect(yearsOfLife(bread, 90, board, habits)).toBe(2);
  const life = (sharpening: 'stones' | 'professional') => yearsOfLife(chef, DAILY, board, { ...habits, sharpening });
  expect(life('stones')).toBeGreaterThan(life('professional'));
});

test('a year costs the price over its life and the sharpening, and more use never costs less', () => {
  const chef = traits('ploverdale-chef-200');
  const kitchen = { board, habits };
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 200 }), (minutes, more) => {
      const cost = (m: number) => costPerYearMinor(chef, 6800, m, kitchen, 800);
      expect(cost(minutes + more)).toBeGreaterThanOrEqual(cost(minutes) - 1e-9);
      expect(cost(minutes)).toBeGreaterThanOrEqual(6800 / 25);
    }),
  );
});
