import { careNotes } from '../../fit/notes';
import { bladeTraits } from '../../fit/traits';
import type { Care } from '../../formats/care';
import type { Plan, PlanStep } from '../../formats/planFile';
import { edgeHere } from '../candidates/scoring';
import type { PlanningContext } from '../context/planningContext';
import { knivesOf, onceEach } from './refs';

type Edge = Pick<NonNullable<PlanStep['edge']>, 'sharpenEveryWeeks' | 'honeEveryDays' | 'angleDeg'>;

/** How an edge is kept here, in a sentence; null where it has none to keep. */
function edgeInWords({ sharpenEveryWeeks, honeEveryDays, angleDeg }: Edge): string | null {
  if (sharpenEveryWeeks === null) return null;
  const weeks = Math.max(1, Math.round(sharpenEveryWeeks));
  const every = weeks === 1 ? 'every week' : `every ${weeks} weeks`;
  const hone = honeEveryDays === null ? '' : `Hone it every ${Math.max(1, Math.round(honeEveryDays))} days. `;
  return `${hone}Due for sharpening about ${every} at this use, at ${Math.round(angleDeg)}° a side.`;
}

/** What keeps every knife of a kitchen: those in the drawer that stay, then those the plan buys, in its order. */
export function careOf(context: PlanningContext, plan: Plan): Care[] {
  const { kitchen, reference } = context;
  return onceEach(knivesOf(context, plan)).map(({ name, blade, order }) => {
    const traits = bladeTraits(blade, reference, kitchen.habits.roughUse);
    const edge = plan.steps.find((step) => step.order === order)?.edge ?? edgeHere(traits, context);
    const told = edgeInWords(edge);
    return { name, lines: [...(told ? [told] : []), ...careNotes(traits, kitchen)] };
  });
}
