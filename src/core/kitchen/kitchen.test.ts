import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { FaultyInput } from '../formats/faults';
import type { KitchenFile } from '../formats/kitchenFile';
import { anyKitchen } from '../testing/arbitrary';
import { fileOf } from '../testing/trade';
import { completeKitchen, timesPerWeek } from './kitchen';
import { DEFAULTS } from './defaults';

const complete = (file: Partial<KitchenFile> = {}) => completeKitchen(fileOf(file), reference, shippedModels);
const faults = (file: Partial<KitchenFile>) => {
  try {
    complete(file);
  } catch (error) {
    if (error instanceof FaultyInput) return error.faults.map(({ path, message }) => `${path}: ${message}`);
    throw error;
  }
  return [];
};

describe('gaps are filled', () => {
  test('an empty file becomes a middling home, and every assumption is one sentence', () => {
    const { kitchen, assumed } = complete();
    expect(kitchen).toMatchObject({
      name: 'Unnamed kitchen',
      currency: 'EUR',
      board: DEFAULTS.board,
      mealsPerWeek: DEFAULTS.mealsPerWeek,
      budgetMinor: DEFAULTS.budgetEur * 100,
      cuisines: [{ id: DEFAULTS.cuisine, share: 1 }],
    });
    expect(kitchen.cooks).toHaveLength(1);
    for (const sentence of assumed) expect(sentence).toMatch(/^[A-Z0-9€].*\.$/);
    expect(assumed.join(' ')).toMatch(/Cook main:.*right-handed.*Everyday Western cooking\..*€250 to spend/s);
  });

  test('what is said is not assumed', () => {
    const { assumed } = complete({
      name: 'Full',
      currency: 'EUR',
      cooks: [
        {
          name: 'Ada',
          handLengthMm: 180,
          palmBreadthMm: 82,
          handed: 'left',
          strength: 'light',
          experience: 'keen',
          grip: 'pinch',
          motions: { push: 1 },
          wantsWeight: 'light',
        },
      ],
      board: { lengthMm: 500, widthMm: 350, material: 'rubber' },
      habits: {
        upkeep: 'wipes-during',
        sharpening: 'stones',
        honing: 'ceramic',
        storage: 'strip',
        dishwasher: false,
        roughUse: false,
        bones: false,
        lifts: 'never',
        sharpeningPrice: 9,
        visitsPerYear: 3,
        sharpenAtMostEveryWeeks: 6,
        carves: 'thin',
      },
      cooking: { mealsPerWeek: 5, portions: 3, cuisines: [{ id: 'italian' }] },
      budget: { total: 100 },
      limits: { maxKnives: 4 },
    });
    expect(assumed).toEqual([expect.stringContaining('bought boned, jointed and filleted')]);
  });

  test('hand and palm are guessed from each other', () => {
    expect(complete({ cooks: [{ handLengthMm: 200 }] }).kitchen.cooks[0]?.palmBreadthMm).toBe(91);
    expect(complete({ cooks: [{ palmBreadthMm: 91 }] }).kitchen.cooks[0]?.handLengthMm).toBe(200);
  });

  test('motions are shares of one; none at all is even', () => {
    const motions = (given?: { rock?: number; push?: number }) =>
      complete({ cooks: [{ motions: given }] }).kitchen.cooks[0]?.motions;
    expect(motions({ rock: 3, push: 1 })).toEqual({ rock: 0.75, push: 0.25, pull: 0, chop: 0 });
    for (const none of [undefined, {}, { rock: 0 }])
      expect(motions(none)).toEqual({ rock: 0.25, push: 0.25, pull: 0.25, chop: 0.25 });
  });

  test('a single cook without a name is the main one, several are counted', () => {
    const names = (cooks: { name?: string }[]) => complete({ cooks }).kitchen.cooks.map((c) => c.name);
    expect(names([{}])).toEqual(['main']);
    expect(names([{}, {}, { name: 'Bo' }])).toEqual(['cook 1', 'cook 2', 'Bo']);
  });

  test('cut food is carried on the flat where most of what is cooked does so, until another habit is told', () => {
    const lifts = (shares: [string, number][], habits = {}) =>
      complete({ habits, cooking: { cuisines: shares.map(([id, share]) => ({ id, share })) } });
    expect(lifts([['chinese-home', 1]]).kitchen.habits.lifts).toBe('flat');
    expect(lifts([['chinese-home', 1]]).assumed.join(' ')).toContain('carried on the flat of the blade');
    expect(
      lifts([
        ['chinese-home', 1],
        ['italian', 1],
      ]).kitchen.habits.lifts,
    ).toBeNull();
    expect(
      lifts([
        ['chinese-home', 3],
        ['italian', 2],
      ]).kitchen.habits.lifts,
    ).toBe('flat');
    expect(lifts([['chinese-home', 1]], { lifts: 'never' }).kitchen.habits.lifts).toBe('never');
    expect(lifts([['chinese-home', 1]], { lifts: null }).kitchen.habits.lifts).toBeNull();
    expect(lifts([]).assumed.join(' ')).toContain('nothing said of carrying food');
  });

  test('own dishes or tasks say what is cooked: no cuisine is added to them', () => {
    expect(complete({ cooking: { tasks: [{ id: 'onion-dice', times: 1, per: 'day' }] } }).kitchen.cuisines).toEqual([]);
  });
});

describe('money', () => {
  test('a monthly amount alone is counted over two years, and no ceiling is none', () => {
    const monthly = complete({ budget: { perMonth: 20 } });
    expect(monthly.kitchen.budgetMinor).toBe(2000 * DEFAULTS.months);
    expect(monthly.assumed.join(' ')).toContain('over 24 months');
    expect(complete({ budget: { total: null } }).kitchen.budgetMinor).toBeNull();
    expect(complete({ budget: { total: 60, perMonth: 20 } }).kitchen).toMatchObject({
      budgetMinor: 6000,
      perMonthMinor: 2000,
    });
  });

  test('another currency is converted at a planning rate that is stated, or one for one, stated too', () => {
    expect(complete({ currency: 'GBP' }).assumed.join(' ')).toMatch(/turned into GBP at a planning rate of 0\.86/);
    expect(complete({ currency: 'XPF' }).assumed.join(' ')).toMatch(/one for one in XPF/);
    expect(complete({ currency: 'JPY' }).kitchen.budgetMinor).toBe(250 * 160);
  });
});

describe('names of things', () => {
  test('every unknown id is told at once, with its place and the nearest known one', () => {
    const told = faults({
      cooking: {
        cuisines: [{ id: 'italien' }],
        dishes: [{ id: 'no-such-dish', times: 1, per: 'week' }],
        tasks: [{ id: 'onion-dise', times: 1, per: 'week' }],
      },
      tools: ['peelar'],
      owned: [{ type: 'cheff' }, { model: 'ploverdale-chef-201' }],
      limits: { must: ['nakiry'], never: ['paring'] },
    });
    expect(told).toHaveLength(7);
    expect(told.join('\n')).toMatch(/cooking\.cuisines\[0\]\.id: .*italian/);
    expect(told.join('\n')).toMatch(/cooking\.tasks\[0\]\.id: .*onion-dice/);
    expect(told.join('\n')).toMatch(/tools\[0\]: .*peeler/);
    expect(told.join('\n')).toMatch(/owned\[0\]\.type: .*chef/);
    expect(told.join('\n')).toMatch(/owned\[1\]\.model: .*ploverdale-chef-200/);
    expect(told.join('\n')).toMatch(/limits\.must\[0\]: .*nakiri/);
  });

  test('what must be had cannot also be ruled out', () => {
    expect(faults({ limits: { must: ['nakiri'], never: ['nakiri'] } })).toEqual([
      'limits.must[0]: nakiri is also under limits.never; keep one of the two',
    ]);
  });
});

test('periods come to times a week', () => {
  expect(timesPerWeek(1, 'day')).toBe(7);
  expect(timesPerWeek(52, 'year')).toBe(1);
  expect(timesPerWeek(1, 'month') * 52).toBeCloseTo(12, 9);
});

test('any kitchen is completed without changing the file, and twice the same', () => {
  fc.assert(
    fc.property(anyKitchen, (file) => {
      const before = structuredClone(file);
      const first = completeKitchen(file, reference, shippedModels);
      expect(file).toEqual(before);
      expect(completeKitchen(file, reference, shippedModels)).toEqual(first);
      for (const cook of first.kitchen.cooks)
        expect(Object.values(cook.motions).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    }),
  );
});
