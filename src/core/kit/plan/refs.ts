import type { BladeModel } from '../../blade/schema';
import type { Plan } from '../../formats/planFile';
import { pieceRefs } from '../../formats/planSteps';
import type { PlanningContext } from '../context/planningContext';

/** A knife of a kitchen by its reference: `owned-0` by its place in the drawer, `step-1` by its step in the plan, `step-1.2` where that is several pieces. */
export interface Referred {
  ref: string;
  /** Kind and length. */
  name: string;
  blade: BladeModel;
  /** The step that buys it; null where it is owned. */
  order: number | null;
  /** Its place in the drawer; null where it is bought. */
  owned: number | null;
}

/** Every knife of a kitchen once its plan is carried out: what is owned and stays, then what is bought, in its order. */
export function knivesOf({ owned, models, reference }: PlanningContext, plan: Plan): Referred[] {
  const retired = new Set(plan.steps.flatMap((step) => (step.action === 'retire' ? [step.owned] : [])));
  const named = (blade: BladeModel) =>
    `${reference.types.get(blade.type)?.name ?? blade.name}, ${Math.round(blade.lengthMm)} mm`;
  return [
    ...owned.flatMap(({ blade: { blade } }, i) =>
      retired.has(i) ? [] : [{ ref: `owned-${i}`, name: named(blade), blade, order: null, owned: i }],
    ),
    ...plan.steps.flatMap((step) => {
      const { action, model, order } = step;
      const blade = action === 'buy' ? models.find(({ id }) => id === model) : undefined;
      return blade ? pieceRefs(step).map((ref) => ({ ref, name: named(blade), blade, order, owned: null })) : [];
    }),
  ];
}

/** Knives with only the first of equal pieces of a step. */
export const onceEach = (knives: readonly Referred[]): Referred[] =>
  knives.filter(({ order }, i) => order === null || knives.findIndex((other) => other.order === order) === i);
