import { careNotes } from '../../fit/notes';
import { bladeTraits, type BladeTraits } from '../../fit/traits';
import type { Care } from '../../formats/care';
import type { Plan, PlanStep } from '../../formats/planFile';
import { edgeHere } from '../candidates/scoring';
import type { PlanningContext } from '../context/planningContext';

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
  const { owned, models, kitchen, reference } = context;
  const retired = new Set(plan.steps.flatMap((step) => (step.action === 'retire' ? [step.owned] : [])));
  const careFor = (blade: BladeTraits, edge: Edge): Care => {
    const told = edgeInWords(edge);
    const kind = reference.types.get(blade.blade.type)?.name ?? blade.blade.name;
    return {
      name: `${kind}, ${Math.round(blade.blade.lengthMm)} mm`,
      lines: [...(told ? [told] : []), ...careNotes(blade, kitchen)],
    };
  };
  const kept = owned.flatMap(({ blade }, i) => (retired.has(i) ? [] : [careFor(blade, edgeHere(blade, context))]));
  const bought = plan.steps.flatMap((step) => {
    const model = step.action === 'buy' ? models.find(({ id }) => id === step.model) : undefined;
    if (!model) return [];
    const blade = bladeTraits(model, reference, kitchen.habits.roughUse);
    return [careFor(blade, step.edge ?? edgeHere(blade, context))];
  });
  return [...kept, ...bought];
}
