import { edgeLife } from '../../edge/keenness';
import { costPerYearMinor } from './costPerYear';
import type { Candidate } from '../candidates/candidate';
import { sharpeningMinor } from '../candidates/making';
import { minutesServedBy } from './assignment';
import type { PlanningContext } from '../context/planningContext';

/** What the whole drawer costs a year once the plan is carried out, minor units: an estimate. */
export function costPerYear(context: PlanningContext, steps: readonly Candidate[]): number {
  const { kitchen, owned } = context;
  const { sharpening } = kitchen.habits;
  const served = minutesServedBy(context, steps);
  const knives = [
    ...owned.map((o, i) => ({ blade: o.blade, priceMinor: 0, minutes: served.owned[i] ?? 0 })),
    ...steps.flatMap((s, i) =>
      s.action === 'buy' && s.blade
        ? [{ blade: s.blade, priceMinor: s.priceMinor - (s.serviceMinor ?? 0), minutes: served.steps[i] ?? 0 }]
        : [],
    ),
  ];
  const event = sharpeningMinor(kitchen);
  const services = steps.reduce((sum, s) => sum + (s.serviceMinor ?? 0), 0);
  return knives.reduce((sum, { blade, priceMinor, minutes }) => {
    const edge = edgeLife(blade.blade, blade.steel, context.service ?? context.care, minutes);
    return sum + costPerYearMinor(blade.serrated, priceMinor, edge, sharpening, context.service ? 0 : event);
  }, services);
}
