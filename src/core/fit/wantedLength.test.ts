import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { FIT } from '../constants';
import type { KitchenFile } from '../formats/kitchenFile';
import { cookOf } from '../testing/trade';

const w = FIT.wantedLength;
const PLAIN: Partial<KitchenFile> = {
  board: { lengthMm: 600, widthMm: 400 },
  cooking: { portions: 2, tasks: [{ id: 'onion-dice', times: 3, per: 'week' }] },
};
const band = (cook: NonNullable<KitchenFile['cooks']>[number], file: Partial<KitchenFile> = {}) =>
  cookOf({ ...PLAIN, ...file, cooks: [{ handLengthMm: 185, experience: 'home', ...cook }] }).length;
const centre = (length: { fromMm: number; toMm: number }) => (length.fromMm + length.toMm) / 2;
const plain = centre(band({}));

describe('the length a general knife should have', () => {
  test('starts from the hand', () => {
    expect(Math.abs(plain - w.perHand.value * 185)).toBeLessThanOrEqual(w.step.value / 2);
    expect(band({}).why).toEqual(['A hand of 185 mm: about 204 mm.']);
    const { fromMm, toMm } = band({});
    expect([fromMm % w.step.value, toMm % w.step.value]).toEqual([0, 0]);
    expect(toMm - fromMm - 2 * w.tolerance.value).toBeLessThanOrEqual(2 * w.step.value);
  });

  test.each<[string, NonNullable<KitchenFile['cooks']>[number], Partial<KitchenFile>, number]>([
    ['a new cook', { experience: 'new' }, {}, w.learning.value],
    ['a keen one', { experience: 'keen' }, {}, w.practised.value],
    ['a trained one', { experience: 'trained' }, {}, w.practised.value],
    ['the long school', {}, { limits: { lengthSchool: 'long' } }, w.long.value],
    ['the nimble school', {}, { limits: { lengthSchool: 'nimble' } }, w.nimble.value],
    [
      'many portions',
      {},
      { cooking: { portions: 10, tasks: [{ id: 'onion-dice', times: 3, per: 'week' }] } },
      w.bigBatches.value,
    ],
    [
      'large food weekly',
      {},
      { cooking: { portions: 2, tasks: [{ id: 'cabbage-wedge', times: 1, per: 'week' }] } },
      w.largeFood.value,
    ],
    [
      'hours of cutting',
      {},
      { cooking: { portions: 2, tasks: [{ id: 'onion-dice', times: 7, per: 'week', amount: 40 }] } },
      w.bigBatches.value,
    ],
  ])('%s moves it, and says by how much', (_who, cook, file, by) => {
    const moved = band(cook, file);
    expect(centre(moved) - plain).toBeCloseTo(by, 0);
    expect(moved.why.at(-1)).toMatch(new RegExp(`: ${by > 0 ? '\\+' : '−'}${Math.abs(by)} mm\\.$`));
  });

  test('a cabbage once a year is not large food every week', () => {
    expect(
      centre(band({}, { cooking: { portions: 2, tasks: [{ id: 'cabbage-wedge', times: 1, per: 'year' }] } })),
    ).toBe(plain);
  });

  test('a small board is cramped and caps the edge, and says both', () => {
    const small = band({ handLengthMm: 215 }, { board: { lengthMm: 300, widthMm: 200 } });
    expect(Math.abs(centre(small) - w.boardShare.value * 300)).toBeLessThanOrEqual(w.step.value / 2);
    expect(small.why.join(' ')).toMatch(/small board, 300 mm: −20 mm\. The board of 300 mm carries about 186 mm/);
  });

  test('the cook’s own wish overrides all of it', () => {
    expect(band({ wantsLengthMm: 180, experience: 'trained' }, { board: { lengthMm: 280 } })).toEqual({
      fromMm: 180 - w.ownWish.value,
      toMm: 180 + w.ownWish.value,
      why: ['You asked for about 180 mm.'],
    });
  });

  test('a longer hand or board never wants a shorter knife, and no band leaves 140–316 mm', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 120, max: 250 }),
        fc.integer({ min: 150, max: 1400 }),
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom('new' as const, 'home' as const, 'trained' as const),
        (hand, board, more, experience) => {
          const at = (handLengthMm: number, lengthMm: number) =>
            band({ handLengthMm, experience }, { board: { lengthMm, widthMm: 300 } });
          const before = at(hand, board);
          expect(at(Math.min(260, hand + more), board).fromMm).toBeGreaterThanOrEqual(before.fromMm);
          expect(at(hand, board + more).fromMm).toBeGreaterThanOrEqual(before.fromMm);
          expect(before.fromMm).toBeGreaterThanOrEqual(w.shortest.value);
          expect(before.toMm).toBeLessThanOrEqual(w.longest.value + w.tolerance.value);
        },
      ),
      { numRuns: 200 },
    );
  });
});
