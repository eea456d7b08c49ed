import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { edgeLife, type EdgeCare } from '../edge/keenness';
import { bladeTraits } from '../fit/traits';
import { costPerYearMinor, sharpeningsPerYear, yearsOfLife } from '../kit/plan/costPerYear';
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

const care: EdgeCare = {
  sharpening: 'stones',
  honing: 'none',
  roughUse: false,
  visitsPerYear: null,
  sharpenAtMostEveryWeeks: null,
  board: 'wood',
};
const life = (id: string, minutes: number, change: Partial<EdgeCare> = {}) => {
  const { blade, steel } = traits(id);
  return edgeLife(blade, steel, { ...care, ...change }, minutes);
};

test('glass ruins edges, serrated knives are replaced, and own stones make a knife last longest', () => {
  const [chef, bread] = ['ploverdale-chef-200', 'quillback-bread-230'];
  expect(life(chef, DAILY, { board: 'glass' }).halfLifeMinutes).toBeCloseTo(life(chef, DAILY).halfLifeMinutes / 6, 9);
  const years = (minutes: number) => yearsOfLife(true, life(bread, minutes), 'stones');
  expect(years(10)).toBeLessThanOrEqual(6);
  expect(years(10)).toBeGreaterThanOrEqual(2);
  expect(years(90)).toBe(2);
  const by = (sharpening: 'stones' | 'professional' | 'powered') =>
    yearsOfLife(false, life(chef, 4 * DAILY, { sharpening }), sharpening);
  expect(by('stones')).toBeGreaterThan(by('professional'));
  expect(by('professional')).toBeGreaterThan(by('powered'));
  expect(sharpeningsPerYear(life(chef, DAILY, { sharpening: 'none' }))).toBe(0);
});

test('a year costs the price over its life and the sharpening, and more use never costs less', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 200 }), (minutes, more) => {
      const cost = (m: number) => costPerYearMinor(false, 6800, life('ploverdale-chef-200', m), 'stones', 800);
      expect(cost(minutes + more)).toBeGreaterThanOrEqual(cost(minutes) - 1e-9);
      expect(cost(minutes)).toBeGreaterThanOrEqual(6800 / 25);
    }),
  );
});
