import type { BladeModel } from '../../blade/schema';
import { UPKEEP } from '../../constants';
import type { EdgeCare } from '../../edge/keenness';
import type { Kitchen } from '../../kitchen/kitchen';
import { euroIn, toMinor } from '../../money/currency';
import type { Reference } from '../../reference';
import type { Candidate } from './candidate';
import type { Scoring } from './scoring';

/** What candidates are made from. */
export interface Making extends Scoring {
  kitchen: Kitchen;
  models: readonly BladeModel[];
  reference: Reference;
  /** Edges are sharpened through the year by a service that is bought with the kit; null where the kitchen's habits hold. */
  service: EdgeCare | null;
}

/** All that may be bought, each as it serves by itself, whatever is owned. */
export interface Sold {
  sold: Candidate[];
}

/** What one sharpening costs here, minor units. */
export function sharpeningMinor(
  { habits, currency }: Kitchen,
  event: keyof typeof UPKEEP.sharpeningEur = habits.sharpening,
): number {
  const paid = event === 'professional' || event === 'none' ? habits.sharpeningPrice : null;
  return paid === null ? euroIn(UPKEEP.sharpeningEur[event].value, currency) : toMinor(paid, currency);
}
