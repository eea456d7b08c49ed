import type { BladeModel } from '../../blade/schema';
import { CATALOGUE_CURRENCY, convertMinor } from '../../money/currency';
import type { PlanningContext } from '../context/planningContext';

/** What an owned knife's like costs, minor units: its own price where it is a model, else the middling one of its kind; 0 where none is for sale. */
export function likeMinor(
  { models, kitchen }: Pick<PlanningContext, 'models' | 'kitchen'>,
  blade: Pick<BladeModel, 'type' | 'priceMinor'>,
): number {
  const prices = models.filter(({ type }) => type === blade.type).map(({ priceMinor }) => priceMinor);
  const middling = prices.sort((a, b) => a - b)[Math.floor(prices.length / 2)] ?? 0;
  return convertMinor(blade.priceMinor > 0 ? blade.priceMinor : middling, CATALOGUE_CURRENCY, kitchen.currency);
}
