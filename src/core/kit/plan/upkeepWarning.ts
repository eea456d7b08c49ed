import { UPKEEP } from '../../constants';
import { showMoney } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import type { PlanningContext } from '../context/planningContext';
import { yearlyUpkeep, type YearlyUpkeep } from './yearlyCost';

/** Ways of sharpening that may take the place of another, the gentlest to edges first, as they are named to a cook. */
const WAYS = [
  { sharpening: 'stones', name: 'Your own stones' },
  { sharpening: 'powered', name: 'A small machine' },
  { sharpening: 'pull-through', name: 'A pull-through sharpener' },
] as const;

/** Minutes as people say them. */
const spoken = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} minutes` : `${Math.round(minutes / 60)} hours`;

/**
 * Says that a year of keeping the edges costs more than the knives that work, owned ones too, and names the first way that costs clearly less; nothing
 * where it does not.
 */
export function upkeepWarning(
  context: PlanningContext,
  steps: readonly Candidate[],
  { costMinor, replaced, kitMinor }: YearlyUpkeep,
): string[] {
  if (kitMinor <= 0 || costMinor <= kitMinor) return [];
  const { currency, habits } = context.kitchen;
  const money = (minor: number) => showMoney(Math.round(minor), currency);
  const worn = replaced >= 1 ? `, with about ${Math.round(replaced)} worn-out blades bought anew` : '';
  const cheaper = WAYS.filter(({ sharpening }) => sharpening !== habits.sharpening)
    .map((way) => ({ ...way, upkeep: yearlyUpkeep(context, steps, way.sharpening) }))
    .find(({ upkeep }) => upkeep.costMinor < UPKEEP.clearlyCheaper.value * costMinor);
  const instead = cheaper
    ? `${cheaper.name} would come to about ${money(cheaper.upkeep.costMinor)} a year${cheaper.upkeep.minutes > 0 ? ` and ${spoken(cheaper.upkeep.minutes)} of your time` : ''}.`
    : 'Softer, plainer knives, or sharpening less often, would cost less.';
  return [
    `Keeping these knives sharp comes to about ${money(costMinor)} a year${worn}: more than these knives would cost new (${money(kitMinor)}). ${instead}`,
  ];
}
