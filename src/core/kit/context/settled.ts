import { WORTH } from '../../constants';
import { Chooser } from '../search/greedy';
import type { Chosen } from '../search/choose';
import { coverageOfKit, kitOf } from '../search/coverage';
import { offLengthMm } from '../../fit/parts/length';
import { euroIn } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { affordable, type Choice, isFeasible, kindsOf, priceOf } from '../search/problem';
import { amongTies } from './amongTies';
import { coverageDecides } from './coverageDecides';
import type { PlanningContext } from './planningContext';

/**
 * The kit a plan shows, of all that are worth nearly as much as the best one found: more money never covers less, and among kits within a tenth
 * of a point that differ by exchanges the one is taken that covers more, then that has fewer kinds, is worth more, comes first by id (handbook 10.6).
 * Nothing is added to a kit for it. Deterministic; keeps every limit of the problem.
 */
export function settled(context: PlanningContext, found: Chosen): Chosen {
  return inWantedLength(context, coverageDecides(context, amongTies(context, found)));
}

/** A main knife off the length that anybody here wants gives way to one of its line that is not, where that costs little more and covers no less. */
function inWantedLength(context: PlanningContext, chosen: Chosen): Chosen {
  const { problem } = affordable(context.problem);
  const { candidates } = problem;
  const { currency } = context.kitchen;
  const covered = (kit: Choice) => Math.round(coverageOfKit(problem, kitOf(problem, kit)) / WORTH.tie.value);
  let { choice } = chosen;
  for (const stands of kindsOf(problem, choice)) {
    const main = candidates[stands];
    if (!main || main.type?.role !== 'general' || !isOff(main, context)) continue;
    const { priceMinor } = main;
    const most = priceMinor + Math.max(WORTH.lineShare.value * priceMinor, euroIn(WORTH.lineEur.value, currency));
    const [better] = candidates
      .flatMap((c, i) => (c.priceMinor <= most && lineOf(c) === lineOf(main) && !isOff(c, context) ? [i] : []))
      .map((i) => choice.map((index) => (index === stands ? i : index)))
      .filter((kit) => isFeasible(problem, kit) && covered(kit) >= covered(choice))
      .sort((one, other) => covered(other) - covered(one) || priceOf(problem, one) - priceOf(problem, other));
    choice = better ?? choice;
  }
  return choice === chosen.choice ? chosen : { ...chosen, choice, worth: new Chooser(problem).worth(choice) };
}

/** Whether a knife is off the length that everybody here wants. */
const isOff = ({ blade }: Candidate, { cooks }: PlanningContext): boolean =>
  blade !== null && cooks.every((cook) => offLengthMm(blade, cook) > WORTH.offLengthFrom.value);

/** The line of a knife: of one maker, type, steel and name but for the length in it. */
const lineOf = ({ action, blade }: Candidate): string | null =>
  blade && action === 'buy'
    ? [blade.blade.maker, blade.blade.type, blade.blade.steel, blade.blade.name.replace(/\d+/, '')].join(' · ')
    : null;
