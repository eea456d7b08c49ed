import { LOAD, PAIR } from '../../constants';
import { workingCooks } from '../../fit/cook';
import type { Cook, Kitchen } from '../../kitchen/kitchen';
import type { TaskLoad } from '../../load/load';
import type { Candidate } from '../candidates/candidate';
import { isAllRound } from '../candidates/kinds';
import { isSound } from '../candidates/owned';
import type { PlanningContext } from '../context/planningContext';
import { affords, isAbused, isSpared, pairPlaces } from '../context/schools';

const isWeekly = ({ timesPerYear }: TaskLoad) => timesPerYear >= LOAD.weekly.value;

/** Work that a thin, hard edge shows in: herbs and fine dice, cut into many clean pieces. */
const isFine = ({ task }: TaskLoad) => task.clean >= PAIR.cleanFrom.value && task.separate >= PAIR.separateFrom.value;

/** Work that such an edge should be spared: hard food that is forced apart with the main knife. */
const isHard = ({ task }: TaskLoad) =>
  task.stiff && task.firm >= PAIR.firmFrom.value && task.motions[0] !== 'cleave' && !task.takesApart;

/** Whether somebody practised shares the drawer with others who are not, or with people who borrow and drop. */
function isShared({ cooks, habits }: Kitchen): boolean {
  const isPractised = ({ experience }: Cook) => experience === 'keen' || experience === 'trained';
  const grown = workingCooks(cooks);
  return grown.some(isPractised) && (habits.roughUse || !grown.every(isPractised));
}

/**
 * Offers two main knives, one spared and one abused, where nobody has said what they hold of it: where fine and hard work are both done every
 * week, or fine work in a drawer that others use (handbook 11.6). Nothing where the kit has both, or the money does not reach.
 */
export function pairOffer(context: PlanningContext, kit: readonly Candidate[]): string[] {
  const { kitchen, loads, owned, school, buyable, problem } = context;
  const { cooksAtOnce, limits, tastes } = kitchen;
  if (school !== 'free' || tastes.pair !== null || limits.second !== null || cooksAtOnce > 1) return [];
  const generals = owned.filter((each) => isSound(each) && isAllRound(each.type)).length;
  if (generals > 1 || (kit.some(isSpared) && kit.some(isAbused))) return [];
  const weekly = loads.filter(isWeekly);
  const why = weekly.some(isHard)
    ? 'You do fine work and force hard food apart every week'
    : isShared(kitchen)
      ? 'You do fine work every week, and others use the drawer'
      : null;
  if (!why || !weekly.some(isFine) || !affords(pairPlaces(2), buyable, PAIR.moneyShare.value * problem.budgetMinor))
    return [];
  return [
    `One main knife for everything. ${why}: two may serve longer, a thin hard one for its owner and a sturdy one for hard work and everybody else. Under Schools of thought, “One main knife or two” shows what that changes.`,
  ];
}
