import { BRIEF } from '../../constants';
import { fromMinor } from '../../money/currency';
import type { PlanStep } from '../../formats/planFile';
import type { Candidate } from '../candidates/candidate';
import { atPrice, type PlanningContext } from '../context/planningContext';
import { type Planned, provenKit } from '../plan/planKitchen';
import { kitOf, kitWith } from '../search/coverage';
import { enoughWork } from '../search/sizes';
import { costOf } from '../search/worth';
import { paidFor, paidForKit } from '../search/paid';
import { boughtBy, briefedSteps } from './trial';

/** The highest price at which a step stays in the plan, and what takes its place above that. */
export interface WalkAway {
  priceUpTo: number;
  /** Name of what takes its place; null where nothing does. */
  instead: string | null;
}

/** The work put into the prices of a plan, as a share of what its proof may take: where kits are hard to tell apart they are known less closely. */
const WORK = 0.3;

/** Steps by which the bound of each search is lowered: few, as the multipliers of the plan at another price are nearly right. */
const ROOT_STEPS = 20;

/** A kit at another price, and what it stands on. */
interface KitThere {
  on: PlanningContext;
  kit: Candidate[];
}

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
  const pieces = kit.filter((c) => c === step).length;
  const spare = worthOf(context, kit) - without;
  const now = costOf(step, scale);
  const most = Math.min((budgetMinor - others) / pieces, 100 * step.priceMinor);
  let [low, high] = [step.priceMinor, Math.max(step.priceMinor, most)];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (pieces * (costOf({ ...step, priceMinor: middle }, scale) - now) < spare) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * The walk-away price of a step: the kitchen is planned again, each time proven, with its model dearer, until two prices are known close together
 * of which it stays at one and leaves at the other. The first two are tried about where the worth of the kits says. No further than the money
 * there is, or than ten times the price. Where that takes too much work it stops at a price at which the step is known to stay. Yields after every
 * slice of work.
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
  const seed = found?.kit.map((c) => c.id);
  let left = (WORK * enoughWork(context.problem)) / Math.max(1, briefedSteps(planned.plan).length);
  let hint: Float64Array | undefined;
  function* at(priceMinor: number): Generator<unknown, KitThere> {
    const there = { ...atPrice(context, id, priceMinor), ...(seed ? { seed } : {}) };
    const {
      context: on,
      chosen: best,
      ...proven
    } = yield* provenKit(there, { enough: left, hint, rootSteps: ROOT_STEPS });
    hint = proven.hint;
    left -= proven.work;
    return { on, kit: kitOf(on.problem, best.choice) };
  }
  const stays = ({ kit }: KitThere) => kit.some((c) => c.action === 'buy' && c.id === id);
  const dearest = yield* at(ceiling);
  if (!found || !chosen || stays(dearest)) return { priceUpTo: told(ceiling), instead: null };

  let [good, bad, beyond] = [now, ceiling, dearest.kit];
  const fine = Math.max(1, Math.round(now * BRIEF.priceStep.value));
  function* look(priceMinor: number): Generator<unknown, void> {
    if (priceMinor <= good || priceMinor >= bad) return;
    const there = yield* at(priceMinor);
    if (stays(there)) good = priceMinor;
    else [bad, beyond] = [priceMinor, there.kit];
  }
  const without = worthOf(dearest.on, dearest.kit);
  const about = leavesAbout(planned.context, found.kit, chosen, without) - besides;
  yield* look(about + Math.ceil(fine / 2));
  yield* look(about - Math.floor(fine / 2));
  while (bad - good > fine && left > 0) yield* look(Math.floor((good + bad) / 2));
  return { priceUpTo: told(good), instead: newcomer(found.kit, chosen, beyond) };
}

/** What a kit at another price buys that the present one does not: of the same kind first. */
function newcomer(kit: readonly Candidate[], step: Candidate, beyond: readonly Candidate[]): string | null {
  const before = new Set(kit.map(({ id }) => id));
  const fresh = beyond.filter(({ id, action }) => action === 'buy' && !before.has(id));
  const alike = fresh.find(({ type }) => type?.id === step.type?.id) ?? fresh[0];
  const blade = alike?.blade?.blade;
  return blade ? `${blade.name}, ${blade.maker}` : null;
}
