import { WORTH } from '../../constants';
import { isSerratedDear, spreadOf } from '../candidates/spending';
import { Chooser } from '../search/greedy';
import type { Chosen } from '../search/choose';
import { likeliest } from '../search/shortlist';
import { coverageOfKit, kitOf } from '../search/coverage';
import { offLengthMm } from '../../fit/parts/length';
import { euroIn } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { affordable, type Choice, EPSILON, isFeasible, kindsOf, priceOf } from '../search/problem';
import { coverageDecides } from './coverageDecides';
import type { PlanningContext } from './planningContext';

/** A kit, and by what it is preferred among kits worth nearly the same. */
interface Settled {
  choice: Choice;
  worth: number;
  /** Coverage to a tenth of a point: smaller differences are not told apart. */
  covered: number;
  kinds: number;
  ids: string;
}

/** Candidates, of those that lose the kit least, among which it is settled. */
const LIKELIEST = 40;

/**
 * The kit that is told, of all that are worth nearly as much as the best one found: a dearer point never covers less, and among kits within a tenth
 * of a point that differ by exchanges the one is taken that covers more, then that has fewer kinds, is worth more, comes first by id (handbook 10.6).
 * Nothing is added to a kit for it. Deterministic; keeps every limit of the problem.
 */
export function settled(context: PlanningContext, found: Chosen): Chosen {
  const { problem } = affordable(context.problem);
  const among = found.among ?? likeliest(problem, new Chooser(problem), found.choice, LIKELIEST);
  const decided = amongTies(context, coverageDecides(context, { ...found, among }));
  return inWantedLength(context, decided);
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

/** The best of the kits one exchange away that are worth a tenth of a point less at most, until none is better. */
function amongTies({ problem: whole, kitchen }: PlanningContext, chosen: Chosen): Chosen {
  const { problem } = affordable(whole);
  const { candidates } = problem;
  // a tie is no reason to spend as the plan itself would warn of
  const isOdd = (of: Choice) => isSerratedDear(spreadOf(kitOf(problem, of)), kitchen.currency);
  const { among } = chosen;
  const chooser = new Chooser(problem);
  const judged = (of: Choice): Settled => ({
    choice: of,
    worth: chooser.worth(of),
    covered: Math.round(coverageOfKit(problem, kitOf(problem, of)) / WORTH.tie.value),
    kinds: kindsOf(problem, of).size,
    ids: [...of].map((i) => candidates[i]?.id ?? '').join(' '),
  });
  let best = judged(chosen.choice);
  const least = best.worth - WORTH.tie.value;
  for (;;) {
    const others = chooser.exchangesWorth(best.choice, least - EPSILON, (i) => !among || among.has(i));
    const better = others
      .filter((other) => isFeasible(problem, other) && !isOdd(other))
      .map(judged)
      .reduce((a, b) => (isPreferred(b, a) ? b : a), best);
    if (better === best) return { ...chosen, choice: best.choice, worth: best.worth };
    best = better;
  }
}

function isPreferred(a: Settled, b: Settled): boolean {
  if (a.covered !== b.covered) return a.covered > b.covered;
  if (a.kinds !== b.kinds) return a.kinds < b.kinds;
  if (Math.abs(a.worth - b.worth) > EPSILON) return a.worth > b.worth;
  return a.ids < b.ids;
}
