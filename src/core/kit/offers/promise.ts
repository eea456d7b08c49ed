import { atSharedPrice } from '../candidates/sets';
import type { PlanningContext } from '../context/planningContext';
import { Chooser } from '../search/greedy';
import { affordable, type Choice, type Problem } from '../search/problem';
import { partOf } from '../search/shortlist';
import { isSingle, type Offer, offersFor, withPieces } from './offers';

/** An offer that makes a kit worth this much less, coverage, by what single exchanges tell, is looked at no closer. */
export const HOPELESS = 0.01;

/**
 * What each offer makes of a kit's worth, coverage, by the single exchanges that bring its pieces in: less than is told where two of them would take
 * one piece's place.
 */
function promises(offers: readonly Offer[], { candidates, scale }: Problem, exchanged: Float64Array): number[] {
  const point = 100 * scale.pointMinor;
  const at = new Map(candidates.map(({ id }, i) => [id, i]));
  const basket = (maker: string, off: number): number[] => {
    const worth: number[] = [];
    candidates.forEach((c, i) => {
      if (isSingle(c, maker)) worth.push((exchanged[i] ?? 0) + (c.priceMinor * off) / point);
    });
    return worth.sort((a, b) => b - a);
  };
  const inSet = ({ id, priceMinor }: { id: string; priceMinor: number }): number => {
    const i = at.get(id) ?? -1;
    return (exchanged[i] ?? 0) + ((candidates[i]?.priceMinor ?? 0) - priceMinor) / point;
  };
  return offers.map((offer) => {
    const pieces =
      offer.kind === 'volume'
        ? basket(offer.maker, offer.off).slice(0, offer.from)
        : atSharedPrice(offer.pieces, offer.priceMinor).map(inSet);
    return pieces.reduce((a, b) => a + b, 0);
  });
}

/** Whether a candidate, by index, costs less with one of the offers. */
function isOffered(offers: readonly Offer[], { candidates }: Problem): (index: number) => boolean {
  const pieces = new Set(offers.flatMap((offer) => (offer.kind === 'set' ? offer.pieces.map(({ id }) => id) : [])));
  const makers = offers.flatMap((offer) => (offer.kind === 'volume' ? [offer.maker] : []));
  return (i) => pieces.has(candidates[i]?.id ?? '') || makers.some((maker) => isSingle(candidates[i], maker));
}

/** The offers that may better a kit of this kitchen. */
export function promisingOffers(context: PlanningContext, kit: Choice): Offer[] {
  const offers = offersFor(context);
  if (offers.length === 0) return [];
  const { problem } = affordable(context.problem);
  // at the price of an offer the money may reach for what it does not reach for singly
  const whole = withPieces({ ...problem, budgetMinor: Infinity }, offers);
  const isAsked = isOffered(offers, whole);
  const part = partOf(whole, (i) => isAsked(i) || kit.includes(i));
  const told = promises(offers, part.problem, new Chooser(part.problem).exchanged(part.inPart(kit)));
  return offers.filter((_, k) => (told[k] ?? 0) > -HOPELESS);
}
