import { GUIDANCE } from '../../constants';
import { euroIn } from '../../money/currency';
import type { Candidate } from './candidate';
import { isAllRound } from './kinds';

/** How the money for knives is spread, minor units: the dearest all-round and serrated one, and the sum. */
export interface Spread {
  main: number;
  serrated: number;
  total: number;
}

export function spreadOf(steps: readonly Candidate[]): Spread {
  const bought = steps.filter((s) => s.action === 'buy');
  const dearest = (isOne: (step: Candidate) => boolean) =>
    bought.filter(isOne).reduce((most, s) => Math.max(most, s.priceMinor), 0);
  return {
    main: dearest((s) => isAllRound(s.type)),
    serrated: dearest((s) => s.type?.role === 'serrated'),
    total: bought.reduce((sum, s) => sum + s.priceMinor, 0),
  };
}

/** Whether so much goes into a serrated knife beside the main one that it must be said: it is replaced, not sharpened. */
export const isSerratedDear = ({ main, serrated, total }: Spread, currency: string): boolean =>
  main > 0 &&
  serrated > Math.max(euroIn(GUIDANCE.serratedDearEur.value, currency), GUIDANCE.serratedMost.value * total, main / 2);
