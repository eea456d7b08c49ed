import { WORTH } from '../../constants';
import type { Kitchen } from '../../kitchen/kitchen';
import { isSerratedDear, spreadOf } from '../candidates/spending';
import type { Chosen } from '../search/choose';
import { coverageOfKit, kitOf } from '../search/coverage';
import { Chooser } from '../search/greedy';
import { affordable, type Choice, EPSILON, isFeasible, kindsOf, type Problem } from '../search/problem';
import { likeliest } from '../search/shortlist';

/** Candidates, of those that lose a kit least, that are exchanged for a tie. */
const LIKELIEST = 40;

/** A kit, and by what it is preferred among kits worth nearly the same. */
interface Settled {
  choice: Choice;
  worth: number;
  /** Coverage to a tenth of a point: smaller differences are not told apart. */
  covered: number;
  kinds: number;
  ids: string;
}

/**
 * Of the kits within a tenth of a point of a kit, by exchanges, the one that covers more, then that has fewer kinds, is worth more, comes first by id
 * (handbook 10.6). Nothing is added for it.
 */
export function amongTies(
  { problem: whole, kitchen }: { problem: Problem; kitchen: Pick<Kitchen, 'currency'> },
  chosen: Chosen,
): Chosen {
  const { problem } = affordable(whole);
  const { candidates } = problem;
  // a tie is no reason to spend as the plan itself would warn of
  const isOdd = (of: Choice) => isSerratedDear(spreadOf(kitOf(problem, of)), kitchen.currency);
  const chooser = new Chooser(problem);
  const among = chosen.among ?? likeliest(problem, chooser, chosen.choice, LIKELIEST);
  const judged = (of: Choice, worth: number): Settled => ({
    choice: of,
    worth,
    covered: Math.round(coverageOfKit(problem, kitOf(problem, of)) / WORTH.tie.value),
    kinds: kindsOf(problem, of).size,
    ids: [...of].map((i) => candidates[i]?.id ?? '').join(' '),
  });
  let best = judged(chosen.choice, chooser.worth(chosen.choice));
  const least = best.worth - WORTH.tie.value;
  for (;;) {
    const others = chooser.exchangesWorth(best.choice, least - EPSILON, (i) => among.has(i));
    const better = others
      .filter((other) => isFeasible(problem, other.choice) && !isOdd(other.choice))
      .map((other) => judged(other.choice, other.worth))
      .reduce((a, b) => (isPreferred(b, a) ? b : a), best);
    if (better === best) return { ...chosen, choice: best.choice, worth: best.worth };
    best = better;
  }
}

function isPreferred(a: Settled, b: Settled): boolean {
  if (a.covered !== b.covered) return a.covered > b.covered;
  if (a.kinds !== b.kinds) return a.kinds < b.kinds;
  if (Math.abs(a.worth - b.worth) > EPSILON) return a.worth > b.worth;
  return a.ids < b.ids;
}
