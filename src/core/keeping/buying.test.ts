import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { shippedModels } from '../../../data/models';
import type { StoragePlace } from '../formats/storageFile';
import { storagePrices } from './buying';
import { keepingOf } from './keeping';
import { thingOf, type Thing } from './things';

const PRICES = storagePrices(reference, 'EUR');
const kits = fc
  .array(fc.constantFrom(...shippedModels), { minLength: 1, maxLength: 6 })
  .map((blades) => blades.map((blade, i) => thingOf(`owned-${i}`, blade.name, blade)));
const figures = (what: string): number[] => [...what.matchAll(/\d+/g)].map(([figure]) => Number(figure));

/** What is to be bought, as the place it is once it is there. */
function bought(what: string, left: readonly Thing[]): StoragePlace {
  const [first = 0, second = 0, third = 0] = figures(what);
  if (what.startsWith('A magnetic strip')) return { kind: 'strip', lengthMm: first, belowMm: second };
  if (what.startsWith('A knife roll'))
    return { kind: 'roll', pockets: Array.from({ length: first }, () => ({ lengthMm: second, widthMm: third })) };
  const [lengthMm, heightMm] = left.length === 1 ? [first, second] : [second, third];
  // a drawer to lay them in is there in any kitchen
  return {
    kind: 'drawer',
    lengthMm: 900,
    widthMm: 900,
    heightMm: 120,
    guards: Array.from({ length: left.length }, () => ({ lengthMm, heightMm })),
  };
}

describe('the least to buy', () => {
  test('takes all that found no place, whatever was left', () => {
    fc.assert(
      fc.property(kits, (things) => {
        const { left, buy } = keepingOf(things, { places: [] }, PRICES);
        expect(left).toHaveLength(things.length);
        const [only, ...more] = buy;
        if (!only) throw new Error('nothing is to be bought');
        expect(more).toEqual([]);
        const after = keepingOf(things, { places: [bought(only.what, things)] }, PRICES);
        expect(after.left).toEqual([]);
        expect(after.fits).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  test('costs no more than guards, a strip or a roll would, in the kitchen’s money', () => {
    fc.assert(
      fc.property(kits, fc.constantFrom('EUR', 'GBP', 'JPY', 'CHF'), (things, currency) => {
        const prices = storagePrices(reference, currency);
        const [only] = keepingOf(things, { places: [] }, prices).buy;
        expect(only?.price).toBe(Math.min(things.length * prices.guard, prices.strip, prices.roll));
      }),
      { numRuns: 40 },
    );
  });

  test('is nothing where all fits with the room that is wanted, and room where it does not', () => {
    const [one] = shippedModels;
    if (!one) throw new Error('no model');
    const things = [thingOf('owned-0', one.name, one)];
    const strip = { kind: 'strip' as const, lengthMm: 600, belowMm: 400 };
    expect(keepingOf(things, { places: [strip], growth: 0.5 }, PRICES).buy).toEqual([]);
    const tight = keepingOf(things, { places: [strip], growth: 0.99 }, PRICES).buy;
    expect(tight[0]?.why).toMatch(/^Everything fits, and \d+ % of the room is free where 99 % is wanted\.$/);
    expect(tight).toHaveLength(1);
  });
});
