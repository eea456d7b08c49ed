import { reference } from '../../data/reference';
import type { StepBrief } from '../core/formats/briefFile';
import type { Plan } from '../core/formats/planFile';
import { briefing } from '../core/kit/brief/brief';
import { readLabel, type Label } from '../core/kit/brief/label';
import { judgeLabel, type Verdict } from '../core/kit/brief/verdict';
import type { PlanningContext } from '../core/kit/context/planningContext';
import { careOf } from '../core/kit/plan/care';

/** What helps in a shop: briefs of a plan's steps, and knives on a shelf judged against them. Loaded by the worker when first asked. */

/** The brief of one step, in slices; `stands`: the context its plan stands on. */
export function* briefOf(
  context: PlanningContext,
  stands: PlanningContext,
  plan: Plan,
  order: number,
): Generator<unknown, StepBrief | null> {
  const step = plan.steps.find((each) => each.order === order);
  return step ? yield* briefing(context, { plan, context: stands }, step) : null;
}

export { careOf };

/** What has been typed of a knife on a shelf: its kind, and beside it figures that go before what the pasted text says. */
export interface Shelf {
  type: string;
  text: string;
  lengthMm: number | null;
  price: number | null;
}

/** A knife on a shelf in the place of a step; null where the step buys no knife. */
export function shelfJudged(stands: PlanningContext, plan: Plan, brief: StepBrief, shelf: Shelf): Verdict | null {
  const step = plan.steps.find((each) => each.order === brief.order);
  const type = reference.types.get(shelf.type);
  if (!step || !type) return null;
  const read = readLabel(shelf.text);
  const label: Label = { ...read, lengthMm: shelf.lengthMm ?? read.lengthMm, price: shelf.price ?? read.price };
  return judgeLabel({ context: stands, plan }, step, brief, type, label);
}
