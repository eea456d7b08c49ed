import type { Candidate } from '../candidates/candidate';
import { judgeSet } from '../candidates/sets';
import { chooseKit, type Chosen, type Effort, ROUGH } from '../search/choose';
import { offersFor, taking } from '../offers/offers';
import type { PlanningContext } from '../context/planningContext';
import { kitOf } from '../search/coverage';
import { searchAbove } from '../search/sizes';
import { coverageDecides } from '../context/coverageDecides';

/** A kit and the context it stands on. */
interface ChosenOn {
  context: PlanningContext;
  chosen: Chosen;
}

/** Of a set so many pieces lying idle beside a quick kit, it is still tried. */
const NEARLY = 1;

/** An offer's rough kit worth this much less than the kit without it, coverage, is looked at no closer. */
const HOPELESS = 0.01;

/** The contexts with one offer taken up that may change a kit: every volume price, and the sets of nearly what it has. */
function nearOffers(context: PlanningContext, kit: readonly Candidate[]): PlanningContext[] {
  const bought = kit.filter((c) => c.action === 'buy');
  return offersFor(context)
    .filter((offer) => offer.kind === 'volume' || judgeSet(offer, bought).idle.length <= NEARLY)
    .flatMap((offer) => taking(context, offer));
}

/** Steps by which the bound of a kit with an offer is lowered before the offer is tried. */
const TRIED_AFTER = 6;

/** Whether a kit within some limits may be worth more than one that is known, as far as a quick bound tells. */
const mayBeat = ({ problem }: PlanningContext, { choice, worth, multipliers }: Chosen): boolean =>
  !searchAbove(problem, { choice, value: worth }, multipliers, TRIED_AFTER).isHopeless;

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
  const tried = nearOffers(context, kit)
    .filter((offered) => mayBeat(offered, beside))
    .map((offered) => on(offered, ROUGH, { seed }))
    .sort((a, b) => b.chosen.worth - a.chosen.worth)
    .slice(0, 1)
    .filter(({ chosen }) => chosen.worth > beside.worth - HOPELESS)
    .map((near) => {
      const from = kitOf(near.context.problem, near.chosen.choice).map((c) => c.id);
      return on(near.context, effort, { seed: from, beside });
    });
  const { serviced } = context;
  const best = [...tried, ...(serviced ? [on(serviced, effort, { seed: serviced.seed })] : [])].reduce(better, plain);
  return { ...best, chosen: coverageDecides(best.context, best.chosen) };
}
