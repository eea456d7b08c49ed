import fc from 'fast-check';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { BladeModel } from '../blade/schema';
import type { KitchenFile } from '../formats/kitchenFile';
import {
  BOARD_MATERIALS,
  CONDITIONS,
  EXPERIENCES,
  GRIPS,
  HONINGS,
  SCHOOL_IDS,
  SHARPENINGS,
  SPENDINGS,
  STRENGTHS,
  TASTES,
  UPKEEPS,
} from '../formats/kitchenWords';
import { convertMinor, fromMinor } from '../money/currency';

/** Random inputs for the core's property tests. */

const models = shippedModels;
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Any odd blade: a catalogue model with its numbers pulled about, within what the schema allows. */
export const oddBlade: fc.Arbitrary<BladeModel> = fc
  .record({
    from: fc.constantFrom(...models),
    lengthMm: between(45, 400),
    heelHeightMm: between(14, 110),
    spineHeelMm: between(1.2, 9),
    flatShare: between(0, 1),
    belly: between(0, 0.6),
    flex: between(0, 1),
    behindEdgeMm: between(0.1, 1.2),
    edgeAngleDeg: between(8, 35),
    weightG: between(30, 900),
    hrc: between(50, 66),
    steel: fc.constantFrom(...reference.steels.keys()),
  })
  .map(({ from, belly, steel, ...numbers }) => ({
    ...from,
    ...numbers,
    spineMidMm: numbers.spineHeelMm * 0.8,
    spineTipMm: Math.min(from.spineTipMm, numbers.spineHeelMm),
    bellyMm: belly * numbers.heelHeightMm,
    steel: reference.steels.get(steel)?.id ?? from.steel,
  }));

export const anyTask = fc.constantFrom(...reference.tasks.values());

const some = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });

/** Any reasonable kitchen: a cook or two, a board, habits, a few cuisines and tasks, perhaps owned knives. */
export const anyKitchen: fc.Arbitrary<KitchenFile> = fc.record({
  format: fc.constant('scabbard.kitchen' as const),
  version: fc.constant(1 as const),
  cooks: some(
    fc.array(
      fc.record({
        handLengthMm: fc.integer({ min: 150, max: 220 }),
        handed: fc.constantFrom('right' as const, 'left' as const),
        experience: fc.constantFrom('new' as const, 'home' as const, 'keen' as const, 'trained' as const),
        motions: some(fc.record({ rock: fc.nat(3), push: fc.nat(3), pull: fc.nat(3), chop: fc.nat(3) })),
      }),
      { minLength: 1, maxLength: 2 },
    ),
  ),
  board: some(fc.record({ lengthMm: fc.integer({ min: 250, max: 600 }), widthMm: fc.integer({ min: 180, max: 400 }) })),
  habits: some(
    fc.record({
      upkeep: fc.constantFrom('leaves-wet' as const, 'wipes-after' as const, 'wipes-during' as const),
      roughUse: fc.boolean(),
      dishwasher: fc.boolean(),
    }),
  ),
  cooking: fc.record({
    mealsPerWeek: fc.integer({ min: 1, max: 14 }),
    cuisines: fc
      .uniqueArray(fc.constantFrom(...reference.cuisines.keys()), { minLength: 1, maxLength: 3 })
      .map((ids) => ids.map((id) => ({ id, share: 1 }))),
    tasks: fc
      .uniqueArray(fc.constantFrom(...reference.tasks.keys()), { maxLength: 3 })
      .map((ids) => ids.map((id) => ({ id, times: 1, per: 'week' as const }))),
  }),
  budget: fc.record({ total: fc.integer({ min: 20, max: 500 }) }),
});

const types = [...reference.types.keys()];
const currencies = ['EUR', 'GBP', 'JPY', 'USD', 'CHF'] as const;

/** A kitchen as wild as the format allows: many cooks, full drawers, knives asked for and refused, monthly money, other currencies, schools, tastes. */
export const wildKitchen: fc.Arbitrary<KitchenFile> = fc
  .record({
    plain: anyKitchen,
    currency: fc.constantFrom(...currencies),
    cooksAtOnce: some(fc.constantFrom(1, 1, 2, 3, 6)),
    cooks: some(
      fc.array(
        fc.record({
          handLengthMm: fc.integer({ min: 140, max: 230 }),
          strength: fc.constantFrom(...STRENGTHS),
          grip: fc.constantFrom(...GRIPS),
          experience: fc.constantFrom(...EXPERIENCES),
          nervous: fc.boolean(),
        }),
        { minLength: 1, maxLength: 4 },
      ),
    ),
    habits: some(
      fc.record({
        sharpening: fc.constantFrom(...SHARPENINGS),
        honing: fc.constantFrom(...HONINGS),
        roughUse: fc.boolean(),
        bones: fc.boolean(),
        upkeep: fc.constantFrom(...UPKEEPS),
      }),
    ),
    material: fc.constantFrom(...BOARD_MATERIALS),
    owned: some(
      fc.array(fc.record({ type: fc.constantFrom(...types), condition: fc.constantFrom(...CONDITIONS) }), {
        maxLength: 8,
      }),
    ),
    must: some(fc.uniqueArray(fc.constantFrom(...types), { maxLength: 2 })),
    never: some(fc.uniqueArray(fc.constantFrom(...types), { maxLength: 4 })),
    maxKnives: some(fc.integer({ min: 1, max: 8 })),
    school: some(fc.constantFrom(...SCHOOL_IDS)),
    spend: some(fc.constantFrom(...SPENDINGS)),
    euro: fc.constantFrom(20, 50, 90, 150, 220, 350, 600, 1200, 3000),
    perMonth: fc.boolean(),
    tastes: some(
      fc.record({ steel: fc.constantFrom(...TASTES.steel), specialist: fc.constantFrom(...TASTES.specialist) }),
    ),
  })
  .map(({ plain, cooks, habits, material, must, never, maxKnives, school, spend, euro, perMonth, ...rest }) => {
    const inMoney = (amount: number) =>
      Math.round(fromMinor(convertMinor(Math.round(100 * amount), 'EUR', rest.currency), rest.currency));
    return {
      ...plain,
      ...rest,
      cooks: cooks ?? plain.cooks,
      habits: habits ?? plain.habits,
      board: { ...plain.board, material },
      limits: { must, never: never?.filter((id) => !must?.includes(id)), maxKnives, school },
      budget: perMonth ? { perMonth: Math.max(1, inMoney(euro / 10)), spend } : { total: inMoney(euro), spend },
    };
  });
