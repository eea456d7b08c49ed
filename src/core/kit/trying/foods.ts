import { SCORE_WORDS, TRIAL } from '../../constants';
import type { CookContext } from '../../fit/cook';
import { explain, type Explanation } from '../../fit/explain';
import type { BladeTraits } from '../../fit/traits';
import type { Task } from '../../cutting/task';
import { nextFoods } from '../../trial/nextFood';
import type { PlanningContext } from '../context/planningContext';

/** A food worth trying, with what the figures expect of each knife. */
export interface FoodToTry {
  task: Task;
  /** What a round of it tells, nats. */
  nats: number;
  /** Computed score of each knife, fresh edge, 0–100. */
  expected: number[];
}

/** How far the figures may be wrong about the difference of two knives at a task, score: it grows with what the parts say of them. */
function spreadBetween(a: Explanation, b: Explanation): number {
  const { leastSpread, perDifference, mostSpread } = TRIAL.bench;
  const kept = (e: Explanation, id: string) => {
    const part = e.parts.find((each) => each.id === id);
    return part ? Math.log(Math.max(0.01, part.value)) * part.weight : 0;
  };
  const ids = new Set([...a.parts, ...b.parts].map(({ id }) => id));
  const differs = [...ids].reduce((sum, id) => sum + Math.abs(kept(a, id) - kept(b, id)), 0);
  const middling = (a.score + b.score) / 2;
  return Math.min(mostSpread.value, leastSpread.value + perDifference.value * differs * middling);
}

/**
 * Foods of a kitchen on which to try knives against each other, those that tell most first (handbook 9.2). Left out: what one of the knives
 * must not do or is the wrong tool for, what needs no knife, and what is cut at the table. `tried`: rounds of each task so far.
 */
export function foodsToTry(
  context: PlanningContext,
  cook: CookContext,
  knives: readonly BladeTraits[],
  tried: ReadonlyMap<string, number>,
  most: number,
): FoodToTry[] {
  // the figures are what is tried: what was measured before is left out
  const unmeasured = { ...cook, measured: {} };
  const known = new Map<string, { foods: number[]; spread: number }>();
  const foods = context.loads.flatMap(({ task, weight }, t) => {
    const prepared = context.tasks[t];
    if (!prepared || weight <= 0 || task.atTable || task.instead || task.withChild) return [];
    const told = knives.map((blade) => explain(blade, prepared, [unmeasured]));
    if (told.some(({ veto, score }) => veto !== null || score < SCORE_WORDS.struggles.value)) return [];
    const spread = Math.max(0, ...told.flatMap((a, i) => told.slice(i + 1).map((b) => spreadBetween(a, b))));
    known.set(task.id, { foods: told.map(({ score }) => score), spread });
    return [{ task, weight, spread }];
  });
  return nextFoods(foods, tried, most).map(({ task, nats }) => ({
    task,
    nats,
    expected: known.get(task.id)?.foods ?? [],
  }));
}
