import type { OwnedFate, Plan, PlanStep } from '../../formats/planFile';
import type { Candidate } from '../candidates/candidate';
import { isDull, whyApart } from '../candidates/owned';
import type { PlanningContext } from '../context/planningContext';
import { minutesServedBy } from './assignment';

/** What a plan says of an owned knife, in a sentence. `steps`: those of the plan, numbered. */
function fateOf(
  { owned }: PlanningContext,
  at: number,
  minutes: number,
  steps: readonly PlanStep[],
): Omit<OwnedFate, 'owned'> {
  const knife = owned[at]?.owned;
  const step = steps.find((each) => each.owned === at);
  const apart = knife ? whyApart(knife) : null;
  if (apart !== null) return { fate: 'apart', why: apart };
  if (step?.action === 'retire')
    return { fate: 'retired', why: 'The plan takes it out of the drawer: no work goes to it.' };
  if (step)
    return {
      fate: 'put-right',
      why: `The plan has it ${step.action === 'repair' ? 'repaired' : 'sharpened'}, step ${step.order}: ${(100 * step.gain).toFixed(1)} points beside what comes before it.`,
    };
  if (minutes <= 0)
    return { fate: 'unused', why: 'Once the plan is carried out no work goes to it: others do all of it better.' };
  if (knife && isDull(knife))
    return {
      fate: 'kept-dull',
      why: 'The plan leaves its edge as it is: putting it right would bring less than its price.',
    };
  return { fate: 'kept', why: `It stays in use: ${Math.max(1, Math.round(minutes))} min of work a week.` };
}

/** What becomes of each owned knife once a plan is carried out: the one place from which drawer, edges and wall sheet say it. */
export function fatesOf(
  context: PlanningContext,
  kit: readonly Candidate[],
  steps: readonly PlanStep[],
): Pick<Plan, 'drawer'> {
  if (context.owned.length === 0) return {};
  const minutes = minutesServedBy(context, kit).owned;
  return { drawer: context.owned.map((_, at) => ({ owned: at, ...fateOf(context, at, minutes[at] ?? 0, steps) })) };
}
