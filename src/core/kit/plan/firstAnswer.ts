import type { PlanningContext } from '../context/planningContext';
import { settled } from '../context/settled';
import { taking } from '../offers/offers';
import { HOPELESS, promisingOffers } from '../offers/promise';
import { chooseKit, type Chosen, type Effort, ROUGH } from '../search/choose';
import { kitOf } from '../search/coverage';
import { rolesOf } from '../search/roles';
import { type Part, partOf } from '../search/shortlist';
import { searchAbove } from '../search/sizes';

/** A kit and the context it stands on. */
interface ChosenOn {
  context: PlanningContext;
  chosen: Chosen;
}

/** Steps by which the bound of a kit with an offer is lowered before the offer is tried. */
const TRIED_AFTER = 6;

/** Roles from which offers wait for the proof: so many people are at work that trying one takes a second. */
const CROWDED = 600;

/** Whether a kit with an offer, of the likeliest candidates, may be worth more than one without, as far as a quick bound tells. */
const mayBeat = ({ problem }: Part, { worth, multipliers }: Chosen): boolean =>
  !searchAbove(problem, { choice: new Int32Array(), value: worth }, multipliers, TRIED_AFTER).isHopeless;

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
  const isCrowd = rolesOf(context.problem.demand).weights.length > CROWDED;
  const tried = (isCrowd ? [] : promisingOffers(context, beside.choice))
    .flatMap((offer) => taking(context, offer))
    .map((offered) => ({ context: offered, part: partOf(offered.problem, isLikely) }))
    .filter(({ part }) => mayBeat(part, beside))
    .map((offered) => ({ ...offered, rough: chooseKit(offered.part.problem, ROUGH, { seed }) }))
    .sort((a, b) => b.rough.worth - a.rough.worth)
    .slice(0, 1)
    .filter(({ rough }) => rough.worth > beside.worth - HOPELESS)
    .map(({ context: offered, part, rough }) => {
      const from = kitOf(part.problem, rough.choice).map((c) => c.id);
      const chosen = chooseKit(part.problem, effort, { seed: from, beside });
      return {
        context: offered,
        chosen: { ...chosen, choice: part.inWhole(chosen.choice), among: part.kept },
      };
    });
  const { serviced } = context;
  const best = [...tried, ...(serviced ? [on(serviced, effort, { seed: serviced.seed })] : [])].reduce(better, plain);
  return { ...best, chosen: settled(best.context, best.chosen) };
}
