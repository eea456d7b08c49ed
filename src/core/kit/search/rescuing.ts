import { WORTH } from '../../constants';
import type { Demand } from '../demand/types';
import { countedRows } from './greedy';
import { type Problem, type Choice, priceOf } from './problem';
import { filledKit, KitValue } from './value';

/**
 * A kit with what money it leaves put to weekly work that stands in a struggle: as long as a place and the money are left for something that
 * brings some of it out, the one that does so best for its price is taken (handbook 8.1: before any money stays unspent).
 */
export function withRescues(problem: Problem, choice: Choice): Choice {
  const { demand, candidates, places, budgetMinor, scale } = problem;
  if (!Number.isFinite(budgetMinor)) return choice;
  const rescues = rescuesOf(demand);
  const kit = new Int32Array(choice);
  const least = WORTH.rescueLeast.value * (rescues.states[0]?.roles[0]?.weight ?? 0);
  const chosen = [...kit].flatMap((index) => candidates[index] ?? []);
  const now = filledKit(new KitValue(rescues), problem, chosen, countedRows);
  for (let left = budgetMinor - priceOf(problem, kit); ;) {
    let best = { place: -1, index: -1, worth: 0 };
    const seen = new Set<readonly number[]>();
    places.forEach(({ fits }, p) => {
      if ((kit[p] ?? -1) >= 0 || seen.has(fits)) return;
      seen.add(fits);
      for (const index of fits) {
        const c = candidates[index];
        if (!c || c.owned !== null || c.priceMinor > left) continue;
        const gain = now.gain(c.counted);
        const worth = gain / (c.priceMinor + scale.keepMinor);
        if (gain > least && worth > best.worth) best = { place: p, index, worth };
      }
    });
    const bought = candidates[best.index];
    if (!bought) return kit;
    kit[best.place] = best.index;
    left -= bought.priceMinor;
    now.add(bought.counted);
  }
}

const knownRescues = new WeakMap<Demand, Demand>();

/** The part of a demand that is rescue. */
function rescuesOf(demand: Demand): Demand {
  const before = knownRescues.get(demand);
  if (before) return before;
  const rescues = { ...demand, states: demand.states.filter((state) => state.rescue) };
  knownRescues.set(demand, rescues);
  return rescues;
}
