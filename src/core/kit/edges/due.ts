import { EDGE_CALENDAR } from '../../constants';
import { monthsLater, type Day } from '../../calendar/day';
import { openDaysLater } from '../../calendar/openDays';
import { weeksDone, type KeptKnife } from './edgeKnives';

const DAYS_A_WEEK = 7;

/** The day on which a knife is there, and its edge as keen as it will be. */
export const startOf = ({ month }: Pick<KeptKnife, 'month'>, from: Day): Day =>
  monthsLater(from, Math.max(0, month - 1));

/** Whether an edge does so little work that no calendar sends it to the stone. */
export const isIdle = ({ edge }: Pick<KeptKnife, 'edge'>): boolean =>
  edge.minutesPerWeek < EDGE_CALENDAR.idleBelow.value;

/** Days between two sharpenings of an edge whose half-life is so many times the learned one. */
const everyDays = (weeks: number, times = 1): number => Math.max(1, Math.round(weeks * DAYS_A_WEEK * times));

/** When an edge is next due by its own work, and between what days eight times in ten, by what is known of its half-life. */
export interface NextDue {
  on: Day;
  between: [Day, Day];
}

/** The next sharpening of an edge from a day on: when it will have done its work since it was last put right. Null where none is due. */
export function nextDue(knife: KeptKnife, from: Day): NextDue | null {
  const { edge, putRight, owned, closed, learned } = knife;
  const weeks = edge.sharpenEveryWeeks;
  if (weeks === null || (isIdle(knife) && !putRight)) return null;
  const start = startOf(knife, from);
  if (putRight) return { on: start, between: [start, start] };
  const done = owned ? weeksDone(knife, from) * DAYS_A_WEEK : 0;
  const { low, middle, high } = learned.halfLife;
  const after = (times: number): Day => openDaysLater(start, Math.max(0, everyDays(weeks, times) - done), closed);
  return { on: after(1), between: [after(low / middle), after(high / middle)] };
}
