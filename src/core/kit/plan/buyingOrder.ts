import type { Candidate } from '../candidates/candidate';
import { isAllRound, kindOfWork } from '../candidates/kinds';
import { ORDER, SCORE_WORDS, WORTH } from '../../constants';
import { bestOrder, byMoney, byMonth, type Pace } from './order';
import { serversOf } from './assignment';
import { buysInOrder } from '../context/schools';
import { isPressing } from '../demand/rescue';
import type { PlanningContext } from '../context/planningContext';
import { coverageOfKit } from '../search/coverage';

/** Coverage of the owned knives plus some steps, 0–1. */
export type ValueOf = (steps: readonly Candidate[]) => number;

/** Coverage of what is owned and some steps, with others that are there in any case. */
export const coverageOf =
  ({ problem }: Pick<PlanningContext, 'problem'>, there: readonly Candidate[] = []): ValueOf =>
  (steps) =>
    coverageOfKit(problem, [...steps, ...there]);

/** Best score so far per task, over owned knives, owned tools and the steps taken. */
export function bestScores(context: PlanningContext, steps: readonly Candidate[]): Float64Array {
  const rows = serversOf(context, steps).map(({ scores }) => scores);
  return new Float64Array(context.loads.map((_, t) => rows.reduce((best, row) => Math.max(best, row[t] ?? 0), 0)));
}

/** Puts the chosen steps in buying order, wants after needs; an order asked for goes before both, and what it costs is told. */
export function buyingOrder(
  context: PlanningContext,
  valueOf: ValueOf,
  chosen: readonly Candidate[],
  asRequired: readonly Candidate[] = [],
): { steps: { step: Candidate; need: boolean }[]; orderCosts: number | null } {
  const pick = (indices: readonly number[]) => indices.flatMap((i) => chosen[i] ?? []);
  const pace = paceOf(context);
  const now = valueOf([]);
  const gains = chosen.map((step) => valueOf([step]) - now);
  const leader = Math.max(0, ...gains);
  const generals = chosen.flatMap((step, i) => (isAllRound(step.type) ? [i] : []));
  const strongest = Math.max(0, ...generals.map((i) => gains[i] ?? 0));
  // a decent general knife already there is put right before its like is bought
  const yours = generals.filter(
    (i) => chosen[i]?.owned !== null && (gains[i] ?? 0) >= ORDER.yoursWithin.value * strongest,
  );
  const leading =
    strongest >= ORDER.generalWithin.value * leader ? generals.filter((i) => (gains[i] ?? 0) >= strongest) : [];
  // failing a general one, the knife that does most goes first: it is what the others are chosen beside
  const most = chosen.flatMap((step, i) => (step.blade && (gains[i] ?? 0) >= leader - 1e-12 ? [i] : []));
  const first = yours.length > 0 ? yours : leading.length > 0 ? leading : most;
  // a school buys in the order of its places, after what is put right
  const ranked = (order: readonly Candidate[]) => {
    const rank = (c: Candidate) =>
      asRequired.includes(c) ? asRequired.indexOf(c) + 1 : c.owned !== null ? 0 : Infinity;
    return [...order].sort((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)));
  };
  const freely = pick(
    bestOrder(
      chosen.map((s) => s.priceMinor),
      (steps) => valueOf(pick(steps)),
      first,
      pace,
    ),
  );
  const order = buysInOrder(context.school) ? ranked(freely) : freely;
  const judge = (steps: readonly Candidate[]) =>
    steps.map((step, i) => ({ step, need: isNeed(context, valueOf, steps.slice(0, i), step, steps.slice(i + 1)) }));
  const judged = judge(order);
  const inNeed = [...judged.filter(({ need }) => need), ...judged.filter(({ need }) => !need)];
  const sorted = buysInOrder(context.school) ? judged : inNeed;
  const best = context.kitchen.limits.second === 'general' ? generalsFirst(sorted) : sorted;
  const { order: asked } = context.kitchen.limits;
  if (asked.length === 0) return { steps: best, orderCosts: null };
  const place = (c: Candidate) => (asked.includes(c.id) ? asked.indexOf(c.id) : Infinity);
  const free = best.map(({ step }) => step);
  const forced = [...free].sort((a, b) => (place(a) === place(b) ? 0 : place(a) - place(b)));
  const missing = (steps: readonly Candidate[]) => missingOnTheWay(pace, valueOf, steps);
  const costs = missing(forced) - missing(free);
  return { steps: judge(forced), orderCosts: Math.max(0, costs) };
}

/** Where the second knife is to be a general one, no specialist comes before it. */
function generalsFirst<T extends { step: Candidate }>(steps: readonly T[]): T[] {
  const isKnife = ({ step }: T) => step.blade !== null;
  const knives = steps.filter(isKnife);
  const sorted = [
    ...knives.filter(({ step }) => isAllRound(step.type)),
    ...knives.filter(({ step }) => !isAllRound(step.type)),
  ];
  return steps.map((each) => (isKnife(each) ? (sorted.shift() ?? each) : each));
}

/** Against months where money comes by the month, else against money. */
function paceOf({ kitchen: { perMonthMinor }, problem }: PlanningContext): Pace {
  const wait = Math.max(1, ORDER.wait.value * problem.scale.keepMinor);
  return perMonthMinor ? byMonth(perMonthMinor, wait) : byMoney(wait);
}

/** Coverage still missing while the steps are waited for, on average, 0–1: what {@link bestOrder} makes small. */
function missingOnTheWay(pace: Pace, valueOf: ValueOf, steps: readonly Candidate[]): number {
  const all = valueOf(steps);
  let spent = 0;
  let waited = 0;
  let missing = 0;
  steps.forEach(({ priceMinor }, i) => {
    const wait = pace(spent, priceMinor);
    missing += wait * (all - valueOf(steps.slice(0, i)));
    waited += wait;
    spent += priceMinor;
  });
  return waited > 0 ? missing / waited : 0;
}

/**
 * A need lifts weekly work, or work that matters, from below 60 to 70 or more, or adds three points and beats the best of its kind that is
 * owned or comes before it by ten score points on the work it takes over (handbook 8.1). All else is a want.
 */
function isNeed(
  context: PlanningContext,
  valueOf: ValueOf,
  before: readonly Candidate[],
  step: Candidate,
  later: readonly Candidate[],
): boolean {
  const w = WORTH;
  const others = bestScores(context, [...before, ...later]);
  const rescuesWork = context.loads.some(
    (load, t) =>
      isPressing(load) && (others[t] ?? 0) < w.needFrom.value && (step.scores[t] ?? 0) >= SCORE_WORDS.doesItWell.value,
  );
  if (rescuesWork) return true;
  if (valueOf([...before, step]) - valueOf(before) < w.needGain.value) return false;
  const was = bestScores(context, before);
  const kind = kindOfWork(step);
  const replaced = new Set(before.flatMap((s) => (s.owned === null ? [] : [s.owned])));
  const alike = [
    ...context.owned.filter(
      (o, i) => !replaced.has(i) && o.owned.keep === 'use' && kindOfWork({ type: o.type, id: '' }) === kind,
    ),
    ...before.filter((c) => kindOfWork(c) === kind),
  ];
  let weight = 0;
  let beats = 0;
  context.loads.forEach((load, t) => {
    const score = step.scores[t] ?? 0;
    if (load.weight <= 0 || score <= (was[t] ?? 0)) return;
    const best = alike.reduce((most, o) => Math.max(most, o.scores[t] ?? 0), 0);
    weight += load.weight;
    beats += load.weight * (score - best);
  });
  // a second knife for a second pair of hands beats nothing and is needed all the same
  if (weight === 0) return context.kitchen.cooksAtOnce > 1;
  return beats / weight >= w.needBeats.value || context.kitchen.cooksAtOnce > 1;
}
