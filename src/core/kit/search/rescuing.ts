import { WORTH } from '../../constants';
import type { Demand } from '../demand/types';
import { type Chooser, countedRows } from './greedy';
import { type Choice, EPSILON, isKindAllowed, kindsOf, priceOf, type Problem } from './problem';
import { filledKit, KitValue } from './value';

/** A place that can be filled, and with what. */
interface Filling {
  place: number;
  index: number;
  /** What it brings out of a struggle, coverage. */
  gain: number;
}

/**
 * A kit with what money it leaves put to weekly work that stands in a struggle: as long as a place and the money are left for something that
 * brings some of it out, what does so best for its price says how much (handbook 8.1: before any money stays unspent). Of all that bring as much,
 * the one is taken that leaves the kit worth most.
 */
export function withRescues(problem: Problem, choice: Choice, chooser: Chooser): Choice {
  const { demand, candidates, budgetMinor, scale } = problem;
  if (!Number.isFinite(budgetMinor)) return choice;
  const rescues = rescuesOf(demand);
  const kit = new Int32Array(choice);
  const least = WORTH.rescueLeast.value * (rescues.states[0]?.roles[0]?.weight ?? 0);
  const chosen = [...kit].flatMap((index) => candidates[index] ?? []);
  const now = filledKit(new KitValue(rescues), problem, chosen, countedRows);
  for (let left = budgetMinor - priceOf(problem, kit); ;) {
    const cures = curesFor(problem, kit, left, now).filter(({ gain }) => gain > least);
    const forMoney = ({ index, gain }: Filling) => gain / ((candidates[index]?.priceMinor ?? 0) + scale.keepMinor);
    const cheapest = mostOf(cures, forMoney);
    if (!cheapest) return kit;
    const taken = mostOf(
      cures.filter(({ gain }) => gain >= cheapest.gain - EPSILON),
      ({ place, index }) => chooser.worth(kit.with(place, index)),
    );
    const bought = candidates[taken?.index ?? -1];
    if (!taken || !bought) return kit;
    kit[taken.place] = taken.index;
    left -= bought.priceMinor;
    now.add(bought.counted);
  }
}

/** What the money left can put into an empty place of a kit, each in the first place it fits, with what it brings out of a struggle. */
function curesFor(problem: Problem, kit: Choice, left: number, now: KitValue): Filling[] {
  const { candidates, places } = problem;
  const found: Filling[] = [];
  const seen = new Set<readonly number[]>();
  const kinds = kindsOf(problem, kit);
  places.forEach(({ fits }, place) => {
    if ((kit[place] ?? -1) >= 0 || seen.has(fits)) return;
    seen.add(fits);
    for (const index of fits) {
      const c = candidates[index];
      if (c && c.owned === null && c.priceMinor <= left && isKindAllowed(problem, kinds, index))
        found.push({ place, index, gain: now.gain(c.counted) });
    }
  });
  return found;
}

/** The first of those with the most of something. */
function mostOf<T>(all: readonly T[], of: (each: T) => number): T | null {
  let best: { each: T; much: number } | null = null;
  for (const each of all) {
    const much = of(each);
    if (!best || much > best.much) best = { each, much };
  }
  return best?.each ?? null;
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
