import { servedBy, type Served } from '../core/kit/plan/assignment';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import type { AwayFile, KitchenFile } from '../core/formats/kitchenFile';
import type { Plan } from '../core/formats/planFile';
import type { Keeping, Placed, Storage } from '../core/formats/storageFile';
import { storagePrices } from '../core/keeping/buying';
import { keepingOf } from '../core/keeping/keeping';
import { thingOf, type Thing } from '../core/keeping/things';
import type { PlanningContext } from '../core/kit/context/planningContext';
import { reportOfUse, type UseReport } from '../core/kit/drawer/used';
import { packRoll, type Packing } from '../core/kit/travel/packing';
import { wallSheet } from '../core/kit/plan/wall';
import { knivesOf, type Referred } from '../core/kit/plan/refs';

/** Where the knives of a kitchen live; loaded by the worker when first asked. */

/** A knife as storage sees it, with what its screen draws. */
export interface KeptKnife extends Referred {
  thing: Thing;
}

export interface KeptKit {
  knives: KeptKnife[];
  keeping: Keeping;
}

/** What was laid by hand, by the references of a plan's knives. */
const laidByRef = ({ laid = [] }: Storage, knives: readonly Referred[]): Placed[] =>
  laid.flatMap(({ owned, model, ...at }) => {
    const knife = knives.find((each) =>
      owned === undefined ? each.owned === null && each.blade.id === model : each.owned === owned,
    );
    return knife ? [{ ...at, ref: knife.ref }] : [];
  });

/** Every knife of a kitchen and its plan placed into its storage. */
export function keptKit(context: PlanningContext, plan: Plan, storage: Storage): KeptKit {
  const knives = knivesOf(context, plan).map((knife) => ({
    ...knife,
    thing: thingOf(knife.ref, knife.name, knife.blade),
  }));
  return {
    knives,
    keeping: keepingOf(
      knives.map(({ thing }) => thing),
      storage,
      storagePrices(reference, context.kitchen.currency),
      laidByRef(storage, knives),
    ),
  };
}

/** A roll packed for another kitchen, with what its screen draws. */
export interface PackedRoll {
  packing: Packing;
  /** Blades by their place in the drawer. */
  blades: BladeModel[];
}

export const packedRoll = (file: KitchenFile, away: AwayFile, home: PlanningContext): PackedRoll => ({
  packing: packRoll(file, away, home),
  blades: home.owned.map(({ blade }) => blade.blade),
});

/** How often each knife is used compared with the estimate, which knife does each task now, and the blades to draw. */
export const usedKnives = (
  file: KitchenFile,
  context: PlanningContext,
): { report: UseReport; served: Served[]; blades: BladeModel[] } => ({
  report: reportOfUse(context, file),
  // what does each task now, with nothing bought or put right
  served: servedBy(context, []),
  blades: context.owned.map(({ blade }) => blade.blade),
});
export type UsedKnives = ReturnType<typeof usedKnives>;

export { wallSheet };
