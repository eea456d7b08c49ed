import { SCHOOL } from '../../constants';
import { chooseKit, ROUGH } from '../search/choose';
import { coverageOfKit, kitOf } from '../search/coverage';
import { affordable, cheapest, type Problem } from '../search/problem';

/** A problem, and how many pieces that a school asks for wait for more money. */
interface Postponed {
  problem: Problem;
  postponed: number;
}

/**
 * A problem in which the dearest pieces of a school wait while money is short: one bought now would leave so little for the rest that the kit covers
 * clearly less. What the cook asks for by name, the first `named` places, is bought in any case. So more money never makes a poorer kit by
 * the school's own rule (handbook 10.6).
 */
export function withoutDearPieces(whole: Problem, named: number): Postponed {
  let problem = whole;
  let covered = -1;
  for (let postponed = 0; ; postponed++) {
    const dearest = dearestOfSchool(affordable(problem).problem, named);
    if (!dearest) return { problem, postponed };
    if (covered < 0) covered = roughlyCovered(problem);
    const places = problem.places.with(dearest.at, { ...dearest.place, required: false });
    const without = { ...problem, places };
    const more = roughlyCovered(without);
    if (more - covered <= SCHOOL.costsAtMost.value) return { problem, postponed };
    [problem, covered] = [without, more];
  }
}

const roughlyCovered = (problem: Problem): number =>
  coverageOfKit(problem, kitOf(problem, chooseKit(problem, ROUGH).choice));

/** The school's required piece that costs most. */
function dearestOfSchool(problem: Problem, named: number) {
  const required = problem.places.flatMap((place, at) =>
    place.required ? [{ place, at, price: cheapest(problem, place) }] : [],
  );
  return required
    .filter(({ at }) => at >= named)
    .reduce<(typeof required)[number] | null>((most, each) => (most && most.price >= each.price ? most : each), null);
}
