import { affordable, Chooser, EPSILON, type Choice, type Problem } from './choose';
import { ExactSearch, PRECISION } from './exact';
import { knifePlaces, ofSize, placed, requiredKnives, SLICE } from './sizes';

/** Nodes after which the cheapest kit is left unproven: a second's work at most. */
const ENOUGH_NODES = 6_000;

/** The least a kit was found to cost for the coverage it promises. */
export interface Cheapest {
  choice: Choice;
  /** Whether no kit of less outlay reaches that coverage. */
  proven: boolean;
}

/** The choice of some of a problem's places as a choice of all of them. */
function widened(problem: Problem, part: Problem, choice: Choice): Choice {
  const whole = new Int32Array(problem.places.length).fill(-1);
  part.places.forEach((place, p) => (whole[problem.places.indexOf(place)] = choice[p] ?? -1));
  return whole;
}

/**
 * The kit of least outlay that reaches a coverage, from one that does: kits of every number of knives are searched for one that costs less,
 * as long as there is one. What is put right already in `from` where that is worth while stays. Outlay is price and, for each knife bought, what
 * keeping it costs; with the number of knives given it is a price again, which the exact search knows as a budget. Yields after every slice of work.
 */
export function* cheapestKit(whole: Problem, target: number, from: Choice): Generator<void, Cheapest> {
  const { problem: free } = affordable(whole);
  const chooser = new Chooser(free);
  const cared = new Set(chooser.worthwhileCare().flatMap(({ place }) => ((from[place] ?? -1) >= 0 ? [place] : [])));
  const problem: Problem = {
    ...free,
    places: free.places.map((place, p) => (cared.has(p) ? { ...place, required: true } : place)),
  };
  let choice = from;
  let outlay = chooser.outlay(from);
  let nodes = 0;
  const fewest = requiredKnives(problem);
  for (let n = fewest; n <= knifePlaces(problem); n++) {
    const budgetMinor = Math.min(problem.budgetMinor, outlay - 1 - problem.keepMinor * n);
    if (budgetMinor < 0) break;
    const part: Problem = { ...ofSize(problem, n), budgetMinor };
    if (affordable(part).unmet > 0) continue;
    const search = new ExactSearch(part, placed(part, []), undefined, target - EPSILON - PRECISION);
    while (!search.found && !search.step(SLICE)) {
      nodes += SLICE;
      if (nodes > ENOUGH_NODES) return { choice, proven: false };
      yield;
    }
    const found = search.found ? search.proof() : null;
    if (!found || found.value < target - EPSILON) continue;
    choice = new Chooser(problem).trim(widened(problem, part, found.choice), target);
    outlay = chooser.outlay(choice);
    // kits of fewer knives cost less to keep: they are tried again under the new outlay
    n = fewest - 1;
    yield;
  }
  return { choice, proven: true };
}
