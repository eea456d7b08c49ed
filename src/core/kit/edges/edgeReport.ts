import { daysLater, latestDay, monthsLater, type Day } from '../../calendar/day';
import type { EdgeReport } from '../../formats/edgeFile';
import type { KitchenFile } from '../../formats/kitchenFile';
import type { Plan } from '../../formats/planFile';
import type { PlanningContext } from '../context/planningContext';
import { edgeEvents } from './calendar';
import { nextDue } from './due';
import { careOfEdges, edgeKnifeOf, keptKnives } from './edgeKnives';
import { stoneMinutesOf } from '../plan/costPerYear';
import { fiveYears } from './fiveYears';

/** The day from which dates count where a kitchen names none. */
export const FIRST_DAY: Day = '2026-01-01';

/** The newest day a kitchen file names; {@link FIRST_DAY} where it names none. */
export const newestDay = ({ owned = [], diary = [] }: KitchenFile): Day =>
  latestDay([
    ...owned.flatMap(({ boughtOn, sharpenedOn }) => [boughtOn, sharpenedOn].flatMap((day) => day ?? [])),
    ...diary.map(({ on }) => on),
  ]) ?? FIRST_DAY;

/**
 * The edges of a kitchen once its plan is carried out: how each fares, what is due within so many months from a day on, what each way of sharpening
 * comes to over five years. All are estimates.
 */
export function edgeReport(context: PlanningContext, plan: Plan, from: Day, months: number): EdgeReport {
  const care = careOfEdges(context);
  const knives = keptKnives(context, plan);
  const minutes = stoneMinutesOf(knives.map(({ edge }) => edge));
  const until = daysLater(monthsLater(from, months), -1);
  return {
    format: 'scabbard.edge',
    version: 1,
    knives: knives.map((knife, i) => ({
      ...edgeKnifeOf(context, knife, from, minutes[i] ?? 0),
      due: nextDue(knife, from),
    })),
    events: edgeEvents(knives, care, from, until, context.kitchen.closedMonths),
    fiveYears: fiveYears(context, knives, care),
  };
}
