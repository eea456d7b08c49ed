import { atSharedPrice } from '../candidates/sets';
import { Chooser } from '../search/greedy';
import { affordable, type Choice, type Problem } from '../search/problem';
import { chooseKit, type Chosen, type Effort, ROUGH } from '../search/choose';
import { isSingle, type Offer, offersFor, taking } from '../offers/offers';
import type { PlanningContext } from '../context/planningContext';
import { kitOf } from '../search/coverage';
import { searchAbove } from '../search/sizes';
import { exchangesFor, type Part, partOf } from '../search/shortlist';
import { coverageDecides } from '../context/coverageDecides';

/** A kit and the context it stands on. */
interface ChosenOn {
  context: PlanningContext;
  chosen: Chosen;
}

/** An offer that makes a quick kit worth this much less by what single exchanges tell, coverage, is looked at no closer; nor is its rough kit. */
const HOPELESS = 0.01;

/**
 * What a kit comes to with an offer more than without, coverage, by what it loses by the single exchanges that bring in each piece: little less or
 * more, as long as no two of them take one piece's place.
 */
function promiseOf(offer: Offer, { candidates, scale }: Problem, exchanged: Float64Array): number {
  const point = 100 * scale.pointMinor;
  if (offer.kind === 'volume') {
    return candidates
      .flatMap((c, i) => (isSingle(c, offer.maker) ? [(exchanged[i] ?? 0) + (c.priceMinor * offer.off) / point] : []))
      .sort((a, b) => b - a)
      .slice(0, offer.from)
      .reduce((a, b) => a + b, 0);
  }
  return atSharedPrice(offer.pieces, offer.priceMinor).reduce((sum, { id, priceMinor }) => {
    const i = candidates.findIndex((c) => c.id === id);
    const paid = (candidates[i]?.priceMinor ?? 0) - priceMinor;
    return sum + (exchanged[i] ?? -scale.keepMinor / point) + paid / point;
  }, 0);
}

/** The contexts with one offer taken up that may change a kit. */
function nearOffers(context: PlanningContext, kit: Choice): PlanningContext[] {
  const offers = offersFor(context);
  if (offers.length === 0) return [];
  const { problem } = affordable(context.problem);
  const exchanged = exchangesFor(problem, new Chooser(problem), kit);
  return offers
    .filter((offer) => promiseOf(offer, problem, exchanged) > -HOPELESS)
    .flatMap((offer) => taking(context, offer));
}

/** Steps by which the bound of a kit with an offer is lowered before the offer is tried. */
const TRIED_AFTER = 6;

/** A context with an offer, and its problem with only what may better a kit known without it. */
interface Offered {
  context: PlanningContext;
  part: Part;
}

/** Whether a kit with an offer may be worth more than one without, as far as a quick bound tells. */
const mayBeat = ({ part }: Offered, { worth, multipliers }: Chosen): boolean =>
  !searchAbove(part.problem, { choice: new Int32Array(), value: worth }, multipliers, TRIED_AFTER).isHopeless;

/**
 * The first answer: the quick kit of the kitchen as it is, with the offers that help it, or, where nobody sharpens, with a sharpening service;
 * whichever is worth most.
 */
export function firstAnswer(context: PlanningContext, effort: Effort): ChosenOn {
  const on = (of: PlanningContext, how: Effort, before: Parameters<typeof chooseKit>[2]): ChosenOn => ({
    context: of,
    chosen: chooseKit(of.problem, how, before),
  });
  const better = (a: ChosenOn, b: ChosenOn) => (b.chosen.worth > a.chosen.worth + 1e-9 ? b : a);
  const plain = on(context, effort, { seed: context.seed });
  const beside = plain.chosen;
  const kit = kitOf(context.problem, beside.choice);
  const seed = kit.map((c) => c.id);
  const singly = context.problem.candidates.length;
  const isLikely = (i: number) => i >= singly || (beside.among?.has(i) ?? true);
  const tried = nearOffers(context, beside.choice)
    .map((offered) => ({ context: offered, part: partOf(offered.problem, isLikely) }))
    .filter((offered) => mayBeat(offered, beside))
    .map((offered) => ({ ...offered, rough: chooseKit(offered.part.problem, ROUGH, { seed }) }))
    .sort((a, b) => b.rough.worth - a.rough.worth)
    .slice(0, 1)
    .filter(({ rough }) => rough.worth > beside.worth - HOPELESS)
    .map(({ context: offered, part, rough }) => {
      const from = kitOf(part.problem, rough.choice).map((c) => c.id);
      const chosen = chooseKit(part.problem, effort, { seed: from, beside });
      return { context: offered, chosen: { ...chosen, choice: part.inWhole(chosen.choice) } };
    });
  const { serviced } = context;
  const best = [...tried, ...(serviced ? [on(serviced, effort, { seed: serviced.seed })] : [])].reduce(better, plain);
  return { ...best, chosen: coverageDecides(best.context, best.chosen) };
}
