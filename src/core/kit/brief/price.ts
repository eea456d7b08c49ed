import { BRIEF } from '../../constants';
import { fromMinor } from '../../money/currency';
import type { Plan, PlanStep } from '../../formats/planFile';
import { atPrice, type PlanningContext } from '../context/planningContext';
import { planning } from '../plan/planKitchen';

/** The highest price at which a step stays in the plan, and what takes its place above that. */
export interface WalkAway {
  priceUpTo: number;
  /** Name of what takes its place; null where nothing does. */
  instead: string | null;
}

const buys = (steps: readonly PlanStep[]) => steps.filter((step) => step.action === 'buy');

/**
 * The walk-away price of a step: the kitchen is planned again with its model dearer and dearer, each time proven, until it leaves the plan, and
 * between the last two prices by halves. No further than the money there is, or than ten times the price.
 */
export function* walkAway(context: PlanningContext, plan: Plan, step: PlanStep): Generator<unknown, WalkAway> {
  const sold = context.sold.find((c) => c.id === step.model);
  const { currency } = context.kitchen;
  // what the knives cost alone: table knives all of them
  const now = (sold?.priceMinor ?? 0) - (sold?.serviceMinor ?? 0) - (sold?.regrindMinor ?? 0);
  const ceiling = Math.max(now, Math.min(context.problem.budgetMinor, now * BRIEF.dearest.value));
  function* at(priceMinor: number): Generator<unknown, PlanStep[]> {
    const dearer = atPrice(context, step.model ?? '', priceMinor);
    return buys((yield* planning(dearer)).plan.steps);
  }
  const stays = (steps: readonly PlanStep[]) => steps.some(({ model }) => model === step.model);
  const told = (minor: number) => fromMinor(Math.max(now, minor), currency);
  let good = now;
  let bad = ceiling + 1;
  let beyond: PlanStep[] | null = null;
  for (let next = Math.ceil(now * 1.25); next < ceiling; next = Math.ceil(next * 1.6)) {
    const steps = yield* at(next);
    if (!stays(steps)) {
      [bad, beyond] = [next, steps];
      break;
    }
    good = next;
  }
  if (beyond === null) {
    const steps = yield* at(ceiling);
    if (stays(steps)) return { priceUpTo: told(ceiling), instead: null };
    [bad, beyond] = [ceiling, steps];
  }
  const fine = Math.max(1, Math.round(now * BRIEF.priceStep.value));
  while (bad - good > fine) {
    const middle = Math.floor((good + bad) / 2);
    const steps = yield* at(middle);
    if (stays(steps)) good = middle;
    else [bad, beyond] = [middle, steps];
  }
  return { priceUpTo: told(good), instead: newcomer(plan, step, beyond) };
}

/** What a dearer plan buys that the present one does not: of the same kind first. */
function newcomer(plan: Plan, step: PlanStep, beyond: readonly PlanStep[]): string | null {
  const before = new Set(buys(plan.steps).map(({ model }) => model));
  const fresh = beyond.filter(({ model }) => !before.has(model));
  const alike = fresh.find(({ type }) => type === step.type) ?? fresh[0];
  return alike ? `${alike.name}, ${alike.maker ?? ''}`.replace(/, $/, '') : null;
}
