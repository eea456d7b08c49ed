import fc from 'fast-check';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { BladeModel } from '../blade/schema';
import type { KitchenFile } from '../formats/kitchenFile';

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
