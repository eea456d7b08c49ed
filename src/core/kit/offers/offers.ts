import { showMoney } from '../../money/currency';
import { atSharedPrice, setsForSale, type SetForSale } from '../candidates/sets';
import type { VolumeOffer } from '../../catalogue/offers';
import type { Candidate } from '../candidates/candidate';
import { affordable, type Place, type Problem, requiredKnives, takesKnives } from '../search/problem';
import type { PlanningContext } from '../context/planningContext';

/** Knives that cost less together: a set bought whole, or so many of one maker's. */
export type Offer = ({ kind: 'set' } & SetForSale) | ({ kind: 'volume' } & VolumeOffer);

/**
 * Every offer this kitchen may take up. Schools say what is bought, so offers are left to the free plan. A piece for which there is no work
 * here adds nothing: it lies idle.
 */
export function offersFor(context: PlanningContext): Offer[] {
  // an offer would put a general knife where the kitchen wants a specialist
  if (context.school !== 'free' || context.kitchen.limits.second === 'specialist') return [];
  // what is paid over months is no one basket; a service is priced beside singles only
  if (context.kitchen.perMonthMinor !== null || context.service) return [];
  // a piece counts as it does singly: beside a sound owned knife of its kind no polish
  const singly = new Map(context.buyable.map((c) => [c.id, c]));
  const idle = new Float64Array(context.problem.demand.columns);
  return [
    ...setsForSale(context).map((set) => ({
      ...set,
      kind: 'set' as const,
      pieces: set.pieces.map(
        (piece) =>
          singly.get(piece.id) ?? {
            ...piece,
            scores: new Float64Array(context.loads.length),
            usefulness: idle,
            counted: idle,
          },
      ),
    })),
    ...context.reference.volumes.map((volume) => ({ kind: 'volume' as const, ...volume })),
  ];
}

export const isSingle = (c: Candidate | undefined, maker: string) =>
  c?.action === 'buy' && !c.inSet && c.blade?.blade.maker === maker;

const atVolumePrice = (c: Candidate, { off }: VolumeOffer) => Math.round(c.priceMinor * (1 - off));

/** Puts required places in the stead of as many open ones; null when there are too few. */
function inPlaceOfOpen(
  places: readonly Place[],
  required: readonly Place[],
  candidates: readonly Candidate[],
): Place[] | null {
  const open = places.filter((place) => !place.required && takesKnives(place, candidates));
  if (open.length < required.length) return null;
  const given = new Set(open.slice(0, required.length));
  return [...required, ...places.filter((place) => !given.has(place))];
}

/**
 * The context with a set bought whole: its pieces stand in required places at their share of its price, each in one that demands such a
 * knife where there is one.
 */
function withSet(context: PlanningContext, { set, pieces, priceMinor }: SetForSale): PlanningContext | null {
  const { problem, kitchen } = context;
  const candidates = [...problem.candidates];
  const offer = `Comes in the set ${set.name}, ${set.maker}: ${showMoney(priceMinor, kitchen.currency)} for its ${pieces.length} pieces, less than those wanted cost singly; the price here is its share.`;
  if (pieces.some(({ id }) => candidates.some((c) => c.id === id && c.inSet))) return null;
  const indices = atSharedPrice(pieces, priceMinor).map((piece) => {
    const single = candidates.findIndex((c) => c.id === piece.id);
    const at = single < 0 ? candidates.length : single;
    candidates[at] = { ...piece, offer, inSet: true };
    return at;
  });
  const left = [...problem.places];
  const alone = (i: number): Place => ({ fits: [i], required: true });
  const filled: Place[] = [];
  const others: Place[] = [];
  for (const i of indices) {
    const [demanded] = left
      .filter(({ fits, required, isSingly }) => required && !isSingly && fits.includes(i))
      .sort((a, b) => a.fits.length - b.fits.length);
    if (demanded) left.splice(left.indexOf(demanded), 1);
    (demanded ? filled : others).push(alone(i));
  }
  // a piece is had in the set or not at all
  const without = left.map((place) => ({ ...place, fits: place.fits.filter((i) => !indices.includes(i)) }));
  const places = inPlaceOfOpen([...filled, ...without], others, candidates);
  return places && { ...context, problem: { ...problem, candidates, places } };
}

/**
 * The contexts with a maker's volume price: so many of its knives are required, and each costs that much less. A place that demands a knife
 * may be filled from the basket or not, hence several.
 */
function withVolume(context: PlanningContext, volume: VolumeOffer): PlanningContext[] {
  const { problem } = context;
  const { maker, from, off } = volume;
  const offer = `${from} or more of ${maker} in one basket: ${Math.round(off * 100)}% off each, counted in here.`;
  const isTheirs = problem.candidates.map((c) => isSingle(c, maker));
  const candidates = problem.candidates.map((c, i) =>
    isTheirs[i] ? { ...c, priceMinor: atVolumePrice(c, volume), offer } : c,
  );
  const theirs = candidates.flatMap((_, i) => (isTheirs[i] ? [i] : []));
  if (theirs.length === 0) return [];
  const demanding = problem.places.filter(({ fits, required }) => required && fits.some((i) => isTheirs[i]));
  return subsets(demanding)
    .filter((some) => some.length <= from)
    .flatMap((some) => {
      const fromBasket = problem.places.map((place) =>
        some.includes(place) ? { ...place, fits: place.fits.filter((i) => isTheirs[i]), isSingly: true } : place,
      );
      const basket = Array.from({ length: from - some.length }, () => ({
        fits: theirs,
        required: true,
        isSingly: true,
      }));
      const places = inPlaceOfOpen(fromBasket, basket, candidates);
      return places ? { ...context, problem: { ...problem, candidates, places } } : [];
    });
}

const subsets = <T>([first, ...rest]: readonly T[]): T[][] =>
  first === undefined ? [[]] : subsets(rest).flatMap((some) => [some, [first, ...some]]);

/** The contexts with an offer taken up, one for each way of doing so; none where the places, the kinds or the money do not reach for it. */
export function taking(context: PlanningContext, offer: Offer): PlanningContext[] {
  const contexts = offer.kind === 'set' ? [withSet(context, offer)] : withVolume(context, offer);
  const { unmet } = affordable(context.problem);
  return contexts
    .filter((on) => on !== null)
    .filter(
      ({ problem }) => affordable(problem).unmet <= unmet && requiredKnives(problem) <= (problem.kinds ?? Infinity),
    );
}

/** A problem with the pieces of sets among its candidates, those that are bought in a set alone too: they may stand in any open place for knives. */
export function withPieces(problem: Problem, offers: readonly Offer[]): Problem {
  const known = new Set(problem.candidates.map(({ id }) => id));
  const pieces = offers.flatMap((offer) => (offer.kind === 'set' ? offer.pieces : []));
  const missing = [...new Map(pieces.flatMap((piece) => (known.has(piece.id) ? [] : [[piece.id, piece]]))).values()];
  if (missing.length === 0) return problem;
  const candidates = [...problem.candidates, ...missing];
  const added = missing.map((_, k) => problem.candidates.length + k);
  const longer = new Map(problem.places.map(({ fits }) => [fits, [...fits, ...added]]));
  const places = problem.places.map((place) =>
    !place.required && takesKnives(place, problem.candidates)
      ? { ...place, fits: longer.get(place.fits) ?? place.fits }
      : place,
  );
  return { ...problem, candidates, places };
}

/** A problem in which offers are had without their conditions, and which of them made each candidate cheaper, by index. */
interface Wishful {
  problem: Problem;
  /** The same candidates at what they cost singly. */
  singly: Candidate[];
  cheaperBy: Map<number, Offer[]>;
}

/**
 * Every knife at the lowest price any of the offers gives it, a set's piece at its share, whether or not the rest is bought: whatever the offers
 * truly allow is allowed here for no more money, so that no kit with offers beats the best kit of this problem.
 */
export function wishing(context: PlanningContext, offers: readonly Offer[]): Wishful {
  const problem = withPieces(context.problem, offers);
  const candidates = [...problem.candidates];
  const cheaperBy = new Map<number, Offer[]>();
  const singly = [...problem.candidates];
  const lower = (at: number, priceMinor: number, offer: Offer) => {
    const now = candidates[at];
    if (!now || now.inSet) return;
    if (priceMinor < (singly[at]?.priceMinor ?? 0)) cheaperBy.set(at, [...(cheaperBy.get(at) ?? []), offer]);
    candidates[at] = { ...now, priceMinor: Math.min(now.priceMinor, priceMinor) };
  };
  for (const offer of offers) {
    if (offer.kind === 'volume') {
      problem.candidates.forEach((c, i) => isSingle(c, offer.maker) && lower(i, atVolumePrice(c, offer), offer));
      continue;
    }
    const shares = atSharedPrice(offer.pieces, offer.priceMinor);
    offer.pieces.forEach((piece, k) => {
      const at = candidates.findIndex((c) => c.id === piece.id);
      lower(at, shares[k]?.priceMinor ?? piece.priceMinor, offer);
    });
  }
  return { problem: { ...problem, candidates }, singly, cheaperBy };
}

/** What a kit costs with the best of the offers whose conditions it meets, minor units, and those offers; each piece counts for one offer. */
export function realPrice(
  kit: readonly Candidate[],
  offers: readonly Offer[],
): { priceMinor: number; taken: readonly Offer[] } {
  const [offer, ...rest] = offers;
  if (!offer) return { priceMinor: kit.reduce((sum, c) => sum + c.priceMinor, 0), taken: [] };
  const without = realPrice(kit, rest);
  let left = [...kit];
  let paid = 0;
  if (offer.kind === 'set') {
    for (const piece of offer.pieces) {
      const at = left.findIndex((c) => c.id === piece.id && !c.inSet);
      if (at < 0) return without;
      left.splice(at, 1);
    }
    paid = offer.priceMinor;
  } else {
    const theirs = left.filter((c) => isSingle(c, offer.maker));
    if (theirs.length < offer.from) return without;
    left = left.filter((c) => !theirs.includes(c));
    paid = theirs.reduce((sum, c) => sum + atVolumePrice(c, offer), 0);
  }
  const then = realPrice(left, rest);
  const priceMinor = paid + then.priceMinor;
  return priceMinor < without.priceMinor ? { priceMinor, taken: [offer, ...then.taken] } : without;
}
