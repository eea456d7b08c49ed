import { euroIn } from '../../money/currency';
import { type Chosen, chooseKit, ROUGH } from '../search/choose';
import { kitOf, coverageOfKit } from '../search/coverage';
import { Chooser } from '../search/greedy';
import { partOf } from '../search/shortlist';
import { EPSILON } from '../search/problem';
import { amongTies } from './amongTies';
import { moneyOf } from './money';
import type { PlanningContext } from './planningContext';

/** Sums of less money that are tried: each so many times the one before, from so many euro on, down to a share of the money there is. */
const SUMS = { fromEur: 20, step: 1.25, downTo: 0.4 } as const;

/** The sums below the money there is, minor units: the same for every kitchen of a currency, so that what less money buys is bought with more as well. */
function sumsBelow(budgetMinor: number, currency: string): number[] {
  const sums: number[] = [];
  for (let sum = euroIn(SUMS.fromEur, currency); sum < budgetMinor; sum *= SUMS.step)
    if (sum >= SUMS.downTo * budgetMinor) sums.push(Math.round(sum));
  return sums;
}

/**
 * More money never covers less: where rescued work, or the least a step must add at a dearer point, makes the kit of less money cover more, that one
 * is taken (handbook 8.1: where anything but money would lower coverage, coverage decides).
 */
export function coverageDecides({ problem, kitchen }: PlanningContext, chosen: Chosen): Chosen {
  const { budgetMinor, currency } = kitchen;
  if (budgetMinor === null) return chosen;
  const { among, choice } = chosen;
  const part = partOf(problem, (i) => !among || among.has(i) || choice.includes(i));
  const aside = budgetMinor - problem.budgetMinor;
  let best = choice;
  let covered = coverageOfKit(problem, kitOf(problem, choice));
  for (const sum of sumsBelow(budgetMinor, currency)) {
    if (sum <= aside) continue;
    const less = { ...part.problem, ...moneyOf(kitchen, sum, aside) };
    const other = amongTies({ problem: less, kitchen }, chooseKit(less, ROUGH));
    if (other.unmet > chosen.unmet) continue;
    const covers = coverageOfKit(problem, kitOf(less, other.choice));
    if (covers > covered + EPSILON) {
      covered = covers;
      best = part.inWhole(other.choice);
    }
  }
  return best === choice ? chosen : { ...chosen, choice: best, worth: new Chooser(problem).worth(best) };
}
