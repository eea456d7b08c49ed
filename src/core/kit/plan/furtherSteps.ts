import { EDGE, SCORE_WORDS } from '../../constants';
import type { PlanStep } from '../../formats/planFile';
import { fromMinor, showMoney } from '../../money/currency';
import { bestScores } from './buyingOrder';
import type { Candidate } from '../candidates/candidate';
import { lowerFirst } from '../../text/case';
import { bladeFigures, BLANK_STEP, round } from './step';
import type { Upkeep } from './upkeep';
import type { PlanningContext } from '../context/planningContext';

/** A step that cuts nothing but keeps the kit. */
export const upkeepStep = (
  { kitchen }: PlanningContext,
  { tool, priceMinor, need, why, gain }: Upkeep,
  coverageAfter: number,
): PlanStep => ({
  ...BLANK_STEP,
  order: 0,
  action: 'tool',
  need: need ? 'need' : 'want',
  type: tool.id,
  name: tool.name,
  price: fromMinor(priceMinor, kitchen.currency),
  coverageAfter: round(coverageAfter, 3),
  gain: round(gain, 3),
  because: [why],
  upkeep: true,
});

/** The year's sharpening that is bought along, as a step with its gain. */
export function serviceStep(
  context: PlanningContext,
  knives: readonly Candidate[],
  before: number,
  after: number,
): PlanStep {
  const { currency } = context.kitchen;
  const priceMinor = knives.reduce((sum, s) => sum + (s.serviceMinor ?? 0), 0);
  const count = knives.filter((s) => (s.serviceMinor ?? 0) > 0).length;
  const gain = round(after - before, 3);
  return {
    ...BLANK_STEP,
    order: 0,
    action: 'service',
    need: 'need',
    name: 'A sharpening service',
    price: fromMinor(priceMinor, currency),
    coverageAfter: round(after, 3),
    gain,
    costPerYear: fromMinor(priceMinor, currency),
    worth: round(100 * gain - priceMinor / context.problem.scale.pointMinor, 2),
    because: [
      `Nobody sharpens here: an edge left alone is dull within months and stays so. ${count === 1 ? 'One knife' : `${count} knives`} sharpened ${EDGE.visits.service.value} times a year cost ${showMoney(priceMinor, currency)} a year and give back ${(100 * gain).toFixed(1)} points.`,
    ],
  };
}

/** Owned knives that no task goes to once the plan is carried out, worn out or never used: to be retired. */
export function retirements(context: PlanningContext, steps: readonly Candidate[], coverageAfter: number): PlanStep[] {
  const best = bestScores(context, steps);
  return context.owned.flatMap((knife, i) => {
    const { condition, use, keep } = knife.owned;
    const idle = context.loads.every(
      (_, t) => (knife.scores[t] ?? 0) < (best[t] ?? 0) || (knife.scores[t] ?? 0) < SCORE_WORDS.struggles.value,
    );
    const kept = steps.some((s) => s.owned === i) || keep !== 'use';
    if (kept || !idle || !(condition === 'worn-out' || use === 'never' || (condition === 'dull' && use === 'rarely')))
      return [];
    return [
      {
        ...BLANK_STEP,
        order: 0,
        action: 'retire' as const,
        ...bladeFigures(knife),
        name: `Your ${lowerFirst(knife.type.name)}`,
        coverageAfter,
        because: ['No task in this kitchen goes to it: give it away, or keep it out of the drawer.'],
        owned: i,
      },
    ];
  });
}
