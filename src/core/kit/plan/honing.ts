import { hardness } from '../../blade/strength';
import { EDGE, WORTH } from '../../constants';
import type { EdgeCare } from '../../edge/keenness';
import { CATALOGUE_CURRENCY, convertMinor, showMoney } from '../../money/currency';
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

/** That a rod or strop would be worth its price where nobody hones, in a sentence; nothing where it would not or is not wanted. */
export function honingAdvice(context: PlanningContext, steps: readonly Candidate[]): string[] {
  const { kitchen, reference, problem, service } = context;
  const { habits, tastes, limits } = kitchen;
  if (habits.honing !== 'none' || tastes.rod === 'never' || service) return [];
  const blades = steps.flatMap(({ blade }) => (blade && !blade.serrated ? [blade.blade] : []));
  if (blades.length === 0) return [];
  const isHard = Math.max(...blades.map(hardness)) >= EDGE.honing.hardFrom.value;
  const tool = reference.tools.get(isHard ? 'honing-ceramic' : 'honing-steel');
  if (!tool || limits.never.includes(tool.id)) return [];
  const priceMinor = convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, kitchen.currency);
  const points = 100 * (coverageHoned(context, steps, isHard ? 'ceramic' : 'steel') - coverageOfKit(problem, steps));
  const paid = (priceMinor + problem.scale.keepMinor) / problem.scale.pointMinor;
  if (points - paid < 100 * WORTH.filler.value) return [];
  return [
    `A ${isHard ? 'fine ceramic rod' : 'steel rod'} at ${showMoney(priceMinor, kitchen.currency)} would lift the average keenness here: about ${points.toFixed(1)} points for six light strokes a side, ${isHard ? 'every week or two' : 'every week'}. Say under your habits that you hone.`,
  ];
}
