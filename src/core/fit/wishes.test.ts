import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { WISHES } from '../formats/kitchenWords';
import { traitsOf } from '../testing/trade';
import { byWishes, type Wish } from './wishes';

const blades = shippedModels.filter((_, i) => i % 4 === 0).map(({ id }) => traitsOf(id));

/** Of two blades that differ in one thing, the one a wish goes for: the changed one, or the plain. */
test.each<[Wish, Parameters<typeof traitsOf>[1]]>([
  ['light', { weightG: 90 }],
  ['heavy', { weightG: 320 }],
  ['tall', { heelHeightMm: 70 }],
  ['low', { heelHeightMm: 25 }],
  ['short', { lengthMm: 120 }],
  ['long', { lengthMm: 300 }],
  ['thin', { behindEdgeMm: 0.1 }],
  ['sturdy', { edgeAngleDeg: 24 }],
  ['pointed', { spineTipMm: 0.4 }],
  ['safe-tip', { tip: 'round' }],
  ['wet-proof', { handleStyle: 'moulded', steel: 'soft-stainless' }],
  ['rust-free', { steel: 'soft-stainless' }],
  ['easy-to-sharpen', { steel: 'soft-stainless' }],
  ['keeps-its-edge', { steel: 'powder-stainless' }],
  ['rocks', { bellyMm: 26, flatShare: 0.2 }],
  ['flat', { bellyMm: 1, flatShare: 0.95 }],
  ['grips-when-greasy', { handleStyle: 'moulded' }],
  ['smooth-corners', { easedSpine: true }],
  ['cheap', { priceMinor: 900 }],
])('who wishes for %s gets it', (wish, changes) => {
  const plain = traitsOf('umberlane-gyuto-210', { easedSpine: false, handleStyle: 'western' });
  const changed = traitsOf('umberlane-gyuto-210', { ...plain.blade, ...changes, id: 'changed' });
  expect(byWishes([wish], [plain, changed])[0]?.blade.blade.id).toBe('changed');
});

test('a bolster is wished away by degrees', () => {
  const of = (bolster: 'none' | 'half' | 'full') => traitsOf('ploverdale-chef-200', { id: bolster, bolster });
  const told = byWishes(['no-bolster'], [of('half'), of('full'), of('none')]);
  expect(told.map(({ blade }) => blade.blade.id)).toEqual(['none', 'half', 'full']);
  expect(told.map(({ share }) => share)).toEqual([1, 0.5, 0]);
});

test('shares lie between nothing and all, blades come best first, and equals share alike', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.constantFrom(...WISHES), { minLength: 1, maxLength: 6 }), (wishes) => {
      const told = byWishes(wishes, blades);
      expect(told).toHaveLength(blades.length);
      told.forEach(({ share, each }, i) => {
        expect(each.map(({ wish }) => wish)).toEqual(wishes);
        for (const { share: has } of [{ share }, ...each]) expect(has >= 0 && has <= 1).toBe(true);
        expect(share).toBeLessThanOrEqual(told[i - 1]?.share ?? 1);
      });
      const mean = told.reduce((sum, { share }) => sum + share, 0) / told.length;
      expect(mean).toBeCloseTo(0.5, 9);
    }),
    { numRuns: 30 },
  );
});

test('one blade alone has all that is wished, and without wishes nothing is told apart', () => {
  expect(byWishes(['light'], blades.slice(0, 1))[0]?.share).toBe(1);
  expect(new Set(byWishes([], blades).map(({ share }) => share))).toEqual(new Set([0]));
});
