import type { BladeModel } from '../../blade/schema';
import type { Plan } from '../../formats/planFile';
import type { PlanningContext } from '../context/planningContext';
import { servedBy, type Served } from './assignment';
import { stepsOf } from './plan';
import { firstPlan } from './planKitchen';

/** What a screen shows of a kitchen. */
export interface Answered {
  plan: Plan;
  /** What serves every task once the plan is carried out. */
  served: Served[];
  /** What is owned, as blades, in the order of the kitchen. */
  owned: BladeModel[];
}

/** What a page is sent with: its kitchen's plan, unproven, and the models its drawings need. */
export interface SentAnswer extends Answered {
  models: BladeModel[];
}

/** A kitchen that has been laid out, answered at once with {@link firstPlan}: unproven. */
export function answeredFirst(context: PlanningContext): Answered {
  const { plan, context: on } = firstPlan(context);
  return { plan, served: servedBy(on, stepsOf(on, plan)), owned: on.owned.map((knife) => knife.blade.blade) };
}
