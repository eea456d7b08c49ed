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

/** Something to do or buy, in so many pieces. */
export interface Bought {
  step: Candidate;
  pieces: number;
}

/** Every piece of what is bought, in order. */
export const piecesEach = (bought: readonly Bought[]): Candidate[] =>
  bought.flatMap(({ step, pieces }) => Array.from({ length: pieces }, () => step));

/** A kit with its copies counted. */
function copiesCounted(kit: readonly Candidate[]): Bought[] {
  const pieces = new Map<Candidate, number>();
  for (const step of kit) pieces.set(step, (pieces.get(step) ?? 0) + 1);
  return [...pieces].map(([step, many]) => ({ step, pieces: many }));
}

/**
 * Puts the pieces of a kit in buying order, wants after needs; copies of one model are bought together. An order asked for goes before both, and
 * what it costs is stated.
 */
export function buyingOrder(
  context: PlanningContext,
  valueOf: ValueOf,
  kit: readonly Candidate[],
  asRequired: readonly Candidate[] = [],
): { steps: (Bought & { need: boolean })[]; orderCosts: number | null } {
  const all = copiesCounted(kit);
  const chosen = all.map(({ step }) => step);
  const pick = (indices: readonly number[]) => indices.flatMap((i) => all[i] ?? []);
  const pace = paceOf(context);
  const now = valueOf([]);
  const worthOf = (steps: readonly Bought[]) => valueOf(piecesEach(steps));
  const gains = all.map((each) => worthOf([each]) - now);
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
  const ranked = (order: readonly Bought[]) => {
    const rank = ({ step }: Bought) =>
      asRequired.includes(step) ? asRequired.indexOf(step) + 1 : step.owned !== null ? 0 : Infinity;
    return [...order].sort((a, b) => (rank(a) === rank(b) ? 0 : rank(a) - rank(b)));
  };
  const freely = pick(bestOrder(all.map(priceOfAll), (steps) => worthOf(pick(steps)), first, pace));
  const order = buysInOrder(context.school) ? ranked(freely) : freely;
  const judge = (steps: readonly Bought[]) =>
    steps.map((each, i) => ({ ...each, need: isNeed(context, valueOf, steps.slice(0, i), each, steps.slice(i + 1)) }));
  const judged = judge(order);
  const inNeed = [...judged.filter(({ need }) => need), ...judged.filter(({ need }) => !need)];
  const sorted = buysInOrder(context.school) ? judged : inNeed;
  const best = context.kitchen.limits.second === 'general' ? generalsFirst(sorted) : sorted;
  const { order: asked } = context.kitchen.limits;
  if (asked.length === 0) return { steps: best, orderCosts: null };
  const place = ({ step }: Bought) => (asked.includes(step.id) ? asked.indexOf(step.id) : Infinity);
  const forced = [...best].sort((a, b) => (place(a) === place(b) ? 0 : place(a) - place(b)));
  const missing = (steps: readonly Bought[]) => missingOnTheWay(pace, worthOf, steps);
  const costs = missing(forced) - missing(best);
  return { steps: judge(forced), orderCosts: Math.max(0, costs) };
}

const priceOfAll = ({ step, pieces }: Bought): number => pieces * step.priceMinor;

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
function missingOnTheWay(pace: Pace, worthOf: (steps: readonly Bought[]) => number, steps: readonly Bought[]): number {
  const all = worthOf(steps);
  let spent = 0;
  let waited = 0;
  let missing = 0;
  steps.forEach((each, i) => {
    const price = priceOfAll(each);
    const wait = pace(spent, price);
    missing += wait * (all - worthOf(steps.slice(0, i)));
    waited += wait;
    spent += price;
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
  earlier: readonly Bought[],
  { step, pieces }: Bought,
  later: readonly Bought[],
): boolean {
  const w = WORTH;
  const before = piecesEach(earlier);
  const others = bestScores(
    context,
    [...earlier, ...later].map((each) => each.step),
  );
  const rescuesWork = context.loads.some(
    (load, t) =>
      isPressing(load) && (others[t] ?? 0) < w.needFrom.value && (step.scores[t] ?? 0) >= SCORE_WORDS.doesItWell.value,
  );
  if (rescuesWork) return true;
  const adds = valueOf([...before, ...piecesEach([{ step, pieces }])]) - valueOf(before);
  if (adds < w.needGain.value) return false;
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
