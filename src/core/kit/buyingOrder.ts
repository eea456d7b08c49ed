import { isAllRound, type Candidate } from './candidates';
import { Chooser, NEED_GAIN } from './choose';
import { bestOrder, byMoney, byMonth, type Pace } from './order';
import { DONE_WELL, STRUGGLE_BELOW } from './story';
import { serversOf } from './strip';
import type { Workbench } from './workbench';

/** The general knife goes first when its first gain is within a tenth of the leader's (handbook 5.2). */
export const GENERAL_FIRST_WITHIN = 0.9;
/** A general knife already owned goes first with this share of the strongest one's gain: sharpening costs little. House judgement. */
const YOURS_FIRST = 0.4;
/** Coverage of the owned knives plus some steps, 0–1. */
export type ValueOf = (steps: readonly Candidate[]) => number;

export function coverageOf(bench: Workbench): ValueOf {
  const { candidates, places } = bench.problem;
  const chooser = new Chooser(bench.problem);
  const index = new Map(candidates.map((c, i) => [c, i]));
  return (steps) => {
    const choice = new Int32Array(Math.max(places.length, steps.length)).fill(-1);
    steps.forEach((step, i) => (choice[i] = index.get(step) ?? -1));
    return chooser.value(choice);
  };
}

/** Best score so far per task, over owned knives, owned tools and the steps taken. */
export function bestScores(bench: Workbench, steps: readonly Candidate[]): Float64Array {
  const rows = serversOf(bench, steps).map(({ scores }) => scores);
  return Float64Array.from(bench.loads, (_, t) => rows.reduce((best, row) => Math.max(best, row[t] ?? 0), 0));
}

/** Puts the chosen steps in buying order, wants after needs; an order asked for goes before both, and what it costs is told. */
export function buyingOrder(
  bench: Workbench,
  valueOf: ValueOf,
  chosen: readonly Candidate[],
): { steps: { step: Candidate; need: boolean }[]; orderCosts: number | null } {
  const pick = (indices: readonly number[]) => indices.flatMap((i) => chosen[i] ?? []);
  const pace = paceOf(bench);
  const now = valueOf([]);
  const gains = chosen.map((step) => valueOf([step]) - now);
  const leader = Math.max(0, ...gains);
  const generals = chosen.flatMap((step, i) => (isAllRound(step.type) ? [i] : []));
  const strongest = Math.max(0, ...generals.map((i) => gains[i] ?? 0));
  // a decent general knife already there is put right before its like is bought
  const yours = generals.filter((i) => chosen[i]?.owned !== null && (gains[i] ?? 0) >= YOURS_FIRST * strongest);
  const leading =
    strongest >= GENERAL_FIRST_WITHIN * leader ? generals.filter((i) => (gains[i] ?? 0) >= strongest) : [];
  const first = yours.length > 0 ? yours : leading;
  const order = pick(
    bestOrder(
      chosen.map((s) => s.priceMinor),
      (steps) => valueOf(pick(steps)),
      first,
      pace,
    ),
  );
  const judge = (steps: readonly Candidate[]) =>
    steps.map((step, i) => ({ step, need: isNeed(bench, valueOf, steps.slice(0, i), step, steps.slice(i + 1)) }));
  const judged = judge(order);
  const inNeed = [...judged.filter(({ need }) => need), ...judged.filter(({ need }) => !need)];
  const best = bench.kitchen.limits.second === 'general' ? generalsFirst(inNeed) : inNeed;
  const { order: asked } = bench.kitchen.limits;
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
function paceOf({ kitchen: { perMonthMinor }, problem }: Workbench): Pace {
  const wait = Math.max(1, problem.keepMinor);
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

function isNeed(
  bench: Workbench,
  valueOf: ValueOf,
  before: readonly Candidate[],
  step: Candidate,
  later: readonly Candidate[],
): boolean {
  if (valueOf([...before, step]) - valueOf(before) >= NEED_GAIN) return true;
  const others = bestScores(bench, [...before, ...later]);
  return bench.loads.some(
    ({ weight, matters, timesPerYear }, t) =>
      weight > 0 &&
      (matters >= 2 || timesPerYear >= 52) &&
      (others[t] ?? 0) < STRUGGLE_BELOW &&
      (step.scores[t] ?? 0) >= DONE_WELL,
  );
}
