import { reference } from '../../data/reference';
import { TRIAL } from '../core/constants';
import { bladeTraits } from '../core/fit/traits';
import type { TriedKnife } from '../core/formats/trialsFile';
import type { PlanningContext } from '../core/kit/context/planningContext';
import { type FoodToTry, foodsToTry } from '../core/kit/trying/foods';

/** What the view of trying on food asks of a kitchen laid out; loaded by the worker when first asked. */

/** Foods on which these knives are best tried by a cook of the file, the one that tells most first. */
export function foodsFor(
  context: PlanningContext,
  cook: number,
  knives: readonly TriedKnife[],
  tried: readonly [string, number][],
): FoodToTry[] {
  const name = context.kitchen.cooks[cook]?.name;
  const who = context.cooks.find((each) => each.cook.name === name) ?? context.cooks[0];
  const blades = knives.flatMap(({ model, owned }) => {
    if (owned !== undefined) return context.owned[owned]?.blade ?? [];
    const found = context.models.find(({ id }) => id === model);
    return found ? bladeTraits(found, reference, context.kitchen.habits.roughUse) : [];
  });
  return who && blades.length === knives.length
    ? foodsToTry(context, who, blades, new Map(tried), TRIAL.bench.foods.value)
    : [];
}
