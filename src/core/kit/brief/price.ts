import { BRIEF } from '../../constants';
import { fromMinor } from '../../money/currency';
import type { Plan, PlanStep } from '../../formats/planFile';
import type { Candidate } from '../candidates/candidate';
import { atPrice, type PlanningContext } from '../context/planningContext';
import { stepsOf } from '../plan/plan';
import { planning, type Planned } from '../plan/planKitchen';
import { kitWith } from '../search/coverage';
import { costOf } from '../search/worth';
import { paidFor, paidForKit } from '../search/paid';
import { boughtBy } from './trial';

/** The highest price at which a step stays in the plan, and what takes its place above that. */
export interface WalkAway {
  priceUpTo: number;
  /** Name of what takes its place; null where nothing does. */
  instead: string | null;
}

const buys = (steps: readonly PlanStep[]) => steps.filter((step) => step.action === 'buy');

/** What a kit is worth to the search that chose it: what it covers less what it is paid, coverage. */
function worthOf({ problem }: PlanningContext, kit: readonly Candidate[]): number {
  const value = kitWith(problem, kit, (c) => c.counted).value();
  return value - paidForKit(paidFor(kit, problem.scale), [...kit.keys()]);
}

/**
 * Where a step should leave the plan, minor units: the price at which the kit with it comes to no more than the best kit without it, and at which
 * the money still reaches. Only an estimate: the kit beside it may change on the way.
 */
function leavesAbout(context: PlanningContext, kit: readonly Candidate[], step: Candidate, without: number): number {
  const { scale, budgetMinor } = context.problem;
  const others = kit.reduce((sum, c) => (c === step ? sum : sum + c.priceMinor), 0);
  const spare = worthOf(context, kit) - without;
  const now = costOf(step, scale);
  let [low, high] = [step.priceMinor, Math.max(step.priceMinor, Math.min(budgetMinor - others, 100 * step.priceMinor))];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (costOf({ ...step, priceMinor: middle }, scale) - now < spare) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The walk-away price of a step: the kitchen is planned again, each time proven, with its model dearer, until two prices are known close together
 * of which it stays at one and leaves at the other. The first two are tried about where the worth of the kits says. No further than the money
 * there is, or than ten times the price. Yields after every slice of work.
 */
export function* walkAway(context: PlanningContext, planned: Planned, step: PlanStep): Generator<unknown, WalkAway> {
  const id = step.model ?? '';
  const found = boughtBy(planned, step);
  const chosen = found?.bought;
  // what is paid beside the knives themselves
  const besides = (chosen?.serviceMinor ?? 0) + (chosen?.regrindMinor ?? 0);
  const now = (chosen?.priceMinor ?? 0) - besides;
  const { currency } = context.kitchen;
  const told = (minor: number) => fromMinor(Math.max(now, minor), currency);
  const ceiling = Math.max(now, Math.min(context.problem.budgetMinor, now * BRIEF.dearest.value));
  function* at(priceMinor: number): Generator<unknown, Planned> {
    return yield* planning(atPrice(context, id, priceMinor));
  }
  const stays = ({ plan: { steps } }: Planned) => buys(steps).some(({ model }) => model === id);
  const dearest = yield* at(ceiling);
  if (!found || !chosen || stays(dearest)) return { priceUpTo: told(ceiling), instead: null };

  let [good, bad, beyond] = [now, ceiling, dearest];
  const fine = Math.max(1, Math.round(now * BRIEF.priceStep.value));
  function* look(priceMinor: number): Generator<unknown, void> {
    if (priceMinor <= good || priceMinor >= bad) return;
    const there = yield* at(priceMinor);
    if (stays(there)) good = priceMinor;
    else [bad, beyond] = [priceMinor, there];
  }
  const without = worthOf(dearest.context, stepsOf(dearest.context, dearest.plan));
  const about = leavesAbout(planned.context, found.kit, chosen, without) - besides;
  yield* look(about + Math.ceil(fine / 2));
  yield* look(about - Math.floor(fine / 2));
  while (bad - good > fine) yield* look(Math.floor((good + bad) / 2));
  return { priceUpTo: told(good), instead: newcomer(planned.plan, step, buys(beyond.plan.steps)) };
}

/** What a dearer plan buys that the present one does not: of the same kind first. */
function newcomer(plan: Plan, step: PlanStep, beyond: readonly PlanStep[]): string | null {
  const before = new Set(buys(plan.steps).map(({ model }) => model));
  const fresh = beyond.filter(({ model }) => !before.has(model));
  const alike = fresh.find(({ type }) => type === step.type) ?? fresh[0];
  return alike ? `${alike.name}, ${alike.maker ?? ''}`.replace(/, $/, '') : null;
}
