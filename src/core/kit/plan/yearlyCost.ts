import { edgeLife } from '../../edge/keenness';
import type { BladeTraits } from '../../fit/traits';
import type { Habits } from '../../kitchen/kitchen';
import type { Candidate } from '../candidates/candidate';
import { sharpeningMinor } from '../candidates/making';
import type { PlanningContext } from '../context/planningContext';
import { minutesServedBy } from './assignment';
import { likeMinor } from './likePrice';
import { costPerYearMinor, sharpeningsPerYear, stoneMinutesOf, wornPerYear } from './costPerYear';

/** A knife of the drawer once the plan is carried out, with the minutes of work a week that go to it. */
interface Working {
  blade: BladeTraits;
  isOwned: boolean;
  /** Price of it, or of its like where it is owned, minor units. */
  priceMinor: number;
  minutes: number;
}

function workingKnives(context: PlanningContext, steps: readonly Candidate[]): Working[] {
  const served = minutesServedBy(context, steps);
  const { owned } = context;
  return [
    ...owned.map(({ blade }, i) => ({
      blade,
      isOwned: true,
      priceMinor: likeMinor(context, blade.blade),
      minutes: served.owned[i] ?? 0,
    })),
    ...steps.flatMap((s, i) =>
      s.action === 'buy' && s.blade
        ? [
            {
              blade: s.blade,
              isOwned: false,
              priceMinor: s.priceMinor - (s.serviceMinor ?? 0),
              minutes: served.steps[i] ?? 0,
            },
          ]
        : [],
    ),
  ];
}

const sum = (numbers: readonly number[]) => numbers.reduce((all, each) => all + each, 0);
const servicesOf = (steps: readonly Candidate[]) => sum(steps.map((s) => s.serviceMinor ?? 0));

/** What the whole drawer costs a year once the plan is carried out, what is bought spread over its life, minor units: an estimate. */
export function costPerYear(context: PlanningContext, steps: readonly Candidate[]): number {
  const { sharpening } = context.kitchen.habits;
  const event = context.service ? 0 : sharpeningMinor(context.kitchen);
  return workingKnives(context, steps).reduce((sum, { blade, isOwned, priceMinor, minutes }) => {
    const edge = edgeLife(blade.blade, blade.steel, context.service ?? context.care, minutes);
    const worn = isOwned && !blade.serrated ? priceMinor * wornPerYear(false, edge, sharpening) : 0;
    return sum + costPerYearMinor(blade.serrated, isOwned ? 0 : priceMinor, edge, sharpening, event) + worn;
  }, servicesOf(steps));
}

/** What it takes to keep the knives of a plan going for a year: all estimates. */
export interface YearlyUpkeep {
  /** Sharpening and blades that are worn out, minor units. */
  costMinor: number;
  /** Minutes at one's own stones. */
  minutes: number;
  /** Blades that are worn out and bought anew. */
  replaced: number;
  /** What the knives that work would cost new, minor units. */
  kitMinor: number;
}

/** What a year of sharpening comes to: its price, its minutes at one's own stones, and the blades it wears out. */
export function yearlyUpkeep(
  context: PlanningContext,
  steps: readonly Candidate[],
  sharpening: Habits['sharpening'] = context.kitchen.habits.sharpening,
): YearlyUpkeep {
  const isServiced = context.service !== null && sharpening === context.kitchen.habits.sharpening;
  const care = isServiced ? (context.service ?? context.care) : { ...context.care, sharpening };
  const event = isServiced ? 0 : sharpeningMinor(context.kitchen, sharpening);
  const knives = workingKnives(context, steps).map(({ blade, priceMinor, minutes }) => {
    const edge = edgeLife(blade.blade, blade.steel, care, minutes);
    return { priceMinor, edge, worn: minutes > 0 ? wornPerYear(blade.serrated, edge, care.sharpening) : 0 };
  });
  return {
    costMinor: knives.reduce(
      (all, { edge, priceMinor, worn }) => all + sharpeningsPerYear(edge) * event + worn * priceMinor,
      isServiced ? servicesOf(steps) : 0,
    ),
    minutes: care.sharpening === 'stones' ? sum(stoneMinutesOf(knives.map(({ edge }) => edge))) : 0,
    replaced: sum(knives.map(({ worn }) => worn)),
    kitMinor: sum(knives.map(({ priceMinor, edge }) => (edge.minutesPerWeek > 0 ? priceMinor : 0))),
  };
}
