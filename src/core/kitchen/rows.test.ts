import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { FaultyInput } from '../formats/faults';
import { type KitchenFile, readKitchenText } from '../formats/kitchenFile';
import { planKitchen } from '../kit/plan/planKitchen';
import { fileOf } from '../testing/trade';
import { bought, givenAway, stepKey } from './changes';
import { completeKitchen } from './kitchen';

const [STEP] = planKitchen(fileOf({ budget: { total: 60 } }), reference, shippedModels, { perturbed: 0 }).steps;
if (!STEP) throw new Error('nothing is planned');

/** Four knives, each of its own length, and everything in a kitchen file that speaks of one by its number. */
const RUNS = [{ task: 'onion-dice', knife: 0, effort: 3, control: 3, result: 3 }];
const LENGTHS = [150, 160, 170, 180];
const kitchen: KitchenFile = fileOf({
  cooks: [{ mayUse: [0, 2, 3] }, {}],
  owned: LENGTHS.map((lengthMm) => ({ type: 'santoku', lengthMm })),
  limits: { order: ['sharpen-1', 'oskavel-paring-90'] },
  diary: [0, 1, 2, 3].map((knife) => ({ on: `2026-02-0${knife + 1}`, knife, did: 'honed' as const })),
  trials: {
    bench: [
      { knives: [{ owned: 1 }, { owned: 3 }], on: '2026-03-01', tasks: ['onion-dice'], runs: RUNS },
      { knives: [{ owned: 2 }, { model: 'oskavel-gyuto-210' }], on: '2026-03-02', tasks: ['onion-dice'], runs: RUNS },
    ],
  },
  storage: {
    places: [{ kind: 'tray', lengthMm: 500, widthMm: 400, heightMm: 60, slats: null }],
    laid: [
      ...[0, 1, 2, 3].map((owned) => ({ owned, place: 0, xMm: 0, yMm: 60 * owned, turned: false })),
      { model: 'oskavel-paring-90', place: 0, xMm: 300, yMm: 0, turned: false },
    ],
  },
});

/** Whom every number of a file speaks of, by the length of the knife. */
const spokenOf = ({ owned = [], cooks, diary, trials, storage }: KitchenFile) => {
  const length = (i: number | undefined) => (i === undefined ? null : owned[i]?.lengthMm);
  return {
    mayUse: cooks?.[0]?.mayUse?.map(length),
    diary: diary?.map(({ knife, on }) => [on, length(knife)]),
    bench: trials?.bench?.map(({ knives }) => knives.map((knife) => length(knife.owned))),
    laid: storage?.laid?.map((at) => [at.yMm, length(at.owned)]),
  };
};

describe('a knife leaves the drawer', () => {
  test('whichever it is, every number still speaks of the knife it spoke of, and nothing of the one that left', () => {
    const before = spokenOf(kitchen);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3 }), (gone) => {
        const after = spokenOf(givenAway(kitchen, gone));
        const stays = (length: unknown) => length !== LENGTHS[gone];
        expect(after.mayUse).toEqual(before.mayUse?.filter(stays));
        expect(after.diary).toEqual(before.diary?.filter(([, length]) => stays(length)));
        expect(after.bench).toEqual(before.bench?.filter((knives) => knives.every(stays)));
        expect(after.laid).toEqual(before.laid?.filter(([, length]) => stays(length)));
        expect(() => readKitchenText(JSON.stringify(givenAway(kitchen, gone)))).not.toThrow();
      }),
    );
  });

  test('an order that names owned knives goes; what it says of purchases stays', () => {
    expect(givenAway(kitchen, 0).limits?.order).toEqual(['oskavel-paring-90']);
  });
});

describe('a step is bought', () => {
  const step = { action: 'buy' as const, model: 'oskavel-paring-90', type: 'paring', price: 18 };

  test('it lies where it was laid, and its place in the order is done', () => {
    const file = bought({ ...kitchen, budget: { total: 30 } }, { ...STEP, ...step }, '2026-06-01');
    expect(file.storage?.laid?.at(-1)).toMatchObject({ owned: 4, yMm: 0 });
    expect(file.storage?.laid?.at(-1)?.model).toBeUndefined();
    expect(file.owned?.at(-1)).toMatchObject({ model: 'oskavel-paring-90', boughtOn: '2026-06-01', paid: 18 });
    expect(file.limits?.order).toEqual(['sharpen-1']);
    expect(file.budget?.total).toBe(12);
  });

  test('what it cost leaves no debt, and money without a ceiling stays so', () => {
    expect(bought({ ...kitchen, budget: { total: 10 } }, { ...STEP, ...step }, '2026-06-01').budget?.total).toBe(0);
    expect(
      bought({ ...kitchen, budget: { total: null } }, { ...STEP, ...step }, '2026-06-01').budget?.total,
    ).toBeNull();
    const yen = { ...kitchen, currency: 'JPY' as const, budget: { total: 5000 } };
    expect(bought(yen, { ...STEP, ...step, price: 1234 }, '2026-06-01').budget?.total).toBe(3766);
  });

  test('steps go by what is done to what', () => {
    expect([
      stepKey({ action: 'buy', model: 'm', type: 't' }),
      stepKey({ action: 'tool', model: null, type: 'peeler' }),
      stepKey({ action: 'sharpen', model: null, type: 'chef', owned: 2 }),
    ]).toEqual(['m', 'peeler', 'sharpen-2']);
  });
});

test.each<[Partial<KitchenFile>, string]>([
  [{ cooking: { dishes: [{ id: 'no-dish', times: 1, per: 'week' }] } }, 'cooking.dishes[0].id'],
  [{ cooking: { tasks: [{ id: 'onion-dise', times: 1, per: 'week', amount: 1 }] } }, 'cooking.tasks[0].id'],
  [{ cooking: { sizes: [{ id: 'no-task', heightMm: 30 }] } }, 'cooking.sizes[0].id'],
  [
    {
      cooking: {
        ownDishes: [0, 1].map(() => ({ id: 'stew', name: 'Stew', tasks: [{ id: 'onion-dice', amount: 1 }] })),
      },
    },
    'cooking.ownDishes[1].id',
  ],
  [
    { cooking: { ownDishes: [{ id: 'stew', name: 'Stew', tasks: [{ id: 'onion-dize', amount: 1 }] }] } },
    'cooking.ownDishes[0].tasks[0].id',
  ],
  [{ limits: { must: ['nakiri'], never: ['nakiri'] } }, 'limits.must[0]'],
  [{ limits: { maker: 'Nobody' } }, 'limits.maker'],
  [{ cooks: [{ mayUse: [0] }] }, 'cooks[0].mayUse'],
  [{ diary: [{ on: '2026-01-01', knife: 0, did: 'honed' as const }] }, 'diary[0].knife'],
  [
    { owned: [{ type: 'chef' }], diary: [{ on: '2026-01-01', knife: 0, did: 'honed' as const, cook: 1 }] },
    'diary[0].cook',
  ],
  [{ trials: { hand: [{ on: '2026-01-01', model: 'no-model', answers: {} }] } }, 'trials.hand[0].model'],
  [
    {
      trials: {
        bench: [{ on: '2026-01-01', knives: [{ owned: 0 }, { owned: 1 }], tasks: ['onion-dice'], runs: RUNS }],
      },
    },
    'trials.bench[0].knives[0].owned',
  ],
])('what names something that is not there is refused at its place: %j', (said, path) => {
  const faults = () => completeKitchen(fileOf(said), reference, shippedModels);
  expect(faults).toThrow(FaultyInput);
  try {
    faults();
  } catch (error) {
    const told = error instanceof FaultyInput ? error.faults : [];
    expect(told.map((fault) => fault.path)).toContainEqual(expect.stringContaining(path));
  }
});

test.each([
  [{ did: 'tested' }, 'lacks test'],
  [{ did: 'tested', test: 'thread' }, 'lacks grams'],
  [{ did: 'tested', test: 'paper' }, 'lacks result'],
  [{ did: 'measured' }, 'lacks heelHeightMm'],
])('a diary entry that lacks what it is about is refused: %j', (entry, words) => {
  const text = JSON.stringify({ ...kitchen, diary: [{ on: '2026-01-01', knife: 0, ...entry }] });
  expect(() => readKitchenText(text)).toThrow(words);
});
