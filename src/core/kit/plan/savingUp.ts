import { ORDER } from '../../constants';
import { showMoney } from '../../money/currency';
import type { ValueOf } from './buyingOrder';
import type { Candidate } from '../candidates/candidate';
import { isAllRound } from '../candidates/kinds';
import type { PlanningContext } from '../context/planningContext';

/** Where money comes by the month: what saving up for the main knife would buy, against buying the planned one now. */
export function savingUp(
  context: PlanningContext,
  valueOf: ValueOf,
  steps: readonly Candidate[],
): { step: number; said: string } | null {
  const { perMonthMinor, currency, budgetMinor } = context.kitchen;
  const at = steps.findIndex((s) => s.action === 'buy' && isAllRound(s.type));
  const main = steps[at];
  if (!perMonthMinor || !main) return null;
  const others = steps.filter((_, i) => i !== at);
  const now = valueOf(steps);
  const most = Math.min(budgetMinor ?? Infinity, perMonthMinor * ORDER.savingMonths.value);
  const better = context.problem.candidates
    .filter((c) => c.action === 'buy' && isAllRound(c.type) && c.priceMinor > main.priceMinor && c.priceMinor <= most)
    .map((c) => ({ c, more: valueOf([...others, c]) - now }))
    .sort((a, b) => b.more - a.more || a.c.priceMinor - b.c.priceMinor || (a.c.id < b.c.id ? -1 : 1))[0];
  const months = (minor: number) => Math.max(1, Math.ceil(minor / perMonthMinor));
  const bought = `Buying now: yours in month ${months(main.priceMinor)}.`;
  if (!better || better.more < ORDER.savingGain.value)
    return {
      step: at,
      said: `${bought} Saving up to ${ORDER.savingMonths.value} months for a dearer one would add less than a point.`,
    };
  return {
    step: at,
    said: `${bought} Saving up until month ${months(better.c.priceMinor)} would buy ${better.c.blade?.blade.name ?? ''} at ${showMoney(better.c.priceMinor, currency)}, worth ${(100 * better.more).toFixed(1)} points more; until then there is nothing new to cut with.`,
  };
}
