import { kindWords } from '../../data/kindWords';
import { reference } from '../../data/reference';
import type { StepBrief } from '../core/formats/briefFile';
import type { Plan } from '../core/formats/planFile';
import { briefing } from '../core/kit/brief/brief';
import { inCurrency } from '../core/kit/label/labelKitchen';
import type { Label, LabelRead } from '../core/kit/label/label';
import { readLabel } from '../core/kit/label/readLabel';
import { judging, type Verdict } from '../core/kit/label/verdict';
import type { PlanningContext } from '../core/kit/context/planningContext';
import { careOf } from '../core/kit/plan/care';

/** What helps in a shop: briefs of a plan's steps, and labels read and judged. Loaded by the worker when first asked. */

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

/** What a shop's label says. */
export const labelRead = (text: string): LabelRead => readLabel(text, { words: kindWords, types: reference.types });

/** A knife in a shop judged against the plan, in slices; null where its kind or its length is not known. */
export function* shelfJudged(
  context: PlanningContext,
  stands: PlanningContext,
  { plan, brief, label }: { plan: Plan; brief?: StepBrief; label: Label },
): Generator<unknown, Verdict | null> {
  const type = label.type === null ? undefined : reference.types.get(label.type);
  if (!type || label.lengthMm === null) return null;
  return yield* judging(
    context,
    { context: stands, plan },
    {
      type,
      label: inCurrency(label, plan.currency),
      ...(brief ? { brief } : {}),
    },
  );
}
