import { hardness } from '../../blade/strength';
import { EDGE, WORTH } from '../../constants';
import type { EdgeCare } from '../../edge/keenness';
import { CATALOGUE_CURRENCY, convertMinor } from '../../money/currency';
import { onlyAtTable, onTheBoard } from '../candidates/atTable';
import type { Candidate } from '../candidates/candidate';
import { ownedKnives } from '../candidates/owned';
import { scored } from '../candidates/scoring';
import type { PlanningContext } from '../context/planningContext';
import { coverageOfKit } from '../search/coverage';

/** What a kit would cover, 0–1, were its edges honed otherwise between sharpenings. */
function coverageHoned(context: PlanningContext, steps: readonly Candidate[], honing: EdgeCare['honing']): number {
  const otherwise = { ...context, care: { ...context.care, honing } };
  const owned = ownedKnives(otherwise);
  const rowOf = (step: Candidate): Float64Array => {
    if (step.owned !== null) return owned[step.owned]?.restored.usefulness ?? step.usefulness;
    if (!step.blade || step.action !== 'buy') return step.usefulness;
    const here = step.type?.role === 'table' ? onlyAtTable : onTheBoard;
    return here(scored(step.blade, otherwise), otherwise).usefulness;
  };
  return coverageOfKit({ ...context.problem, owned }, steps, rowOf);
}

/** What honing keeps of a kit's coverage, 0–1: with the habit of this kitchen against none. */
export const keptByHoning = (context: PlanningContext, steps: readonly Candidate[]): number =>
  Math.max(0, coverageOfKit(context.problem, steps) - coverageHoned(context, steps, 'none'));

/** The rod that suits the hardest steel of a kit, HRC. */
export function rodFor(hardest: number): { id: 'honing-ceramic' | 'honing-steel'; isHard: boolean } {
  const isHard = hardest >= EDGE.honing.hardFrom.value;
  return { id: isHard ? 'honing-ceramic' : 'honing-steel', isHard };
}

/** A rod that would be worth its price where nobody hones. */
export interface HoningAdvice {
  id: string;
  /** What honing with it would add, coverage, 0–1. */
  gain: number;
  everyWeeks: string;
}

/** What honing would bring where nobody does; null where it is not worth the price of a rod, or none is wanted. */
export function honingAdvice(context: PlanningContext, steps: readonly Candidate[]): HoningAdvice | null {
  const { kitchen, reference, problem, service } = context;
  const { habits, tastes, limits } = kitchen;
  if (habits.honing !== 'none' || tastes.rod === 'never' || service) return null;
  const blades = steps.flatMap(({ blade }) => (blade && !blade.serrated ? [blade.blade] : []));
  if (blades.length === 0) return null;
  const { id, isHard } = rodFor(Math.max(...blades.map(hardness)));
  const tool = reference.tools.get(id);
  if (!tool || limits.never.includes(id)) return null;
  const priceMinor = convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, kitchen.currency);
  const gain = coverageHoned(context, steps, isHard ? 'ceramic' : 'steel') - coverageOfKit(problem, steps);
  const paid = (priceMinor + problem.scale.keepMinor) / (100 * problem.scale.pointMinor);
  return gain - paid < WORTH.filler.value
    ? null
    : { id, gain, everyWeeks: isHard ? 'every week or two' : 'every week' };
}
